import { createEntityAdapter } from '@reduxjs/toolkit';

import type { LongList } from '@/core/job/lists';
import type { JobRow } from '@/core/job/row';
import type { Job } from '@/core/job/types';
import type { UnitChoice } from '@/core/units/format';

/* The state of all jobs, and the change of one record; shared by the slice's reducers. */

/** Draft text of a field, with the units shown while typing. */
export interface Draft {
  readonly text: string;
  readonly units: UnitChoice;
}

export type Drafts = Readonly<Record<string, Draft>>;

export interface Removed {
  readonly job: Job;
  readonly drafts: Drafts;
}

/** A job at one step of its history, with the drafts of its fields. */
export interface Moment {
  readonly job: Job;
  readonly drafts: Drafts;
}

export interface History {
  readonly jobId: string;
  readonly past: readonly Moment[];
  readonly future: readonly Moment[];
  /** The last edit, to merge further typing into the same undo step: its field, if any. */
  readonly typing?: string | undefined;
}

/** In no order of its own: sorting thousands at every key is for the one list that shows an order. */
export const adapter = createEntityAdapter<Job>();

export const initialState = adapter.getInitialState({
  loaded: false,
  /** Jobs of the workshop whose records are still to be read, as the list shows them. */
  unread: {} as Readonly<Record<string, JobRow>>,
  /** The job that somebody waits for: it is read next. */
  wantedId: undefined as string | undefined,
  drafts: {} as Readonly<Record<string, Drafts>>,
  /** The last deleted job, kept for undo. */
  removed: undefined as Removed | undefined,
  /** The job last put in the archive, for undo. */
  archivedId: undefined as string | undefined,
  /** A signed job that somebody tried to change. */
  refusedId: undefined as string | undefined,
  /** A list that somebody tried to make longer than a file takes. */
  full: undefined as (LongList & { readonly jobId: string }) | undefined,
  /** Steps of the job that is open, for undo and redo. */
  history: undefined as History | undefined,
});

export type JobsState = typeof initialState;
