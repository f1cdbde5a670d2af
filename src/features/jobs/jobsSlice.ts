import type { PayloadAction } from '@reduxjs/toolkit';
import { createSlice, original } from '@reduxjs/toolkit';

import { blankJob } from '@/core/job/blank';
import { copyOfEdit, copyOfJob, nextJobOf } from '@/core/job/derive';
import type { FieldPath } from '@/core/job/fields';
import { fieldOf, MAX_JOBS } from '@/core/job/fields';
import { entryAt, withEntry } from '@/core/job/paths';
import type { AssistType, Entry, Job, Release, Source, StartClutchPlace } from '@/core/job/types';
import { parseEntry } from '@/core/units/parseEntry';
import type { UnitChoice } from '@/core/units/quantity';

import { withFrozen } from './frozen';
import { withHistory } from './history';
import type { Draft, Drafts, JobsState } from './jobsState';
import { adapter, edit, initialState, prepareEdit } from './jobsState';
import { packReducers } from './packReducers';
import { jobsLoaded, jobsRead, jobWanted, withReading } from './reading';
import { springReducers } from './springReducers';

function withoutRow(state: JobsState, id: string): void {
  if (!(id in state.unread)) return;
  const { [id]: _read, ...others } = state.unread;
  state.unread = others;
}

function withDraft(
  state: JobsState,
  jobId: string,
  path: FieldPath,
  draft: Draft | undefined,
): void {
  const { [path]: _old, ...others } = state.drafts[jobId] ?? {};
  state.drafts = { ...state.drafts, [jobId]: draft ? { ...others, [path]: draft } : others };
}

/** Whether the text says more than the number: a unit, a fraction, a diameter, or how finely it was read. */
function saysMore(text: string): boolean {
  return /[^\d.,\s]|[.,]\d*0\s*$/.test(text);
}

