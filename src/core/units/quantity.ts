// cspell:ignore millimeters newtonmeter newtonmeters kilometer kilometers
/**
 * Quantities, their base unit in the core and the units in which people write them.
 * Factors are exact: 1 in = 25.4 mm, 1 mi = 1.609344 km, 1 lbf = 4.4482216152605 N, 1 ft·lb = 1.3558179483314 N·m.
 */

export type Mm = number;

export type Newton = number;

export type NewtonMetre = number;

export type NewtonPerMm = number;

export type MegaPascal = number;

export type Kilogram = number;

export type Second = number;

export type Rpm = number;

/** Degrees of angle; radians only ever inside a function. */
export type Degree = number;

export type Celsius = number;

export type Joule = number;

const INCH = 25.4;

const MILE = 1.609344;

const LBF = 4.4482216152605;

const FT_LB = 1.3558179483314;

const KGF = 9.80665;

export interface Unit {
  readonly id: UnitId;
  /** As shown beside a figure. */
  readonly symbol: string;
  /** Base units in one of this unit. */
  readonly factor: number;
  /** Added after the factor; only temperatures have one. */
  readonly offset?: number;
  /** Decimals shown: the resolution of the usual gauge. */
  readonly decimals: number;
  /** How people write it, in lower case without spaces. */
  readonly spellings: readonly string[];
}

export type UnitId =
  | 'mm'
  | 'in'
  | 'thou'
  | 'N'
  | 'lbf'
  | 'kgf'
  | 'Nm'
  | 'ftlb'
  | 'inlb'
  | 'kgfm'
  | 'kgfcm'
  | 'N/mm'
  | 'lbf/in'
  | 'kgf/mm'
  | 'MPa'
  | 'psi'
  | 'kg'
  | 'g'
  | 'lb'
  | 'oz'
  | 's'
  | 'min'
  | 'h'
  | 'km'
  | 'mi'
  | 'rpm'
  | 'deg'
  | 'C'
  | 'F'
  | 'K'
  | 'dF'
  | 'J'
  | 'kJ'
  | 'mm2'
  | 'in2'
  | 'kgm2'
  | 'W/mm2'
  | 'm/s'
  | 'km/h'
  | 'mph'
  | 'ratio'
  | 'percent'
  | 'count'
  | 'mm2/s'
  | 'kg/m3'
  | 'mm/h'
  | 'thou/h'
  | 'minutes'
  | 'hoursLong';

export type Quantity =
  | 'length'
  | 'force'
  | 'torque'
  | 'rate'
  | 'pressure'
  | 'stress'
  | 'mass'
  | 'time'
  | 'duration'
  | 'hours'
  | 'distance'
  | 'speed'
  | 'angle'
  | 'temperature'
  | 'temperatureRise'
  | 'energy'
  | 'area'
  | 'inertia'
  | 'powerPerArea'
  | 'viscosity'
  | 'density'
  | 'velocity'
  | 'ratio'
  | 'share'
  | 'count'
  | 'wearRate';

export const unit = (
  id: UnitId,
  symbol: string,
  factor: number,
  decimals: number,
  spellings: string[],
  offset?: number,
): Unit => ({
  id,
  symbol,
  factor,
  decimals,
  spellings,
  ...(offset === undefined ? {} : { offset }),
});

/** A torque of pounds on an arm, the arm first or last, in the spellings that people use. */
function spelledBothWays(arms: readonly string[]): string[] {
  const pounds = ['lb', 'lbs', 'lbf', 'lbsf', 'pound', 'pounds'];
  return arms.flatMap((arm) => pounds.flatMap((lb) => [`${arm}${lb}`, `${lb}${arm}`]));
}

