import type { Job } from '@/core/job/types';
import type { AppStore, RootState } from '@/store/store';
import { useAppDispatch } from '@/store/store';

import { jobActions } from './jobsSlice';
import { useJobId } from './useJob';

/**
 * Changes a job by a function of a capability: what it gives takes the record's place, and the same record back means
 * that nothing changed. The function sees the record as it stands when the change is made.
 * @param typing names the text field that is typed into: typing on in it is one step of undo
 */
export const changeJob =
  (jobId: string, change: (job: Job) => Job, typing?: string) =>
  (dispatch: AppStore['dispatch'], getState: () => RootState): void => {
    const job = getState().jobs.entities[jobId];
    const next = job && change(job);
    if (next && next !== job)
      dispatch(jobActions.jobReplaced({ job: next, ...(typing ? { typing } : {}) }));
  };

/** Changes the job on screen. */
export function useChangeJob(): (change: (job: Job) => Job, typing?: string) => void {
  const dispatch = useAppDispatch();
  const id = useJobId();
  return (change, typing) => dispatch(changeJob(id, change, typing));
}
