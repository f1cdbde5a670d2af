import { check, DomainError, NOT_NEGATIVE, POSITIVE } from '../errors';
import type { Degree, Kilogram, Mm, Newton, Rpm } from '../units/quantity';

/** Weights that turn with the clutch. */
export interface Weights {
  readonly count: number;
  /** Mass of one, kg. */
  readonly mass: Kilogram;
  /** Radius of its centre of mass, mm. */
  readonly radius: Mm;
}

/**
 * Speed of the clutch basket: engine speed ÷ primary ratio. Centrifugal parts turn at this speed.
 * @example basketRpm(7000, 2.8) // 2500
 */
export function basketRpm(engineRpm: Rpm, primaryRatio: number): Rpm {
  return (
    check('engineRpm', engineRpm, NOT_NEGATIVE) / check('primaryRatio', primaryRatio, POSITIVE)
  );
}

/**
 * ω² in rad²/s² for a speed in rpm.
 * @example omegaSquared(3000) // 98696
 */
export function omegaSquared(rpm: Rpm): number {
  return ((check('rpm', rpm, NOT_NEGATIVE) * Math.PI) / 30) ** 2;
}

/**
 * Total centrifugal force of the weights: n·m·r·ω².
 * @param clutchRpm speed of what carries the weights, rpm, 0 or more
 * @throws {DomainError} for a value out of range
 * Source: dynamics; `docs/mechanics.md` section 9.
 * @example weightForce({ count: 6, mass: 0.011, radius: 47 }, basketRpm(6500, 2.8)) // 183.32
 */
export function weightForce({ count, mass, radius }: Weights, clutchRpm: Rpm): Newton {
  check('count', count, { min: 1, max: 60, integer: true });
  check('mass', mass, POSITIVE);
  check('radius', radius, POSITIVE);
  return count * mass * (radius / 1000) * omegaSquared(clutchRpm);
}

/**
 * Added clamp of weighted levers: the weights' force times the levers' ratio.
 * @example leverAssist({ count: 6, mass: 0.02, radius: 45 }, 3000, 1.5) // 799.438
 */
export function leverAssist(weights: Weights, clutchRpm: Rpm, leverRatio: number): Newton {
  return weightForce(weights, clutchRpm) * check('leverRatio', leverRatio, POSITIVE);
}

/**
 * Added clamp of balls on a ramp: the balls' force ÷ tan(angle), the angle measured from the plane of the plate.
 * @param angle degrees, above 0 and below 90
 * @throws {DomainError} for a value out of range
 * Source: wedge without friction; `docs/mechanics.md` section 9.
 * @example ballAssist({ count: 12, mass: 0.01, radius: 45 }, 3000, 40) // 635.155
 */
export function ballAssist(weights: Weights, clutchRpm: Rpm, angle: Degree): Newton {
  check('angle', angle, { above: 0, below: 90 });
  return weightForce(weights, clutchRpm) / Math.tan((angle * Math.PI) / 180);
}

/** A centrifugal expanding disc as a clutch: weights against return springs. */
export interface ExpandingDisc {
  readonly weights: Weights;
  /** Axial force ÷ centrifugal force. */
  readonly advantage: number;
  /** Force of the return springs at rest, N, and its rise per mm of growth, N/mm. */
  readonly returnForce: Newton;
  readonly returnRate: number;
  /** Full growth, mm. */
  readonly growth: Mm;
}

export interface ExpandingEngagement {
  /** Engine speed at which the disc has grown by the gap. */
  readonly firstContact: Rpm;
  /** Engine speed at which the disc presses as hard as the springs at first lift, F(s + g). */
  readonly lockUp: Rpm;
}

/** Spring force over the height of the pressure plate above the closed pack, N over mm: F(s + x). */
export type SpringsOverRise = (rise: Mm) => Newton;

/**
 * Engine speed at which an expanding disc has grown by its gap, rpm.
 * @param gap install gap, mm, 0 or more and below the full growth
 * @throws {DomainError} for values out of range; a gap that the disc never closes
 * Source: `docs/mechanics.md` section 8.
 * @example expandingContactRpm({ weights: { count: 8, mass: 0.02, radius: 50 }, advantage: 2, returnForce: 60, returnRate: 20, growth: 1.4 }, 1, 2.5) // 1688.09
 */
export function expandingContactRpm(disc: ExpandingDisc, gap: Mm, primaryRatio: number): Rpm {
  check('advantage', disc.advantage, POSITIVE);
  check('returnForce', disc.returnForce, NOT_NEGATIVE);
  check('returnRate', disc.returnRate, NOT_NEGATIVE);
  check('growth', disc.growth, POSITIVE);
  check('gap', gap, NOT_NEGATIVE);
  check('primaryRatio', primaryRatio, POSITIVE);
  if (gap >= disc.growth) throw new DomainError('gap', 'less than the disc’s growth', gap);
  return rpmFor(disc, disc.returnForce + disc.returnRate * gap) * primaryRatio;
}

