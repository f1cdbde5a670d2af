import type { PayloadAction } from '@reduxjs/toolkit';
import { createSlice, original } from '@reduxjs/toolkit';

import { begunJob } from '@/core/job/blank';
import { copyOfEdit, nextJobOf } from '@/core/job/derive';
import { MAX_JOBS } from '@/core/job/fields';
import type { Job } from '@/core/job/types';

import { withEditing } from './editing';
import type { Drafts, JobsState } from './jobsState';
import { adapter, initialState } from './jobsState';
import { jobsLoaded, jobsRead, jobWanted, readingFirst } from './reading';

/** Reducers are pure: the time of an action comes with it. */
const stamped = <T extends object>(payload: T) => ({
  payload: { ...payload, at: new Date().toISOString() },
});

function withoutRow(state: JobsState, id: string): void {
  if (!(id in state.unread)) return;
  const { [id]: _read, ...others } = state.unread;
  state.unread = others;
}

const jobsSlice = createSlice({
  name: 'jobs',
  initialState,
  reducers: {
    jobStarted: {
      prepare: (payload: { id: string }) => stamped(payload),
      reducer(state, { payload }: PayloadAction<{ id: string; at: string }>) {
        if (isFull(state)) return;
        adapter.addOne(
          state,
          begunJob(payload.id, nextNumber(original(state) ?? state), payload.at),
        );
      },
    },
    /** A job for the same machine, with its pack. */
    jobDerived: {
      prepare: (payload: { id: string; fromId: string }) => stamped(payload),
      reducer(state, { payload }: PayloadAction<{ id: string; fromId: string; at: string }>) {
        const from = state.entities[payload.fromId];
        if (!from || isFull(state)) return;
        adapter.addOne(
          state,
          nextJobOf(from, payload.id, nextNumber(original(state) ?? state), payload.at),
        );
      },
    },
    /** A job from a file. When its identity is taken by another record, it comes in beside it. */
    jobImported(state, { payload }: PayloadAction<{ job: Job; drafts: Drafts; id: string }>) {
      const job = { ...payload.job, id: payload.id };
      adapter.setOne(state, job);
      state.drafts = { ...state.drafts, [job.id]: payload.drafts };
    },
    /** A job as stored by another tab; edits made here meanwhile are kept beside it. */
    jobSynced: {
      prepare: (payload: { job: Job; edited?: Job; newId: string }) => stamped(payload),
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
    /** A job was put in the archive, or that was undone or left. */
    archivingNoted(state, { payload }: PayloadAction<string | undefined>) {
      state.archivedId = payload;
    },
    removalForgotten(state) {
      state.removed = undefined;
    },
  },
});

/** A workshop with more jobs would exceed the limit of its file. */
const isFull = ({ ids, unread }: JobsState): boolean =>
  ids.length + Object.keys(unread).length >= MAX_JOBS;

/** The next number of the workshop: one above the highest number of the form UR-0000. */
function nextNumber({ entities, unread }: JobsState): string {
  const all = [...Object.values(entities), ...Object.values(unread)];
  const numbers = all.map((j) => Number(/^UR-(\d{1,6})$/.exec(j.number)?.[1] ?? 100));
  return `UR-${String(numbers.reduce((a, b) => Math.max(a, b), 100) + 1).padStart(4, '0')}`;
}

export const jobsReducer = withEditing(readingFirst(jobsSlice.reducer));
export const jobActions = { ...jobsSlice.actions, jobsLoaded, jobsRead, jobWanted };
export const jobSelectors = adapter.getSelectors((state: { jobs: JobsState }) => state.jobs);
export type { Drafts, JobsState } from './jobsState';
