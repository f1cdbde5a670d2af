import { check, DomainError, POSITIVE } from '../errors';

/* The viscosity of an oil over temperature, from two of its own. */

/** Kinematic viscosity, mm²/s. */
export type Viscosity = number;

const KELVIN = 273.15;
/** Offset of the Walther equation, mm²/s. */
const OFFSET = 0.7;

const twice = (v: Viscosity): number => Math.log10(Math.log10(v + OFFSET));

/**
 * Kinematic viscosity at a temperature, mm²/s, by the Walther equation through the viscosities at 40 and 100 °C.
 * @param at40 mm²/s, above `at100`
 * @param at100 mm²/s, above 1
 * @param celsius −60 to 250
 * @throws {DomainError} for a value out of range, or an oil that would be thicker hot than cold
 * Source: ASTM D341; `docs/mechanics.md` section 15.
 * @example viscosityAt(95, 14, 20) // 260.714
 */
export function viscosityAt(at40: Viscosity, at100: Viscosity, celsius: number): Viscosity {
  check('at100', at100, { above: 1, max: 1000 });
  check('at40', at40, { above: 1, max: 10_000 });
  check('celsius', celsius, { min: -60, max: 250 });
  if (at40 <= at100) throw new DomainError('at40', 'more than the viscosity at 100 °C', at40);
  const logOf = (c: number) => Math.log10(c + KELVIN);
  const slope = (twice(at40) - twice(at100)) / (logOf(100) - logOf(40));
  return 10 ** (10 ** (twice(at40) - slope * (logOf(celsius) - logOf(40)))) - OFFSET;
}

/**
 * Dynamic viscosity, Pa·s.
 * @param kinematic mm²/s, above 0
 * @param density kg/m³, above 0
 * @throws {DomainError} for a value out of range
 * @example dynamicViscosity(260.714, 860) // 0.224214
 */
export const dynamicViscosity = (kinematic: Viscosity, density: number): number =>
  check('kinematic', kinematic, POSITIVE) * check('density', density, POSITIVE) * 1e-6;

/** Oils by grade, with viscosities that are typical of the grade. Assumed values: the can's own come first. */
export const OIL_GRADES = {
  sae5w40: { name: 'SAE 5W-40', at40: 82, at100: 13.8 },
  sae10w30: { name: 'SAE 10W-30', at40: 68, at100: 10.5 },
  sae10w40: { name: 'SAE 10W-40', at40: 95, at100: 14 },
  sae15w50: { name: 'SAE 15W-50', at40: 125, at100: 18 },
  sae20w50: { name: 'SAE 20W-50', at40: 160, at100: 18.5 },
} as const satisfies Readonly<
  Record<string, { readonly name: string; readonly at40: Viscosity; readonly at100: Viscosity }>
>;

export type OilGrade = keyof typeof OIL_GRADES;
