import { check, DomainError, NOT_NEGATIVE, POSITIVE } from '../errors';
import type { Celsius, Joule, Kilogram, Mm, NewtonMetre, Second } from '../units/quantity';
import { integrate } from './integrate';

/** Two inertias that a slipping clutch brings to one speed. All at the clutch's shaft; SI units inside. */
export interface Engagement {
  /** Engine side reflected to the clutch, kg·m². */
  readonly engineInertia: number;
  /** Vehicle side reflected from the wheel through the gear, kg·m². */
  readonly vehicleInertia: number;
  /** Starting speeds at the clutch, rad/s. */
  readonly engineSpeed: number;
  readonly vehicleSpeed: number;
  /** Torque of the engine at the clutch over its speed there, N·m. */
  readonly engineTorque: (speed: number) => NewtonMetre;
  /** Load: grade and rolling, N·m over the speed of the vehicle side. */
  readonly loadTorque: (speed: number) => NewtonMetre;
  /** Torque that the clutch can carry, N·m over time: the lever let out. */
  readonly clutchTorque: (t: Second) => NewtonMetre;
  /** Times at which the clutch torque has a corner, such as the end of letting out. */
  readonly corners?: readonly Second[];
  /** Longest time to follow, s. */
  readonly limit?: Second;
  /** Speed at the clutch below which the engine stalls, rad/s. */
  readonly stallSpeed?: number;
  /** Error of a step that is taken, as a share; 1e-8 unless given. */
  readonly tolerance?: number;
  /** Lining area of all faces, mm², for the power per area. */
  readonly liningArea?: number;
}

export interface EngagementResult {
  readonly outcome: 'locked' | 'stalled' | 'still slipping';
  /** Time of lock-up, stall or the end. */
  readonly time: Second;
  /** Speed of the engine side then, rad/s. */
  readonly speed: number;
  /** Heat made in the clutch. */
  readonly energy: Joule;
  /** Maximum slip power, W, and per lining area, W/mm². */
  readonly peakPower: number;
  readonly peakPowerPerArea?: number;
  /** Least speed of the engine side on the way, rad/s. */
  readonly leastSpeed: number;
  readonly steps: number;
}

/**
 * Follows an engagement from slip to lock-up. Slip energy is integrated with the speeds.
 * @throws {DomainError} for inertias or speeds out of range, or no slip to begin with
 * Source: two-inertia clutch model, machine-element textbooks; Dormand and Prince for the integration;
 * `docs/mechanics.md` section 10.
 * @example engage({ engineInertia: 0.06, vehicleInertia: 0.25, engineSpeed: 300, vehicleSpeed: 60, engineTorque: () => 90, loadTorque: () => 20, clutchTorque: () => 140 }).time // 0.1827
 */
