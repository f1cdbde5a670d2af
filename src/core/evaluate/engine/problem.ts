import type { FieldPath, ListPath } from '@/core/job/fieldPath';
import type { Entry } from '@/core/job/types';
import { length, say } from '@/core/text/sentence';
import type { Sentence } from '@/core/text/sentence';
import type { State } from './figure';

/** Something wrong with one entry or one layer, to be shown where it is. */
export interface Problem {
  readonly path: FieldPath | ListPath;
  /** The plate that shows it in the section. */
  readonly plateId?: string;
  readonly state: State;
  readonly sentence: Sentence;
}

/**
 * Lists limits whose minimum is above their maximum. Never throws.
 * @example reversed('setting.gapMax', entry(2), entry(1)).length // 1
 */
export const reversed = (
  path: FieldPath,
  min: Entry | undefined,
  max: Entry | undefined,
): readonly Problem[] =>
  min && max && min.value > max.value
    ? [
        {
          path,
          state: 'stop',
          sentence: say`The limits are reversed: the maximum must not be below the minimum, ${length(min.value)}.`,
        },
      ]
    : [];
