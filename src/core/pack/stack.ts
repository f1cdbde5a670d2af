import { check, DomainError, NOT_NEGATIVE, POSITIVE } from '../errors';
import type { Mm } from '../units/quantity';

/**
 * Height of a pack: the sum of its plates' thicknesses. Parts that lie in a bore are not in the list.
 * @param thicknesses mm, each above 0
 * @throws {DomainError} for a thickness that is not above 0
 * Source: geometry; `docs/mechanics.md` section 1.
 * @example stackHeight([3, 1.5, 3]) // 7.5
 */
export function stackHeight(thicknesses: readonly Mm[]): Mm {
  let sum = 0;
  for (let i = 0; i < thicknesses.length; i++) {
    const t = thicknesses[i] ?? Number.NaN;
    // The path is only put together when it is needed: this runs at every key.
    if (!(t > 0) || t === Infinity) check(`thicknesses.${i}`, t, POSITIVE);
    sum += t;
  }
  return sum;
}

/** Summary of several readings of one plate. */
export interface PlateReadings {
  /** Used for the stack. */
  readonly mean: Mm;
  /** Used for the wear limit. */
  readonly least: Mm;
  /** Maximum minus minimum: taper. */
  readonly taper: Mm;
}

/**
 * Sums up the readings on one plate: the mean for the stack, the least for the limit, the spread as taper.
 * @param readings mm, at least one, each above 0
 * @throws {DomainError} for no reading, or one that is not above 0
 * Source: workshop practice; `docs/mechanics.md` section 1.
 * @example summarizeReadings([2.9, 3.0]) // mean 2.95, least 2.9, taper 0.1
 */
export function summarizeReadings(readings: readonly Mm[]): PlateReadings {
  if (readings.length === 0) throw new DomainError('readings', 'at least one reading', readings);
  const mean = stackHeight(readings) / readings.length;
  const least = Math.min(...readings);
  return { mean, least, taper: Math.max(...readings) - least };
}

/** Comparison of a height with limits; both limits are included. */
export interface LimitCheck {
  readonly inside: boolean;
  /** To the nearer edge: above 0 inside, 0 on an edge, below 0 by how much it misses. */
  readonly margin: Mm;
  readonly side: 'within' | 'below' | 'above';
}

/**
 * Compares a height with limits, which are included. A height within a millionth of a millimetre of a limit counts as on it, so
 * that a sum of decimals does not fail by its last bit.
 * @param height mm
 * @param min mm, 0 or more; leave out for no lower edge
 * @param max mm, not below `min`; leave out for no upper edge
 * @throws {DomainError} when the window is upside down or has no edge
 * Source: `docs/mechanics.md` section 1.
 * @example checkLimits(34.1, 33.7, 34.5).margin // 0.4
 */
export function checkLimits(height: Mm, min: Mm | undefined, max: Mm | undefined): LimitCheck {
  if (min === undefined && max === undefined) {
    throw new DomainError('window', 'at least one limit', undefined);
  }
  check('height', height, NOT_NEGATIVE);
  if (min !== undefined) check('window.min', min, NOT_NEGATIVE);
  if (max !== undefined) check('window.max', max, { min: min ?? 0 });
  const over = min === undefined ? Infinity : snap(height - min);
  const under = max === undefined ? Infinity : snap(max - height);
  const margin = Math.min(over, under);
  return {
    inside: margin >= 0,
    margin,
    side: margin >= 0 ? 'within' : over < under ? 'below' : 'above',
  };
}

const EDGE = 1e-6;

function snap(distance: Mm): Mm {
  return Math.abs(distance) < EDGE ? 0 : distance;
}
