import type { UnknownAction } from '@reduxjs/toolkit';
import { createAction } from '@reduxjs/toolkit';

import type { Job } from '@/core/job/types';

import type { Drafts, JobsState } from './jobsState';
import { adapter } from './jobsState';

/*
 * Undo and redo of a job's edits, without limit while the job is open. Every edit of any capability is a change of one
 * record, so the history sees them all from outside the reducers: it keeps the records, which share what they have in
 * common.
 */

/** A job as it stood, with the text that was in its fields. */
interface Moment {
  readonly job: Job;
  readonly drafts: Drafts;
}

export interface History {
  readonly jobId: string;
  readonly past: readonly Moment[];
  readonly future: readonly Moment[];
  /** The edit last made, where typing on goes into the same step: its field, or nothing. */
  readonly typing?: string;
}

/** Opening a job begins its history; that of another is let go. */
export const historyOpened = createAction<{ jobId: string }>('history/opened');
export const undone = createAction('history/undone');
export const redone = createAction('history/redone');

type Reduce = (state: JobsState | undefined, action: UnknownAction) => JobsState;

/** The reducer of jobs with undo and redo of the job that is open. */
export function withHistory(reduce: Reduce): Reduce {
  return (state, action) => {
    if (state && historyOpened.match(action)) {
      const { jobId } = action.payload;
      return state.history?.jobId === jobId
        ? state
        : { ...state, history: { jobId, past: [], future: [] } };
    }
    // What another tab did is not undone here.
    if (state && action.type === 'jobs/jobSynced') {
      const next = reduce(state, action);
      const { history } = next;
      const other = history && next.entities[history.jobId] === state.entities[history.jobId];
      return history && !other
        ? { ...next, history: { jobId: history.jobId, past: [], future: [] } }
        : next;
    }
    if (state && undone.match(action)) return step(state, 'past', 'future');
    if (state && redone.match(action)) return step(state, 'future', 'past');
    const next = reduce(state, action);
    return state && next !== state ? recorded(state, next, action) : next;
  };
}

/** The same for every job without any, so that they count as unchanged. */
const NO_DRAFTS: Drafts = {};

const momentOf = (state: JobsState, jobId: string): Moment | undefined => {
  const job = state.entities[jobId];
  return job && { job, drafts: state.drafts[jobId] ?? NO_DRAFTS };
};

function recorded(before: JobsState, after: JobsState, action: UnknownAction): JobsState {
  const { history } = after;
  if (!history) return after;
  const was = momentOf(before, history.jobId);
  const is = momentOf(after, history.jobId);
  if (!was) return after;
  if (!is) return { ...after, history: undefined };
  if (was.job === is.job && was.drafts === is.drafts) return after;
  // A signature can't be undone: what went before it is behind it.
  if (is.job.signOff.revisions.length > was.job.signOff.revisions.length)
    return { ...after, history: { jobId: history.jobId, past: [], future: [] } };
  const typing = fieldOf(action);
  // What goes on being typed in one field is one step.
  const goesOn = typing !== undefined && typing === history.typing;
  return {
    ...after,
    history: {
      ...history,
      past: goesOn ? history.past : [...history.past, was],
      future: [],
      ...(typing === undefined ? { typing: undefined } : { typing }),
    },
  };
}

/** The field that an action types into: its path, or the names of the details it gives. */
function fieldOf({ type, payload }: UnknownAction): string | undefined {
  if (typeof payload !== 'object' || payload === null) return undefined;
  if ('path' in payload) return String(payload.path);
  if ('typing' in payload && typeof payload.typing === 'string') return payload.typing;
  return type === 'jobs/detailsTyped' ? Object.keys(payload).join() : undefined;
}

function step(state: JobsState, from: 'past' | 'future', to: 'past' | 'future'): JobsState {
  const { history } = state;
  const target = history?.[from].at(-1);
  const now = history && momentOf(state, history.jobId);
  if (!history || !target || !now) return state;
  return {
    ...adapter.setOne(state, target.job),
    drafts: { ...state.drafts, [history.jobId]: target.drafts },
    history: {
      jobId: history.jobId,
      past: from === 'past' ? history.past.slice(0, -1) : [...history.past, now],
      future: to === 'future' ? [...history.future, now] : history.future.slice(0, -1),
    },
  };
}