/**
 * Engagement of an expanding disc: rpm of first contact (growth = gap) and of lock-up, where the weights press as hard as
 * the springs at first lift.
 * @param gap install gap, mm, 0 or more and below the full growth
 * @param preload force of the springs with the plate held off by the gap, F(s + g), N, above 0
 * @throws {DomainError} for values out of range; a gap that the disc never closes
 * Source: `docs/mechanics.md` section 8.
 * @example engagementSpeeds({ weights: { count: 8, mass: 0.02, radius: 50 }, advantage: 2, returnForce: 60, returnRate: 20, growth: 1.4 }, 1, 1600, 2.5).firstContact // 1688.09
 */
export function engagementSpeeds(
  disc: ExpandingDisc,
  gap: Mm,
  preload: Newton,
  primaryRatio: number,
): ExpandingEngagement {
  const firstContact = expandingContactRpm(disc, gap, primaryRatio);
  check('preload', preload, POSITIVE);
  const holding = disc.returnForce + disc.returnRate * gap;
  return { firstContact, lockUp: rpmFor(disc, holding + preload) * primaryRatio };
}

/**
 * Clamp of an expanding disc at a basket speed, N: 0 until it has grown by the gap, then the force of its weights; once they
 * lift the pressure plate, the spring force at that height, at most F(s + e) fully expanded.
 * @param gap install gap, mm, 0 or more; a gap wider than the growth is never closed
 * @param springs F(s + x) over the rise x of the plate above the closed pack
 * @throws {DomainError} for values out of range
 * Source: equilibrium of weights and springs; `docs/mechanics.md` section 8.
 * @example expandingClamp({ weights: { count: 8, mass: 0.02, radius: 50 }, advantage: 2, returnForce: 60, returnRate: 20, growth: 1.4 }, 1, () => 1600, 2400) // 930.65
 */
export function expandingClamp(
  disc: ExpandingDisc,
  gap: Mm,
  springs: SpringsOverRise,
  clutchRpm: Rpm,
): Newton {
  if (gap >= disc.growth) return 0;
  const pressed = pushOf(disc, clutchRpm) - disc.returnRate * gap;
  if (pressed <= 0) return 0;
  return pressed < springs(gap) ? pressed : springs(discGrowth(disc, gap, springs, clutchRpm));
}

/**
 * How far an expanding disc has grown at a basket speed, mm: freely against its return springs up to the gap, held there
 * until it presses as hard as the pack's springs, then lifting them up to its full growth.
 * @param gap mm that it closes before it touches, 0 or more: the install gap, and the lift of a pulled lever
 * @param springs F(s + x) over the rise x of the plate above the closed pack
 * @throws {DomainError} for a gap below 0
 * Source: equilibrium of weights and springs; `docs/mechanics.md` section 8.
 * @example discGrowth({ weights: { count: 8, mass: 0.02, radius: 50 }, advantage: 2, returnForce: 60, returnRate: 20, growth: 1.4 }, 1, () => 1600, 650) // 0.7066
 */
export function discGrowth(
  disc: ExpandingDisc,
  gap: Mm,
  springs: SpringsOverRise,
  clutchRpm: Rpm,
): Mm {
  check('gap', gap, NOT_NEGATIVE);
  const { growth, returnRate } = disc;
  const push = pushOf(disc, clutchRpm);
  const free = push <= 0 ? 0 : returnRate > 0 ? push / returnRate : growth;
  if (free <= Math.min(gap, growth)) return Math.min(free, growth);
  if (gap >= growth) return growth;
  const surplus = (e: Mm) => push - returnRate * e - springs(e);
  if (surplus(gap) <= 0) return gap;
  // Past a diaphragm's peak the springs may give way and stiffen again: the disc stops at the first balance on its way.
  let low = gap;
  let high = growth;
  let balanced = false;
  for (let i = 1; i <= BALANCE_STEPS && !balanced; i++) {
    high = gap + ((growth - gap) * i) / BALANCE_STEPS;
    balanced = surplus(high) < 0;
    if (!balanced) low = high;
  }
  if (!balanced) return growth;
  for (let i = 0; i < 40; i++) {
    const mid = (low + high) / 2;
    if (surplus(mid) > 0) low = mid;
    else high = mid;
  }
  return (low + high) / 2;
}

const BALANCE_STEPS = 16;

/** Push of the weights less the return springs at rest, N. */
function pushOf({ weights, advantage, returnForce }: ExpandingDisc, clutchRpm: Rpm): Newton {
  return weightForce(weights, clutchRpm) * advantage - returnForce;
}

/** Speed of the carrier at which the weights press with a force, rpm. */
function rpmFor({ weights, advantage }: ExpandingDisc, force: Newton): Rpm {
  const perOmega2 = weights.count * weights.mass * (weights.radius / 1000) * advantage;
  check('weights', perOmega2, POSITIVE);
  return (Math.sqrt(force / perOmega2) * 30) / Math.PI;
}
