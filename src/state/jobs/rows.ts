import { createSelector } from '@reduxjs/toolkit';

import type { JobRow, RowVerdict } from '@/core/job/row';
import { rowOf } from '@/core/job/row';
import type { Job } from '@/core/job/types';

import type { JobsState } from './jobsState';

interface WithJobs {
  readonly jobs: JobsState;
}

const rows = new WeakMap<Job, JobRow>();

/** The row of a job record, made once for each version of it. */
export function rowFor(job: Job): JobRow {
  const known = rows.get(job);
  if (known) return known;
  const made = rowOf(job);
  rows.set(job, made);
  return made;
}

/** A row that is known to say what the job says, so that it counts as unchanged. */
export function rememberRow(job: Job, row: JobRow): void {
  rows.set(job, row);
}

/** Keeps what was found of a job's pack with its row. */
export function rememberVerdict(job: Job, { state, title }: RowVerdict): void {
  const row = rowFor(job);
  if (row.verdict?.state !== state || row.verdict.title !== title)
    rows.set(job, { ...row, verdict: { state, title } });
}

/** The rows of all jobs of the workshop, those too whose records are still to be read. */
export const selectRows = createSelector(
  [(state: WithJobs) => state.jobs.entities, (state: WithJobs) => state.jobs.unread],
  (entities, unread): readonly JobRow[] => [
    ...Object.values(entities).map(rowFor),
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
