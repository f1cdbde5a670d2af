import type { UnknownAction } from '@reduxjs/toolkit';
import { createAction } from '@reduxjs/toolkit';

import type { FieldPath } from '@/core/job/fieldPath';
import { longList } from '@/core/job/lists';
import { isFrozen } from '@/core/job/signOff';
import type { Job } from '@/core/job/types';

import type { Draft, Drafts, JobsState, Moment } from './jobsState';

/*
 * The one place where a job changes: protects signed jobs and list limits, stamps the time and records undo steps. It works on
 * plain records, since Immer would walk through every value of a job.
 */

interface Edit {
  /** The job as the edit made it. */
  readonly job: Job;
  /** Text field that is typed into: typing on in it is one step of undo. */
  readonly typing?: string | undefined;
  /** Draft text of a field, or undefined once it is a value. */
  readonly draft?: { readonly path: FieldPath; readonly draft: Draft | undefined } | undefined;
}

/** See `editJob.ts`, which alone dispatches this. */
export const jobEdited = createAction('jobs/jobEdited', (edit: Edit) => ({
  payload: { ...edit, at: new Date().toISOString() },
}));
/** Opening a job begins its history; that of another is dropped. */
export const historyOpened = createAction<{ jobId: string }>('jobs/historyOpened');
export const undone = createAction('jobs/undone');
export const redone = createAction('jobs/redone');
/** The builder has read why an edit was refused. */
export const refusalRead = createAction('jobs/refusalRead');

type Reduce = (state: JobsState | undefined, action: UnknownAction) => JobsState;

/** The reducer of jobs with edits, undo and redo. */
export function withEditing(reduce: Reduce): Reduce {
  return (state, action) => {
    if (!state) return reduce(state, action);
    if (jobEdited.match(action)) return edited(state, action.payload);
    if (undone.match(action)) return step(state, 'past', 'future');
    if (redone.match(action)) return step(state, 'future', 'past');
    if (historyOpened.match(action)) return opened(state, action.payload.jobId);
    if (refusalRead.match(action))
      return state.refusedId === undefined && state.full === undefined
        ? state
        : { ...state, refusedId: undefined, full: undefined };
    return withoutForeign(state, reduce(state, action));
  };
}

/** The same for every job without any, so that they count as unchanged. */
const NO_DRAFTS: Drafts = {};

function edited(state: JobsState, edit: ReturnType<typeof jobEdited>['payload']): JobsState {
  const { job, at, typing } = edit;
  const before = state.entities[job.id];
  if (!before) return state;
  const was: Moment = { job: before, drafts: state.drafts[job.id] ?? NO_DRAFTS };
  const drafts = edit.draft ? withDraft(was.drafts, edit.draft) : was.drafts;
  if (job === before && drafts === was.drafts) return state;
  const long = longList(job, before);
  if (long) return { ...state, full: { jobId: job.id, ...long } };
  if (isFrozen(before) && isFrozen(job)) {
    const onlyVisits = drafts === was.drafts || edit.draft?.path.startsWith('visits.');
    if (!onlyVisits || !isAsSigned(before, job)) return { ...state, refusedId: job.id };
  }
  const next: Moment = { job: job === before ? job : { ...job, updatedAt: at }, drafts };
  return { ...put(state, next), history: remembered(state.history, was, next, typing) };
}

function withDraft(drafts: Drafts, { path, draft }: NonNullable<Edit['draft']>): Drafts {
  if (draft) return { ...drafts, [path]: draft };
  if (!(path in drafts)) return drafts;
  const { [path]: _gone, ...others } = drafts;
  return others;
}

/** Parts of a job that a signature does not cover. */
const UNSIGNED: ReadonlySet<string> = new Set(['visits', 'archived', 'updatedAt']);

/** Whether everything that a signature covers is as it was; parts that do not change are shared. */
const isAsSigned = (before: Job, after: Job): boolean =>
  (Object.keys({ ...before, ...after }) as (keyof Job)[]).every(
    (key) => UNSIGNED.has(key) || before[key] === after[key],
  );

const put = (state: JobsState, { job, drafts }: Moment): JobsState => ({
  ...state,
  entities: { ...state.entities, [job.id]: job },
  drafts: drafts === state.drafts[job.id] ? state.drafts : { ...state.drafts, [job.id]: drafts },
});

function remembered(
  history: JobsState['history'],
  was: Moment,
  is: Moment,
  typing: string | undefined,
): JobsState['history'] {
  if (history?.jobId !== is.job.id) return history;
  // A signature can't be undone, nor any edit before it.
  if (is.job.signOff.revisions.length > was.job.signOff.revisions.length)
    return { jobId: history.jobId, past: [], future: [] };
  const goesOn = typing !== undefined && typing === history.typing;
  return {
    jobId: history.jobId,
    past: goesOn ? history.past : [...history.past, was],
    future: [],
    typing,
  };
}

const opened = (state: JobsState, jobId: string): JobsState =>
  state.history?.jobId === jobId ? state : { ...state, history: { jobId, past: [], future: [] } };

/** Changes from another tab are not undone here. */
function withoutForeign(before: JobsState, after: JobsState): JobsState {
  const id = after.history?.jobId;
  if (id === undefined || before.entities[id] === undefined) return after;
  if (before.entities[id] === after.entities[id] && before.drafts[id] === after.drafts[id])
    return after;
  const history = after.entities[id] && { jobId: id, past: [], future: [] };
  return { ...after, history };
}

function step(state: JobsState, from: 'past' | 'future', to: 'past' | 'future'): JobsState {
  const { history } = state;
  const target = history?.[from].at(-1);
  const job = history && state.entities[history.jobId];
  if (!history || !target || !job) return state;
  const now: Moment = { job, drafts: state.drafts[job.id] ?? NO_DRAFTS };
  return {
    ...put(state, target),
    history: {
      jobId: history.jobId,
      past: from === 'past' ? history.past.slice(0, -1) : [...history.past, now],
      future: to === 'future' ? [...history.future, now] : history.future.slice(0, -1),
    },
  };
}
