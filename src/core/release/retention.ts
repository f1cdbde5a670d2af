import { check, NOT_NEGATIVE, POSITIVE } from '../errors';
import type { Mm } from '../units/quantity';

/** Share of its thickness with which a plate must engage its spline at full lift. Assumed value. */
export const RETAINED_SHARE = 0.6;

/**
 * How much of a plate's thickness still engages its spline or finger at full lift, as a share of the thickness:
 * (length of spline − height below the plate − lift)/t, never more than 1. Below 0 the plate has left it.
 * @param splineLength mm from the hub floor, above 0
 * @param heightBelow mm of pack under the plate, 0 or more
 * @param lift mm, 0 or more
 * @param thickness mm, above 0
 * @throws {DomainError} for a value out of range
 * Source: geometry; `docs/mechanics.md` section 6.
 * @example retainedShare(36, 33, 1.8, 1.5) // 0.8
 */
export function retainedShare(splineLength: Mm, heightBelow: Mm, lift: Mm, thickness: Mm): number {
  check('splineLength', splineLength, POSITIVE);
  check('heightBelow', heightBelow, NOT_NEGATIVE);
  check('lift', lift, NOT_NEGATIVE);
  check('thickness', thickness, POSITIVE);
  return Math.min(1, (splineLength - heightBelow - lift) / thickness);
}
