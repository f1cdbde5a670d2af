import type { Entry } from '@/core/job/types';
import type { FieldPath } from '@/core/job/fieldPath';

/* Simultaneous changes of two tabs, reported to both. */

/** A job was changed in both tabs: one of them has its values in a copy. */
export interface JobClash {
  readonly kind: 'job';
  readonly number: string;
  readonly copyId: string;
  readonly copyNumber: string;
  /** Where the values of the tab that shows this are. */
  readonly mine: 'job' | 'copy';
  /** Fields in which the two differ, as a rule the one that was typed in. */
  readonly fields: readonly {
    readonly path: FieldPath;
    readonly job?: Entry | undefined;
    readonly copy?: Entry | undefined;
  }[];
}

/** One value of the shelf or the library was changed in both tabs: one of the two is kept. */
export interface ValueClash {
  readonly kind: 'value';
  /** "S14, count". */
  readonly where: string;
  readonly kept: string;
  readonly replaced: string;
}

export type Clash = JobClash | ValueClash;

/** A clash as the other tab sees it. */
export const fromTheOther = (clash: Clash): Clash =>
  clash.kind === 'value' ? clash : { ...clash, mine: clash.mine === 'job' ? 'copy' : 'job' };
