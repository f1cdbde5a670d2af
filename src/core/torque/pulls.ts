import { check, DomainError } from '../errors';
import type { TorquePoint } from '../job/types';
import type { NewtonMetre } from '../units/quantity';

/** One dyno sample of a pull. */
export interface DynoSample {
  readonly rpm: number;
  readonly torque: NewtonMetre;
}

/** Samples in the order in which they came: the way up, and often the way down with the throttle shut. */
export type Pull = readonly DynoSample[];

export interface PullsCurve {
  /** At whole steps of speed, by rising rpm. */
  readonly points: readonly TorquePoint[];
  /** Maximum difference between pulls at one speed, as a share of the peak torque; none for a single pull. */
  readonly spread?: number;
}

/** Between the speeds of a curve made of pulls, rpm: an assumed value that an engine's humps outlast and scatter does not. */
export const STEP_RPM = 250;
/** Of the torque at the engine that gearbox and chain leave at the wheel (assumed value). */
export const WHEEL_SHARE = 0.88;
/** Pulls that lie further apart than this share of the peak are pulled again (assumed value). */
export const PULLS_APART = 0.03;

const STEP_BOUNDS = { min: 20, max: 2000 };
export const SHARE_BOUNDS = { min: 0.5, max: 1 };

/**
 * Engine torque from power: T = 60·P/(2π·n).
 * @param power W
 * @param rpm of the engine, above 0
 * @throws {DomainError} for a speed of 0 or less
 * Source: definition of power; `docs/mechanics.md` section 3.
 * @example torqueOfPower(30_000, 7000) // 40.9256
 */
export function torqueOfPower(power: number, rpm: number): NewtonMetre {
  check('power', power, {});
  check('rpm', rpm, { above: 0 });
  return (60 * power) / (2 * Math.PI * rpm);
}

/**
 * The driven part of a pull: from its lowest to its highest speed. After that the machine coasts with a closed throttle.
 * @example risingPart([{ rpm: 2000, torque: 30 }, { rpm: 9000, torque: 34 }, { rpm: 8000, torque: -6 }]).length // 2
 */
export function risingPart(pull: Pull): Pull {
  const top = pull.reduce((best, s, i) => (s.rpm > (pull[best]?.rpm ?? -Infinity) ? i : best), 0);
  const start = pull
    .slice(0, top)
    .reduce((best, s, i) => (s.rpm <= (pull[best]?.rpm ?? Infinity) ? i : best), 0);
  return pull.slice(start, top + 1);
}

/**
 * A torque curve from one or more dyno pulls. At each whole speed step covered by every pull, each pull's torque is the least-
 * squares line through its samples within half a step; the curve is their mean. Speeds with samples on one side only are left
 * out: no extrapolation.
 * @param pulls one or more, each of 2 samples or more
 * @param step between the speeds of the curve, rpm, 20 to 2000
 * @throws {DomainError} without a pull, for a sample that is no number, for a step out of range, or when the pulls have fewer
 * than two whole steps of speed in common
 * Source: linear least squares; `docs/mechanics.md` section 3.
 * @example curveOfPulls([[{ rpm: 3000, torque: 30 }, { rpm: 3500, torque: 35 }]], 500).points.length // 2
 */
export function curveOfPulls(pulls: readonly Pull[], step = STEP_RPM): PullsCurve {
  check('step', step, STEP_BOUNDS);
  if (pulls.length === 0) throw new DomainError('pulls', 'one pull or more', pulls.length);
  for (const { rpm, torque } of pulls.flat()) {
    check('rpm', rpm, { min: 0 });
    check('torque', torque, {});
  }
  const rising = pulls.map(risingPart);
  // Speeds not covered by another pull are removed below.
  const [one = []] = rising;
  const first = Math.ceil((one[0]?.rpm ?? 0) / step);
  const last = Math.floor((one.at(-1)?.rpm ?? 0) / step);
  const rows = Array.from({ length: Math.max(0, last - first + 1) }, (_, i) => (first + i) * step)
    .map((rpm) => ({ rpm, each: rising.map((pull) => torqueAt(pull, rpm, step)) }))
    .filter((row): row is { rpm: number; each: number[] } => !row.each.includes(undefined));
  if (rows.length < 2)
    throw new DomainError('pulls', `pulls with two steps of ${step} rpm in common`, rows.length);
  const points = rows.map(({ rpm, each }) => ({
    rpm,
    torque: each.reduce((sum, t) => sum + t, 0) / each.length,
  }));
  const apart = Math.max(...rows.map(({ each }) => Math.max(...each) - Math.min(...each)));
  const peak = Math.max(...points.map((p) => p.torque));
  return { points, ...(pulls.length > 1 && peak > 0 ? { spread: apart / peak } : {}) };
}

/**
 * Engine torque from the torque at the point of measurement: T_e = T/η.
 * @param points what was measured
 * @param share η, of the engine's torque that reaches that place, 0.5 to 1
 * @throws {DomainError} for a share out of range
 * Source: efficiency of a gear train; `docs/mechanics.md` section 3.
 * @example atEngine([{ rpm: 4000, torque: 35.2 }], 0.88)[0].torque // 40
 */
export function atEngine(points: readonly TorquePoint[], share: number): TorquePoint[] {
  check('share', share, SHARE_BOUNDS);
  return points.map(({ rpm, torque }) => ({ rpm, torque: torque / share }));
}

/** A pull's torque at a speed that it has samples on both sides of, or at; nothing else is known. */
function torqueAt(pull: Pull, rpm: number, step: number): NewtonMetre | undefined {
  const near = pull.filter((s) => Math.abs(s.rpm - rpm) <= step / 2);
  const there = near.filter((s) => s.rpm === rpm);
  if (there.length === 0 && !(near.some((s) => s.rpm < rpm) && near.some((s) => s.rpm > rpm)))
    return undefined;
  const mean = (of: (s: DynoSample) => number) =>
    near.reduce((sum, s) => sum + of(s), 0) / near.length;
  const centre = mean((s) => s.rpm);
  const middle = mean((s) => s.torque);
  const square = mean((s) => (s.rpm - centre) ** 2);
  const slope = square > 0 ? mean((s) => (s.rpm - centre) * (s.torque - middle)) / square : 0;
  return middle + slope * (rpm - centre);
}
