import { createEntityAdapter, nanoid } from '@reduxjs/toolkit';

import type { FieldPath } from '@/core/job/fields';
import type { LongList } from '@/core/job/lists';
import type { JobRow } from '@/core/job/row';
import type { Job } from '@/core/job/types';
import type { UnitChoice } from '@/core/units/quantity';

import type { History } from './history';

/* The state of all jobs, and how one record in it is changed; what the reducers of the slice share. */

/** Text in a field that is no value yet, with the units that were shown when it was typed. */
export interface Draft {
  readonly text: string;
  readonly units: UnitChoice;
}

export type Drafts = Readonly<Record<FieldPath, Draft>>;

export interface Removed {
  readonly job: Job;
  readonly drafts: Drafts;
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
  /** The job last deleted, kept for undo until the next one goes. */
  removed: undefined as Removed | undefined,
  /** The job last put in the archive, for undo. */
  archivedId: undefined as string | undefined,
  /** A signed job that somebody tried to change; see `frozen.ts`. */
  refusedId: undefined as string | undefined,
  /** A list that somebody tried to make longer than a file takes. */
  full: undefined as (LongList & { readonly jobId: string }) | undefined,
  /** Steps of the job that is open, for undo and redo; see `history.ts`. */
  history: undefined as History | undefined,
});

export type JobsState = typeof initialState;

/** Every edit names its job and the time it was made, so that reducers stay pure. */
interface Edit {
  readonly jobId: string;
  readonly at?: string;
}

export const prepareEdit = <T extends object>(payload: T) => ({
  payload: { ...payload, at: new Date().toISOString(), newId: nanoid(10) },
});

/** Replaces the job of an edit by what `change` makes of it, and stamps it when it changed. */
export function edit(state: JobsState, { jobId, at }: Edit, change: (job: Job) => Job): void {
  const job = state.entities[jobId];
  if (!job) return;
  const next = change(job);
  if (next !== job) adapter.setOne(state, { ...next, updatedAt: at ?? next.updatedAt });
}

/** A list with one item changed, by its identifier. */
export const replace = <T extends { readonly id: string }>(
  items: readonly T[],
  id: string,
  part: Partial<T>,
): T[] => items.map((item) => (item.id === id ? { ...item, ...part } : item));

/** A name of its own: "Disc", "Disc 2", and on. */
export function freeName(base: string, taken: readonly string[]): string {
  for (let n = 1; ; n++) {
    const name = n === 1 ? base : `${base} ${n}`;
    if (!taken.includes(name)) return name;
  }
}
