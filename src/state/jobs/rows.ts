import { createSelector, weakMapMemoize } from '@reduxjs/toolkit';

import type { JobRow, RowVerdict } from '@/core/job/row';
import { rowOf } from '@/core/job/row';
import type { Job } from '@/core/job/types';

import type { JobsState } from './jobsState';

interface WithJobs {
  readonly jobs: JobsState;
}

/** The row of a job record, made once per version. */
export const rowFor = weakMapMemoize(rowOf);

/** The stored row of a job record, with its verdict. */
export const rowWith = weakMapMemoize((job: Job, verdict: RowVerdict): JobRow => ({
  ...rowFor(job),
  verdict,
}));

/** The rows of all jobs of the workshop, those too whose records are still to be read. */
export const selectRows = createSelector(
  [(state: WithJobs) => state.jobs.entities, (state: WithJobs) => state.jobs.unread],
  (entities, unread): readonly JobRow[] => [
    ...Object.values(entities).map((job) => rowFor(job)),
    ...Object.values(unread),
  ],
);

/** How much of the workshop has been read, from 0 to 1. */
export const selectReadShare = ({ jobs }: WithJobs): number => {
  const left = Object.keys(jobs.unread).length;
  return left === 0 ? 1 : jobs.ids.length / (jobs.ids.length + left);
};

const LOOK_AGAIN_MS = 50;

/** Waits until every job of the workshop has been read. */
export async function allRead(getState: () => WithJobs): Promise<void> {
  while (selectReadShare(getState()) < 1)
    await new Promise((resolve) => setTimeout(resolve, LOOK_AGAIN_MS));
}
