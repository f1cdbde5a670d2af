import type { FieldPath } from '../job/fieldPath';
import type { Entry, Job } from '../job/types';

/* How a kind of clutch is chosen and filled in. */

/** Fields shown together on a screen. */
export interface FormGroup {
  readonly title?: string;
  readonly note?: string;
  readonly fields: readonly FieldPath[];
}

/** The choice whether a clutch has it; the first option is none. */
export interface KindChoice {
  readonly heading?: string;
  readonly label: string;
  readonly options: readonly { readonly value: string; readonly label: string }[];
  readonly of: (job: Job) => string;
  readonly put: (job: Job, value: string) => Job;
}

/** Writes an entry at a path of a job. */
export type SetEntry = (job: Job, path: FieldPath, entry: Entry | undefined) => Job;

/** The springs that hold weights or shoes back until they turn fast enough. */
export interface ReturnSprings {
  readonly name: string;
  readonly paths: readonly [FieldPath, FieldPath];
}
