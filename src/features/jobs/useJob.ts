import { createContext, startTransition, useContext, useEffect, useState } from 'react';

import type { Job } from '@/core/job/types';
import { useAppSelector, useAppStore } from '@/store/store';
import { afterPaint } from '@/ui/useLater';

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

/**
 * The job on screen a frame after it changed, for what may follow the parts that answer the hand. It is not drawn in the
 * frame of the change at all; while `later` is false it is the job itself.
 */
export function useJobLater(later = true): Job {
  const id = useJobId();
  const store = useAppStore();
  const now = useAppSelector((state) => (later ? undefined : state.jobs.entities[id]));
  const [seen, setSeen] = useState(() => store.getState().jobs.entities[id]);
  useEffect(() => {
    if (!later) return undefined;
    let pending = false;
    let listening = true;
    const look = () => {
      pending = false;
      const job = store.getState().jobs.entities[id];
      // A job that was deleted stays in sight until its screen has gone.
      if (listening && job) startTransition(() => setSeen(job));
    };
    let last = store.getState().jobs.entities[id];
    const follow = () => {
      const job = store.getState().jobs.entities[id];
      if (job === last) return;
      last = job;
      if (pending) return;
      pending = true;
      afterPaint(look);
    };
    const end = store.subscribe(follow);
    look();
    return () => {
      listening = false;
      end();
    };
  }, [id, later, store]);
  const job = later ? (seen?.id === id ? seen : store.getState().jobs.entities[id]) : now;
  if (!job) throw new Error(`no job ${id}`);
  return job;
}

const NO_DRAFTS: Drafts = {};

export function useDrafts(): Drafts {
  const id = useJobId();
  return useAppSelector((state) => state.jobs.drafts[id] ?? NO_DRAFTS);
}