const jobsSlice = createSlice({
  name: 'jobs',
  initialState,
  reducers: {
    jobStarted: {
      prepare: (payload: { id: string }) => prepareEdit(payload),
      reducer(state, { payload }: PayloadAction<{ id: string; at: string }>) {
        if (isFull(state)) return;
        adapter.addOne(
          state,
          blankJob(payload.id, nextNumber(original(state) ?? state), payload.at),
        );
      },
    },
    /** A job for the machine of another, or a copy of it. */
    jobDerived: {
      prepare: (payload: { id: string; fromId: string; how: 'machine' | 'copy' }) =>
        prepareEdit(payload),
      reducer(
        state,
        {
          payload,
        }: PayloadAction<{ id: string; fromId: string; how: 'machine' | 'copy'; at: string }>,
      ) {
        const from = state.entities[payload.fromId];
        if (!from || isFull(state)) return;
        const make = payload.how === 'machine' ? nextJobOf : copyOfJob;
        adapter.addOne(
          state,
          make(from, payload.id, nextNumber(original(state) ?? state), payload.at),
        );
      },
    },
    /** The job as a capability's own edit made it; see `changeJob.ts`. */
    jobReplaced: {
      prepare: (payload: { job: Job; typing?: string }) => prepareEdit(payload),
      reducer(state, { payload }: PayloadAction<{ job: Job; at: string }>) {
        edit(state, { jobId: payload.job.id, at: payload.at }, () => payload.job);
      },
    },
    /** Takes back text that was no value yet, once the field has one in another way. */
    draftDropped(state, { payload }: PayloadAction<{ jobId: string; path: FieldPath }>) {
      withDraft(state, payload.jobId, payload.path, undefined);
    },
    /** A job from a file. When its identity is taken by another record, it comes in beside it. */
    jobImported(state, { payload }: PayloadAction<{ job: Job; drafts: Drafts; id: string }>) {
      const job = { ...payload.job, id: payload.id };
      adapter.setOne(state, job);
      state.drafts = { ...state.drafts, [job.id]: payload.drafts };
    },
    /** A job as another tab has stored it; what was edited here meanwhile stays beside it. */
    jobSynced: {
      prepare: (payload: { job: Job; edited?: Job; newId: string }) => ({
        payload: { ...payload, at: new Date().toISOString() },
      }),
      reducer(
        state,
        { payload }: PayloadAction<{ job: Job; edited?: Job; newId: string; at: string }>,
      ) {
        const { job, edited, newId } = payload;
        adapter.setOne(state, job);
        withoutRow(state, job.id);
        if (!edited) return;
        adapter.addOne(state, copyOfEdit(edited, newId, payload.at));
        const { [job.id]: drafts = {}, ...others } = state.drafts;
        state.drafts = { ...others, [newId]: drafts };
      },
    },
    draftsSynced(state, { payload }: PayloadAction<{ jobId: string; drafts: Drafts }>) {
      state.drafts = { ...state.drafts, [payload.jobId]: payload.drafts };
    },
    /** Deleted in another tab. */
    jobGone(state, { payload }: PayloadAction<string>) {
      adapter.removeOne(state, payload);
      withoutRow(state, payload);
    },
    jobRemoved(state, { payload }: PayloadAction<string>) {
      const job = state.entities[payload];
      if (!job) return;
      const { [payload]: drafts = {}, ...others } = state.drafts;
      state.removed = { job, drafts };
      state.drafts = others;
      adapter.removeOne(state, payload);
    },
    removalUndone(state) {
      if (!state.removed) return;
      const { job, drafts } = state.removed;
      adapter.addOne(state, job);
      state.drafts = { ...state.drafts, [job.id]: drafts };
      state.removed = undefined;
    },
    removalForgotten(state) {
      state.removed = undefined;
    },
    jobArchived: {
      prepare: (payload: { jobId: string; archived: boolean }) => prepareEdit(payload),
      reducer(state, { payload }: PayloadAction<{ jobId: string; archived: boolean; at: string }>) {
        const { jobId, archived } = payload;
        edit(state, { jobId }, (job) => (job.archived === archived ? job : { ...job, archived }));
        state.archivedId = archived ? jobId : undefined;
      },
    },
    archivingForgotten(state) {
      state.archivedId = undefined;
    },

    /** What stands in a numeric field: becomes a value when it can be read, else a draft; never lost. */
    fieldTyped: {
      prepare: (payload: { jobId: string; path: FieldPath; text: string; units: UnitChoice }) =>
        prepareEdit(payload),
      reducer(
        state,
        {
          payload,
        }: PayloadAction<{
          jobId: string;
          path: FieldPath;
          text: string;
          units: UnitChoice;
          at: string;
        }>,
      ) {
        const { jobId, path, text, units } = payload;
        const job = state.entities[jobId];
        if (!job) return;
        const parsed = parseEntry(text, fieldOf(job, path), units);
        const source = entryAt(job, path)?.source;
        const entry: Entry | undefined =
          parsed.kind === 'value'
            ? {
                value: parsed.value,
                ...(saysMore(text) ? { typed: text.trim().slice(0, 80) } : {}),
                ...(parsed.range ? { range: parsed.range } : {}),
                ...(source && source.kind !== 'estimate' ? { source } : {}),
              }
            : undefined;
        edit(state, payload, () => withEntry(job, path, entry));
        const open = parsed.kind === 'question' || parsed.kind === 'refused';
        withDraft(state, jobId, path, open ? { text: text.slice(0, 400), units } : undefined);
      },
    },
    /** One of the readings that a question offered. */
    readingChosen: {
      prepare: (payload: { jobId: string; path: FieldPath; value: number; typed: string }) =>
        prepareEdit(payload),
      reducer(
        state,
        {
          payload,
        }: PayloadAction<{
          jobId: string;
          path: FieldPath;
          value: number;
          typed: string;
          at: string;
        }>,
      ) {
        const { jobId, path, value, typed } = payload;
        edit(state, payload, (job) => withEntry(job, path, { value, typed }));
        withDraft(state, jobId, path, undefined);
      },
    },
    sourceChosen: {
      prepare: (payload: { jobId: string; path: FieldPath; source: Source }) =>
        prepareEdit(payload),
      reducer(
        state,
        { payload }: PayloadAction<{ jobId: string; path: FieldPath; source: Source; at: string }>,
      ) {
        edit(state, payload, (job) => {
          const entry = entryAt(job, payload.path);
          return entry ? withEntry(job, payload.path, { ...entry, source: payload.source }) : job;
        });
      },
    },
    detailsTyped: {
      prepare: (payload: {
        jobId: string;
        number?: string;
        name?: string;
        use?: string;
        notes?: string;
      }) => prepareEdit(payload),
      reducer(
        state,
        {
          payload,
        }: PayloadAction<{
          jobId: string;
          at: string;
          number?: string;
          name?: string;
          use?: string;
          notes?: string;
        }>,
      ) {
        edit(state, payload, (job) => ({
          ...job,
          number: payload.number ?? job.number,
          notes: payload.notes ?? job.notes,
          machine: {
            ...job.machine,
            name: payload.name ?? job.machine.name,
            use: payload.use ?? job.machine.use,
          },
        }));
      },
    },

    ...packReducers,
    ...springReducers,
    assistTypeChosen: {
      prepare: (payload: { jobId: string; type: AssistType }) => prepareEdit(payload),
      reducer(state, { payload }: PayloadAction<{ jobId: string; type: AssistType; at: string }>) {
        edit(state, payload, (job) => ({ ...job, assist: { ...job.assist, type: payload.type } }));
      },
    },
    startClutchPlaced: {
      prepare: (payload: { jobId: string; place: StartClutchPlace }) => prepareEdit(payload),
      reducer(
        state,
        { payload }: PayloadAction<{ jobId: string; place: StartClutchPlace; at: string }>,
      ) {
        edit(state, payload, (job) => ({
          ...job,
          startClutch: { ...job.startClutch, place: payload.place },
        }));
      },
    },
    releaseTypeChosen: {
      prepare: (payload: { jobId: string; type: Release['type'] }) => prepareEdit(payload),
      reducer(
        state,
        { payload }: PayloadAction<{ jobId: string; type: Release['type']; at: string }>,
      ) {
        edit(state, payload, (job) => ({
          ...job,
          release: { ...job.release, type: payload.type },
        }));
      },
    },
  },
});

/** A workshop with more jobs would make a file that nobody can read. */
const isFull = ({ ids, unread }: JobsState): boolean =>
  ids.length + Object.keys(unread).length >= MAX_JOBS;

/** The next number of the workshop: one above the greatest of the form UR-0000. */
function nextNumber({ entities, unread }: JobsState): string {
  const all = [...Object.values(entities), ...Object.values(unread)];
  const numbers = all.map((j) => Number(/^UR-(\d{1,6})$/.exec(j.number)?.[1] ?? 100));
  return `UR-${String(numbers.reduce((a, b) => Math.max(a, b), 100) + 1).padStart(4, '0')}`;
}

export const jobsReducer = withFrozen(withHistory(withReading(jobsSlice.reducer)));
export const jobActions = { ...jobsSlice.actions, jobsLoaded, jobsRead, jobWanted };
export const jobSelectors = adapter.getSelectors((state: { jobs: JobsState }) => state.jobs);
export type { Draft, Drafts, JobsState } from './jobsState';