/** First unit of each quantity is the base unit. */
export const UNITS: Readonly<Record<Quantity, readonly Unit[]>> = {
  length: [
    unit('mm', 'mm', 1, 3, ['mm', 'millimetre', 'millimetres', 'millimeter', 'millimeters']),
    unit('in', 'in', INCH, 4, ['in', 'in.', 'inch', 'inches', '"', '”', '″', "''"]),
    unit('thou', 'thou', INCH / 1000, 1, ['thou', 'thous', 'mil', 'mils']),
  ],
  force: [
    unit('N', 'N', 1, 0, ['n', 'newton', 'newtons']),
    unit('lbf', 'lbf', LBF, 1, ['lbf', 'lb', 'lbs']),
    unit('kgf', 'kgf', KGF, 1, ['kgf', 'kp', 'kg']),
  ],
  torque: [
    // Spellings without separators: dot, dash, slash or space.
    unit('Nm', 'N·m', 1, 1, ['nm', 'newtonmetre', 'newtonmetres', 'newtonmeter', 'newtonmeters']),
    unit('ftlb', 'ft·lb', FT_LB, 1, spelledBothWays(['ft', 'foot', 'feet'])),
    unit('inlb', 'in·lb', FT_LB / 12, 0, spelledBothWays(['in', 'inch', 'inches'])),
    unit('kgfm', 'kgf·m', KGF, 2, ['kgfm', 'kgm', 'kpm', 'mkgf', 'mkg', 'mkp']),
    unit('kgfcm', 'kgf·cm', KGF / 100, 1, ['kgfcm', 'kgcm', 'kpcm']),
  ],
  rate: [
    unit('N/mm', 'N/mm', 1, 3, ['n/mm']),
    unit('lbf/in', 'lbf/in', LBF / INCH, 2, ['lbf/in', 'lb/in', 'lbs/in']),
    unit('kgf/mm', 'kgf/mm', KGF, 3, ['kgf/mm', 'kg/mm']),
  ],
  pressure: [
    unit('MPa', 'MPa', 1, 3, ['mpa', 'n/mm2', 'n/mm²']),
    unit('psi', 'psi', LBF / (INCH * INCH), 0, ['psi', 'lbf/in2', 'lbf/in²']),
  ],
  // Of a wire or its steel: a thousand times a lining's pressure.
  stress: [
    unit('MPa', 'MPa', 1, 0, ['mpa', 'n/mm2', 'n/mm²']),
    unit('psi', 'psi', LBF / (INCH * INCH), 0, ['psi', 'lbf/in2', 'lbf/in²']),
  ],
  mass: [
    unit('kg', 'kg', 1, 3, ['kg', 'kgs']),
    unit('g', 'g', 0.001, 1, ['g', 'gram', 'grams', 'gr']),
    unit('lb', 'lb', 0.45359237, 3, ['lb', 'lbs']),
    unit('oz', 'oz', 0.45359237 / 16, 2, ['oz']),
  ],
  time: [
    unit('s', 's', 1, 3, ['s', 'sec', 'second', 'seconds']),
    unit('min', 'min', 60, 1, ['min', 'mins', 'minute', 'minutes']),
    unit('h', 'h', 3600, 2, ['h', 'hour', 'hours']),
  ],
  duration: [
    unit('minutes', 'min', 1, 0, ['min', 'mins', 'minute', 'minutes']),
    unit('hoursLong', 'h', 60, 1, ['h', 'hr', 'hrs', 'hour', 'hours']),
  ],
  hours: [unit('h', 'h', 1, 1, ['h', 'hr', 'hrs', 'hour', 'hours'])],
  distance: [
    unit('km', 'km', 1, 0, ['km', 'kms', 'kilometre', 'kilometres', 'kilometer', 'kilometers']),
    unit('mi', 'mi', MILE, 0, ['mi', 'mile', 'miles']),
  ],
  speed: [unit('rpm', 'rpm', 1, 0, ['rpm', 'r/min', '1/min'])],
  angle: [unit('deg', '°', 1, 1, ['°', 'deg', 'degree', 'degrees'])],
  temperature: [
    unit('C', '°C', 1, 0, ['°c', 'c']),
    unit('F', '°F', 5 / 9, 0, ['°f', 'f'], -160 / 9),
  ],
  temperatureRise: [unit('K', 'K', 1, 0, ['k']), unit('dF', '°F more', 5 / 9, 0, ['°f', 'f'])],
  energy: [unit('J', 'J', 1, 0, ['j']), unit('kJ', 'kJ', 1000, 2, ['kj'])],
  area: [
    unit('mm2', 'mm²', 1, 0, ['mm2', 'mm²']),
    unit('in2', 'in²', INCH * INCH, 2, ['in2', 'in²']),
  ],
  inertia: [unit('kgm2', 'kg·m²', 1, 5, ['kgm2', 'kgm²', 'kg·m²', 'kg·m2'])],
  powerPerArea: [unit('W/mm2', 'W/mm²', 1, 3, ['w/mm2', 'w/mm²'])],
  viscosity: [unit('mm2/s', 'mm²/s', 1, 1, ['mm2/s', 'mm²/s', 'cst'])],
  density: [unit('kg/m3', 'kg/m³', 1, 0, ['kg/m3', 'kg/m³'])],
  velocity: [
    unit('m/s', 'm/s', 1, 2, ['m/s']),
    unit('km/h', 'km/h', 1 / 3.6, 1, ['km/h', 'kmh', 'kph']),
    unit('mph', 'mph', 0.44704, 1, ['mph']),
  ],
  ratio: [unit('ratio', '', 1, 3, ['', ':1'])],
  share: [unit('percent', '%', 0.01, 0, ['%', 'percent'])],
  count: [unit('count', '', 1, 0, [''])],
  wearRate: [
    unit('mm/h', 'mm/h', 1, 4, ['mm/h']),
    unit('thou/h', 'thou/h', INCH / 1000, 2, ['thou/h']),
  ],
};

