import type { Dispatch } from '@reduxjs/toolkit';

import { archive, readField } from '@/core/job/edits/details';
import type { FieldPath } from '@/core/job/fieldPath';
import { withEntry } from '@/core/job/paths';
import type { Job } from '@/core/job/types';
import { stepsAnswered } from '@/core/worksheet/worksheet';
import type { UnitChoice } from '@/core/units/format';
import { useAppDispatch } from '@/state/store';

import { jobEdited } from './editing';
import { jobActions } from './jobsSlice';
import type { JobsState } from './jobsState';
import { useJobId } from './useJob';

export interface EditOptions {
  /** Text field that is typed into: typing on in it is one step of undo. */
  readonly typing?: string | undefined;
  readonly draft?: Parameters<typeof jobEdited>[0]['draft'];
}

type GetJobs = () => { readonly jobs: JobsState };

/**
 * Changes a job; the only way to do so. A signed job keeps its signed content.
 * @param change gets the job as it is now; the same job back means that nothing changed
 */
export const editJob =
  (id: string, change: (job: Job) => Job, options: EditOptions = {}) =>
  (dispatch: Dispatch, getState: GetJobs): void => {
    const job = getState().jobs.entities[id];
    const next = job && change(job);
    // A function that only looked may have made an edit of its own meanwhile: the same job is not put over that.
    if (next && (next !== job || options.draft)) dispatch(jobEdited({ job: next, ...options }));
  };

/** Puts a text of a numeric field into a job: it becomes a value when it can be read, and is kept as a draft while not. */
export const typeInField =
  (id: string, path: FieldPath, text: string, units: UnitChoice) =>
  (dispatch: Dispatch, getState: GetJobs): void => {
    const job = getState().jobs.entities[id];
    if (!job) return;
    const { entry, isDraft } = readField(job, path, text, units);
    const draft = isDraft ? { text: text.slice(0, 400), units } : undefined;
    const put = (j: Job) =>
      stepsAnswered(withEntry(j, path, entry), path, new Date().toISOString());
    editJob(id, put, { typing: path, draft: { path, draft } })(dispatch, getState);
  };

/** Puts a job in the archive, from which it can be brought back at once, or takes it out. */
export const archiveJob =
  (id: string, archived: boolean) =>
  (dispatch: Dispatch, getState: GetJobs): void => {
    editJob(id, (job) => archive(job, archived))(dispatch, getState);
    dispatch(jobActions.archivingNoted(archived ? id : undefined));
  };

/** Changes the job on screen. */
export function useEditJob(): (change: (job: Job) => Job, options?: EditOptions) => void {
  const dispatch = useAppDispatch();
  const id = useJobId();
  return (change, options) => dispatch(editJob(id, change, options));
}
