import type { UnknownAction } from '@reduxjs/toolkit';
import { createAction } from '@reduxjs/toolkit';

import { longList } from '@/core/job/lists';
import type { Job } from '@/core/job/types';
import { isFrozen } from '@/core/job/work';

import type { Drafts, JobsState } from './jobsState';

/** The builder has read why an edit was refused. */
export const refusalRead = createAction('frozen/refusalRead');

type Reduce = (state: JobsState | undefined, action: UnknownAction) => JobsState;

/** What may happen to a signed job: none of it changes what was signed. */
const HARMLESS = new Set([
  'jobs/jobArchived',
  'jobs/jobRemoved',
  'jobs/jobImported',
  'jobs/jobsLoaded',
  'jobs/jobsRead',
  'jobs/removalUndone',
  'jobs/jobSynced',
  'jobs/jobGone',
]);

/**
 * Keeps a signed job as it was signed, whatever edits it, and every list within what a file takes: the edit is refused whole
 * and remembered, so that the screen can say so. Opening a signed job again is the one change of it that passes.
 */
export function withFrozen(reduce: Reduce): Reduce {
  return (state, action) => {
    if (state && refusalRead.match(action))
      return state.refusedId === undefined && state.full === undefined
        ? state
        : { ...state, refusedId: undefined, full: undefined };
    const next = reduce(state, action);
    if (!state || next === state || HARMLESS.has(action.type)) return next;
    const id = jobNamed(action) ?? next.history?.jobId;
    const before = id === undefined ? undefined : state.entities[id];
    if (id === undefined || !before) return next;
    const after = next.entities[id];
    const long = after && longList(after, before);
    if (long) return { ...state, full: { jobId: id, ...long } };
    if (!isFrozen(before)) return next;
    if (after && !isFrozen(after)) return next;
    const same =
      after !== undefined &&
      asSigned(before, after) &&
      draftsApart(state.drafts[id], next.drafts[id]).every((path) => path.startsWith(RETURNS));
    return same ? next : { ...state, refusedId: id };
  };
}

/** Fields of the machine's returns, which go on after the signature. */
const RETURNS = 'visits.';

/** Whether everything that a signature covers stands as it stood; parts that do not change are shared. */
function asSigned(before: Job, after: Job): boolean {
  if (before === after) return true;
  const keys = Object.keys({ ...before, ...after }) as (keyof Job)[];
  return keys.every((k) => k === 'visits' || k === 'updatedAt' || before[k] === after[k]);
}

/** Paths of the fields whose unfinished text is another. */
function draftsApart(a: Drafts = {}, b: Drafts = {}): readonly string[] {
  if (a === b) return [];
  return Object.keys({ ...a, ...b }).filter((path) => a[path] !== b[path]);
}

function jobNamed({ payload }: UnknownAction): string | undefined {
  if (typeof payload !== 'object' || payload === null) return undefined;
  if ('jobId' in payload && typeof payload.jobId === 'string') return payload.jobId;
  if ('job' in payload && typeof payload.job === 'object' && payload.job && 'id' in payload.job)
    return String(payload.job.id);
  return undefined;
}