/**
 * The unit with this spelling, ignoring separators: "ft.lbs", "ft-lb". Undefined for none.
 * @example unitSpelled('FT.LBS', 'torque').id // "ftlb"
 */
export function unitSpelled(text: string, quantity: Quantity): Unit | undefined {
  const between = quantity === 'torque' ? /[\s.·⋅•*/‐‑–—-]+/g : /\s+/g;
  const written = text.trim().toLowerCase().replace(between, '');
  return UNITS[quantity].find((u) => u.spellings.includes(written));
}

const BY_ID = new Map<string, Unit>(
  Object.values(UNITS).flatMap((units) => units.map((u) => [u.id, u] as const)),
);

/**
 * The unit with this identifier.
 * @throws {RangeError} for an identifier that is none, which no value of its type is
 * @example unitById('in').factor // 25.4
 */
export function unitById(id: UnitId): Unit {
  const found = BY_ID.get(id);
  if (!found) throw new RangeError(`unknown unit ${id}`);
  return found;
}

/**
 * The unit in which the core keeps this quantity.
 * @throws {RangeError} for a quantity without units, which there is not
 * @example baseUnit('length').id // "mm"
 */
export function baseUnit(quantity: Quantity): Unit {
  const first = UNITS[quantity][0];
  if (!first) throw new RangeError(`no unit for ${quantity}`);
  return first;
}

/**
 * Converts a value as written in `from` to the base unit of its quantity.
 * Exact to one rounding; source: the exact definitions named at the top of this file.
 * @example toBase(1, unitById('in')) // 25.4
 */
export function toBase(value: number, from: Unit): number {
  return value * from.factor + (from.offset ?? 0);
}

/**
 * Converts a value in the base unit to `to`; the inverse of {@link toBase}.
 * @example fromBase(25.4, unitById('in')) // 1
 */
export function fromBase(value: number, to: Unit): number {
  return (value - (to.offset ?? 0)) / to.factor;
}
