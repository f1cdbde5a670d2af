/**
 * The one error that the core throws: a value outside the domain of a formula. `path` names the argument or job field,
 * `accepted` the valid values.
 */
export class DomainError extends Error {
  constructor(
    readonly path: string,
    readonly accepted: string,
    readonly given: unknown,
  ) {
    super(`${path}: ${describe(given)} is not accepted; give ${accepted}`);
    this.name = 'DomainError';
  }
}

function describe(given: unknown): string {
  if (typeof given === 'number' || given === undefined) return String(given);
  return typeof given === 'string' ? `"${given}"` : JSON.stringify(given);
}

/** A calculation without a result, although every value is in its range. */
export class Impossible extends DomainError {
  /** @param sentence why, for a builder: "the clutch never locks." */
  constructor(readonly sentence: string) {
    super('result', sentence, undefined);
  }
}

/** Bounds of a number; `above` and `below` are exclusive, `min` and `max` inclusive. */
export interface Bounds {
  readonly above?: number;
  readonly min?: number;
  readonly below?: number;
  readonly max?: number;
  readonly integer?: boolean;
}

/**
 * Describes `bounds` in words: "a whole number, 1 to 24", "a number above 0".
 * @example describeBounds({ above: 0, max: 5 }) // "a number above 0 and up to 5"
 */
export function describeBounds(bounds: Bounds, unit = ''): string {
  const noun = bounds.integer ? 'a whole number' : 'a number';
  const u = unit ? ` ${unit}` : '';
  const { above, min, below, max } = bounds;
  if (min !== undefined && max !== undefined) return `${noun} from ${min} to ${max}${u}`;
  const low = above !== undefined ? `above ${above}` : min !== undefined ? `of ${min} or more` : '';
  const high = below !== undefined ? `below ${below}` : max !== undefined ? `up to ${max}` : '';
  return `${[noun, [low, high].filter(Boolean).join(' and ')].filter(Boolean).join(' ')}${u}`;
}

/**
 * Whether a finite number is within `bounds`. NaN and infinities never are.
 * @example isWithin(3, { min: 0, max: 5 }) // true
 */
export function isWithin(value: number, bounds: Bounds): boolean {
  return (
    Number.isFinite(value) &&
    (bounds.above === undefined || value > bounds.above) &&
    (bounds.min === undefined || value >= bounds.min) &&
    (bounds.below === undefined || value < bounds.below) &&
    (bounds.max === undefined || value <= bounds.max) &&
    (!bounds.integer || Number.isInteger(value))
  );
}

/**
 * Checks every named argument against its bounds.
 * @throws {DomainError} naming the first argument that is out of bounds.
 * @example check('lift', 1.8, { above: 0 }) // 1.8
 */
export function check(path: string, value: number, bounds: Bounds): number {
  if (!isWithin(value, bounds)) throw new DomainError(path, describeBounds(bounds), value);
  return value;
}

export const POSITIVE: Bounds = { above: 0 };
export const NOT_NEGATIVE: Bounds = { min: 0 };

/**
 * Runs a calculation, or returns undefined where its values are outside the domain of a formula.
 * @example attempt(() => Math.sqrt(4)) // 2
 */
export function attempt<T>(work: () => T): T | undefined {
  try {
    return work();
  } catch (error) {
    if (error instanceof DomainError) return undefined;
    throw error;
  }
}
