import { check, DomainError, NOT_NEGATIVE, POSITIVE } from '../errors';
import type { Degree, Mm } from '../units/quantity';

/** How a release arm moves over a pull. */
export interface ArmStroke {
  /** Turn of the arm over the whole pull, degrees. */
  readonly turn: Degree;
  readonly lift: Mm;
  /** Start angle that puts the arm square to the cable in the middle of the stroke, degrees from square. */
  readonly bestStart: Degree;
  /** Lift with the arm set so. */
  readonly bestLift: Mm;
  /** Lift lost by the present start angle; below 0 when it lifts more, which the hand then pays. */
  readonly lost: Mm;
  /** Heaviest pull over the stroke against that of a square arm, 1 or more, now and with the best start. */
  readonly heaviest: number;
  readonly bestHeaviest: number;
}

/** Turn of an arm that starts at `start` radians from square, for a cable travel: sin φ₁ = sin φ₀ + travel/arm. */
function turnFrom(start: number, travel: Mm, arm: Mm): number {
  const end = Math.sin(start) + travel / arm;
  if (end > 1)
    throw new DomainError(
      'startAngle',
      'an angle at which the cable does not pull the arm straight',
      (start * 180) / Math.PI,
    );
  // Rounding must not turn a travel of nothing into a lift below 0.
  return Math.max(0, Math.asin(end) - start);
}

/** Maximum 1/cos φ between two angles: the pull rises as the arm leaves square. Capped where the arm is in line. */
function heaviestOver(from: number, to: number): number {
  const cosine = Math.cos(Math.max(Math.abs(from), Math.abs(to)));
  return 1 / Math.max(cosine, 1e-3);
}

/**
 * The rest angle with which the arm is square to its cable in the middle of the stroke, degrees from square.
 * @param cableTravel mm after lever ratio and slack, 0 or more, at most twice the arm
 * @param armLength mm, above 0
 * @throws {DomainError} for values out of range
 * Source: kinematics of a crank; `docs/mechanics.md` section 7.
 * @example bestArmStart(10, 32) // -8.989
 */
export function bestArmStart(cableTravel: Mm, armLength: Mm): Degree {
  check('cableTravel', cableTravel, NOT_NEGATIVE);
  const half = cableTravel / (2 * check('armLength', armLength, POSITIVE));
  if (half > 1) throw new DomainError('cableTravel', 'at most twice the arm', cableTravel);
  // Not −0 for no travel at all.
  return 0 - (Math.asin(half) * 180) / Math.PI;
}

/**
 * Lift over a pull with the arm's angle taken into account: with the cable at an angle φ from square to the arm its
 * effective length is r·cos φ, so the arm turns by arcsin(sin φ₀ + s/r) − φ₀. Square in mid-stroke
 * pulls lightest and most evenly and is the setting to aim at.
 * @param cableTravel mm after lever ratio and slack, 0 or more
 * @param armLength mm, above 0
 * @param lead mm of lift per turn, above 0
 * @param startAngle degrees from square at rest, below 0 while the arm has square still before it
 * @throws {DomainError} for values out of range, or a travel that would pull the arm in line with the cable
 * Source: kinematics of a crank; `docs/mechanics.md` section 7.
 * @example armStroke(8, 36, 34, 0).lift // 1.2126
 */
export function armStroke(cableTravel: Mm, armLength: Mm, lead: Mm, startAngle: Degree): ArmStroke {
  check('cableTravel', cableTravel, NOT_NEGATIVE);
  check('armLength', armLength, POSITIVE);
  check('lead', lead, POSITIVE);
  check('startAngle', startAngle, { above: -90, below: 90 });
  const toLift = lead / (2 * Math.PI);
  const start = (startAngle * Math.PI) / 180;
  const turn = turnFrom(start, cableTravel, armLength);
  const bestStart = bestArmStart(cableTravel, armLength);
  const best = (bestStart * Math.PI) / 180;
  const bestTurn = -2 * best;
  return {
    turn: (turn * 180) / Math.PI,
    lift: turn * toLift,
    bestStart,
    bestLift: bestTurn * toLift,
    lost: (bestTurn - turn) * toLift,
    heaviest: heaviestOver(start, start + turn),
    bestHeaviest: heaviestOver(best, -best),
  };
}
