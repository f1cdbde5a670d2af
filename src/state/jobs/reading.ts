import type { UnknownAction } from '@reduxjs/toolkit';
import { createAction } from '@reduxjs/toolkit';

import type { JobRow } from '@/core/job/row';
import type { Job } from '@/core/job/types';

import type { Drafts, JobsState } from './jobsState';

/*
 * Jobs as they come out of the records. Thousands of them go through no draft of Immer, which would walk through every value
 * of every job to freeze it.
 */

export const jobsLoaded = createAction<{
  readonly jobs: readonly Job[];
  readonly drafts: Readonly<Record<string, Drafts>>;
  /** Jobs that are read later. */
  readonly unread?: readonly JobRow[];
}>('jobs/jobsLoaded');

/** Records that were read later; those that were changed or went meanwhile stay as they are now. */
export const jobsRead = createAction<{
  readonly jobs: readonly Job[];
  readonly missing: readonly string[];
}>('jobs/jobsRead');

/** Somebody waits for a job that is still to be read. */
export const jobWanted = createAction<string>('jobs/jobWanted');

type Reduce = (state: JobsState | undefined, action: UnknownAction) => JobsState;

const byId = <T extends { readonly id: string }>(items: readonly T[]): Record<string, T> =>
  Object.fromEntries(items.map((item) => [item.id, item]));

/** The jobs reducer for records read from storage. */
export function readingFirst(reduce: Reduce): Reduce {
  return (before, action) => {
    const state = before ?? reduce(before, { type: 'jobs/nothing' });
    if (jobsLoaded.match(action)) {
      const { jobs, drafts, unread = [] } = action.payload;
      return {
        ...state,
        ids: jobs.map((job) => job.id),
        entities: byId(jobs),
        unread: byId(unread),
        drafts,
        loaded: true,
      };
    }
    if (jobsRead.match(action)) {
      const { missing } = action.payload;
      const jobs = action.payload.jobs.filter((job) => job.id in state.unread);
      const done = new Set([...missing, ...jobs.map((job) => job.id)]);
      return {
        ...state,
        ids: [...state.ids, ...jobs.map((job) => job.id)],
        entities: { ...state.entities, ...byId(jobs) },
        unread: Object.fromEntries(Object.entries(state.unread).filter(([id]) => !done.has(id))),
      };
    }
    if (jobWanted.match(action)) return { ...state, wantedId: action.payload };
    return reduce(before, action);
  };
}
