import { createContext, useContext } from 'react';

import type { Job } from '@/core/job/types';
import { useAppSelector } from '@/state/store';

import type { Drafts } from './jobsSlice';

/** The identifier of the job on screen. */
export const JobContext = createContext<string>('');

export const useJobId = (): string => useContext(JobContext);

/** The job on screen. Its screen is only rendered while it exists. */
export function useJob(): Job {
  const id = useJobId();
  const job = useAppSelector((state) => state.jobs.entities[id]);
  if (!job) throw new Error(`no job ${id}`);
  return job;
}

/** One part of the job on screen, to avoid redrawing for other changes. */
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
