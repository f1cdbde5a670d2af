import type { Sentence } from '@/core/text/sentence';
import type { FieldPath } from '../job/fieldPath';
import type { Fixture } from '../job/types';

/**
 * Decision on a part. `open`: not measured, or no limit; `keep`; `watch`: keep and check next time; `grind`; `change`: replace;
 * `scrap`: never use again.
 */
export const DECISIONS = ['keep', 'open', 'watch', 'grind', 'change', 'scrap'] as const;
export type Decision = (typeof DECISIONS)[number];

export const DECISION_NAME: Readonly<Record<Decision, string>> = {
  keep: 'Keep',
  open: 'Not judged yet',
  watch: 'Keep and watch',
  grind: 'Grind',
  change: 'Replace',
  scrap: 'Scrap',
};

/**
 * Whether a part with this decision is fitted again unchanged.
 * @example staysIn('keep') // true
 */
export const staysIn = (d: Decision): boolean => d === 'keep' || d === 'watch' || d === 'open';

/** One reason for a decision. */
export interface Reason {
  readonly decision: Decision;
  readonly sentence: Sentence;
  /** The part it is about, where a kind of clutch judges another than its springs. */
  readonly on?: Fixture;
  /** Where the limit comes from: "limit from the manual", "assumed limit". */
  readonly limitFrom?: string;
  /** The limit that is missing for the judgement. */
  readonly missing?: FieldPath;
}

/**
 * The gravest decision of several reasons.
 * @example gravest([{ decision: 'keep', sentence: [] }, { decision: 'change', sentence: [] }]) // "change"
 */
export function gravest(reasons: readonly Reason[]): Decision {
  return reasons.reduce<Decision>(
    (worst, { decision }) =>
      DECISIONS.indexOf(decision) > DECISIONS.indexOf(worst) ? decision : worst,
    'keep',
  );
}

/** Differences below this are rounding errors, mm. */
export const EDGE = 1e-6;
