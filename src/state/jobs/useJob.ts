import { createContext, useContext } from 'react';

import type { Job } from '@/core/job/types';
import { useAppSelector } from '@/state/store';

import type { Drafts } from './jobsSlice';

/** The identifier of the job on screen, for all that stands below its screen. */
export const JobContext = createContext<string>('');

export const useJobId = (): string => useContext(JobContext);

/** The job on screen. Its screen shows nothing of this while there is no such job. */
export function useJob(): Job {
  const id = useJobId();
  const job = useAppSelector((state) => state.jobs.entities[id]);
  if (!job) throw new Error(`no job ${id}`);
  return job;
}

/** One part of the job on screen, for what need not be drawn again when the rest changes. */
export function useJobPart<T>(part: (job: Job) => T): T {
  const id = useJobId();
  return useAppSelector((state) => {
    const job = state.jobs.entities[id];
    if (!job) throw new Error(`no job ${id}`);
    return part(job);
  });
}

const NO_DRAFTS: Drafts = {};

export function useDrafts(): Drafts {
  const id = useJobId();
  return useAppSelector((state) => state.jobs.drafts[id] ?? NO_DRAFTS);
}
