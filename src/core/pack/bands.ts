import { check, DomainError, NOT_NEGATIVE } from '../errors';
import type { Mm } from '../units/quantity';

/** A band of stack heights that selects a retainer step; an open end is 0 or Infinity. */
export interface Band {
  readonly step: string;
  readonly min: Mm;
  readonly max: Mm;
}

const EDGE: Mm = 1e-6;

/**
 * The bands that a height falls in. Bands share edges: exactly on an edge both steps are allowed and both are
 * returned; between or outside all bands none is.
 * @throws {DomainError} for a band upside down
 * Source: `docs/mechanics.md` section 1.
 * @example bandsAt(34, [{ step: '1', min: 33, max: 34 }, { step: '2', min: 34, max: 35 }]).length // 2
 */
export function bandsAt(height: Mm, bands: readonly Band[]): readonly Band[] {
  check('height', height, NOT_NEGATIVE);
  bands.forEach((b, i) => {
    // An open end is no number to check.
    if (b.max !== Infinity) check(`bands.${i}.max`, b.max, { min: b.min });
  });
  return bands.filter((b) => height >= b.min - EDGE && height <= b.max + EDGE);
}

/** Comparison of a caliper reading over the pack with the sum of its plates. */
export interface CaliperCheck {
  /** Caliper less sum. */
  readonly difference: Mm;
  /** More than the allowance: a plate is warped, burred or doubled. */
  readonly suspicious: boolean;
}

/** Allowance between sum and caliper for oil and flatness, mm. Assumed value. */
export const CALIPER_ALLOWANCE: Mm = 0.15;

/**
 * Compares the caliper over the pack with the sum of its plates.
 * @throws {DomainError} for a height below 0
 * Source: workshop practice; `docs/mechanics.md` section 1.
 * @example checkCaliper(34.5, 34.6).suspicious // false
 */
export function checkCaliper(
  sum: Mm,
  caliper: Mm,
  allowance: Mm = CALIPER_ALLOWANCE,
): CaliperCheck {
  check('sum', sum, NOT_NEGATIVE);
  check('caliper', caliper, NOT_NEGATIVE);
  check('allowance', allowance, NOT_NEGATIVE);
  if (!Number.isFinite(caliper - sum)) throw new DomainError('caliper', 'a height in mm', caliper);
  const difference = caliper - sum;
  return { difference, suspicious: difference > allowance + EDGE };
}
