import type { Sentence } from '@/core/text/sentence';
import type { FieldPath } from '../job/fieldPath';

/**
 * What becomes of a part. `open`: not measured yet, or no limit to judge it by; `keep`; `watch`: keep and look again next time; `grind`; `change`:
 * a new one in its place; `scrap`: must not be used again.
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
 * Whether a part with this decision goes back in as it is.
 * @example staysIn('keep') // true
 */
export const staysIn = (d: Decision): boolean => d === 'keep' || d === 'watch' || d === 'open';

/** One reason for a decision. */
export interface Reason {
  readonly decision: Decision;
  readonly sentence: Sentence;
  /** Where the limit comes from: "limit from the manual", "limit is a design estimate". */
  readonly limitFrom?: string;
  /** The limit that is lacking to judge what was measured. */
  readonly lacks?: FieldPath;
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

/** What two readings differ by only from how a computer counts, mm. */
export const EDGE = 1e-6;