export function engage(e: Engagement): EngagementResult {
  check('engineInertia', e.engineInertia, POSITIVE);
  check('vehicleInertia', e.vehicleInertia, POSITIVE);
  check('engineSpeed', e.engineSpeed, POSITIVE);
  check('vehicleSpeed', e.vehicleSpeed, {});
  const limit = check('limit', e.limit ?? 30, { above: 0, max: 600 });
  const stall = check('stallSpeed', e.stallSpeed ?? 0, NOT_NEGATIVE);
  if (e.engineSpeed <= e.vehicleSpeed)
    throw new DomainError(
      'engineSpeed',
      `more than the vehicle side's ${e.vehicleSpeed} rad/s`,
      e.engineSpeed,
    );
  let peakPower = e.clutchTorque(0) * (e.engineSpeed - e.vehicleSpeed);
  let leastSpeed = e.engineSpeed;
  const note = (t: number, y: Float64Array) => {
    const engine = y[0] as number;
    peakPower = Math.max(peakPower, e.clutchTorque(t) * (engine - (y[1] as number)));
    leastSpeed = Math.min(leastSpeed, engine);
  };
  const run = integrate(
    (t, y, out) => {
      const engine = y[0] as number;
      const vehicle = y[1] as number;
      const clutch = e.clutchTorque(t);
      const load = e.loadTorque(vehicle);
      out[0] = (e.engineTorque(engine) - clutch) / e.engineInertia;
      // A braking load holds a standing vehicle; it never pushes it back.
      out[1] = vehicle <= 0 && clutch < load ? 0 : (clutch - load) / e.vehicleInertia;
      out[2] = clutch * (engine - vehicle);
    },
    [e.engineSpeed, e.vehicleSpeed, 0],
    {
      until: limit,
      corners: e.corners,
      ...(e.tolerance === undefined ? {} : { relative: e.tolerance }),
      onStep: note,
      event: (_t, y) =>
        Math.min(
          (y[0] as number) - (y[1] as number),
          stall > 0 ? (y[0] as number) - stall : Infinity,
        ),
    },
  );
  note(run.t, run.y);
  const [speed = 0, vehicle = 0, energy = 0] = run.y;
  const slip = speed - vehicle;
  const stalled = run.met && stall > 0 && slip > 1e-6 * e.engineSpeed;
  return {
    outcome: stalled ? 'stalled' : run.met ? 'locked' : 'still slipping',
    time: run.t,
    speed,
    energy,
    peakPower,
    ...(e.liningArea
      ? { peakPowerPerArea: peakPower / check('liningArea', e.liningArea, POSITIVE) }
      : {}),
    leastSpeed,
    steps: run.steps,
  };
}

/** Specific heat, J/(kg·K), and density, kg/m³. Source: usual values of machine-element textbooks. */
export const PLATE_METALS = {
  steel: { specificHeat: 490, density: 7850 },
  aluminium: { specificHeat: 900, density: 2700 },
} as const;

export type PlateMetal = keyof typeof PLATE_METALS;

/**
 * Mass of a ring of metal, kg. @throws {DomainError} unless 0 < inner < outer and thickness above 0
 * @example ringMass(58.5, 46.5, 1.6, 'steel') // 0.0497
 */
export function ringMass(
  outerRadius: Mm,
  innerRadius: Mm,
  thickness: Mm,
  metal: PlateMetal,
): Kilogram {
  check('innerRadius', innerRadius, POSITIVE);
  check('outerRadius', outerRadius, { above: innerRadius });
  check('thickness', thickness, POSITIVE);
  return (
    Math.PI * (outerRadius ** 2 - innerRadius ** 2) * thickness * 1e-9 * PLATE_METALS[metal].density
  );
}

/** Plates by mass and material. */
type Plates = readonly { readonly mass: Kilogram; readonly metal: PlateMetal }[];

/**
 * Heat that warms plates by a degree, J/K: Σ(m·c).
 * @throws {DomainError} for a mass that is not above 0, or no plate
 * Source: calorimetry; `docs/mechanics.md` section 10.
 * @example heatCapacity([{ mass: 0.5, metal: 'steel' }]) // 245
 */
export function heatCapacity(plates: Plates): number {
  if (plates.length === 0) throw new DomainError('plates', 'at least one plate', 0);
  return plates.reduce(
    (sum, p, i) =>
      sum + check(`plates.${i}.mass`, p.mass, POSITIVE) * PLATE_METALS[p.metal].specificHeat,
    0,
  );
}

/**
 * Rise of temperature when all heat stays in the plates: Q/Σ(m·c).
 * @throws {DomainError} for heat below 0, a mass that is not above 0, or no plate
 * Source: calorimetry; `docs/mechanics.md` section 10.
 * @example temperatureRise(3070, [{ mass: 0.5, metal: 'steel' }]) // 12.53
 */
export function temperatureRise(energy: Joule, plates: Plates): Celsius {
  return check('energy', energy, NOT_NEGATIVE) / heatCapacity(plates);
}
