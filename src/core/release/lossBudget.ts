import { check, NOT_NEGATIVE, POSITIVE } from '../errors';
import type { Mm } from '../units/quantity';

/** Something between lever and plate that eats travel, as it shows at the lever. */
export interface Loss {
  readonly name: string;
  /** mm at the lever, 0 or more. */
  readonly atLever: Mm;
}

export interface LossBudget {
  readonly lines: readonly (Loss & { readonly liftLost: Mm; readonly share: number })[];
  readonly atLever: Mm;
  readonly liftLost: Mm;
  /** Lift that is left of the whole travel. */
  readonly liftLeft: Mm;
}

/**
 * Where the lift went: each loss in mm at the lever and as lift, against the train's ratio without loss.
 * @param leverTravel mm, above 0
 * @param ratio lever travel ÷ lift of the train without loss, above 0
 * @throws {DomainError} for a value out of range
 * Source: `docs/mechanics.md` section 7.
 * @example lossBudget(60, 40, [{ name: 'Free play', atLever: 4 }]).liftLeft // 1.4
 */
export function lossBudget(leverTravel: Mm, ratio: number, losses: readonly Loss[]): LossBudget {
  check('leverTravel', leverTravel, POSITIVE);
  check('ratio', ratio, POSITIVE);
  const lines = losses.map((loss, i) => ({
    ...loss,
    liftLost: check(`losses.${i}.atLever`, loss.atLever, NOT_NEGATIVE) / ratio,
    share: loss.atLever / leverTravel,
  }));
  const atLever = Math.min(
    leverTravel,
    lines.reduce((sum, l) => sum + l.atLever, 0),
  );
  return { lines, atLever, liftLost: atLever / ratio, liftLeft: (leverTravel - atLever) / ratio };
}

/** A train before and after a part that changes its ratio. */
export interface ReducedEffort {
  readonly lift: Mm;
  /** Share of the pull that remains, below 1 when it is lighter. */
  readonly pullShare: number;
  readonly clearancePerFace: Mm;
}

/**
 * Effect of a reduced-effort part: a ratio greater by `factor` lifts less and pulls lighter by the same.
 * @param factor new ratio ÷ old, above 0
 * @throws {DomainError} for a value out of range
 * Source: `docs/mechanics.md` section 7.
 * @example reducedEffort(1.8, 1.25, 16).lift // 1.44
 */
export function reducedEffort(
  lift: Mm,
  factor: number,
  faces: number,
  outOfFlat: Mm = 0,
): ReducedEffort {
  check('lift', lift, NOT_NEGATIVE);
  check('factor', factor, POSITIVE);
  check('faces', faces, { min: 1, integer: true });
  check('outOfFlat', outOfFlat, NOT_NEGATIVE);
  const less = lift / factor;
  return { lift: less, pullShare: 1 / factor, clearancePerFace: (less - outOfFlat) / faces };
}
