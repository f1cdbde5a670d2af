import { check } from '../errors';

/** m/s², as standards round it (ISO 80000-3). */
export const GRAVITY = 9.80665;
/** Rolling resistance as a share of the weight. Assumed value. */
export const ROLLING = 0.02;

/**
 * Road load as a share of the machine's weight: rolling resistance and grade.
 * @param angle of the road, rad, from −π/2 to π/2; uphill above 0
 * @throws {DomainError} for an angle out of range
 * Source: textbook statics; `docs/mechanics.md` section 10.
 * @example roadLoad(0) // 0.02
 */
export function roadLoad(angle: number): number {
  check('angle', angle, { min: -Math.PI / 2, max: Math.PI / 2 });
  return ROLLING * Math.cos(angle) + Math.sin(angle);
}
