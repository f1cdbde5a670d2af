import type { PayloadAction } from '@reduxjs/toolkit';

import { blankCoilGroup } from '@/core/job/blank';
import { MAX_GROUPS, MAX_STEPS, MAX_TESTER_POINTS } from '@/core/job/fields';
import type { CoilGroup, DiaphragmSpring, Job, SpringType } from '@/core/job/types';

import type { JobsState } from './jobsState';
import { edit, freeName, prepareEdit, replace } from './jobsState';

/** Springs of every family: their kinds, steps and points. */
export const springReducers = {
  groupAdded: {
    prepare: (payload: { jobId: string }) => prepareEdit(payload),
    reducer(
      state: JobsState,
      { payload }: PayloadAction<{ jobId: string; at: string; newId: string }>,
    ) {
      edit(state, payload, (job) => {
        const { groups } = job.springs.coil;
        if (groups.length >= MAX_GROUPS) return job;
        const name = freeName(
          'Springs',
          groups.map((g) => g.name),
        );
        return withGroups(job, [...groups, blankCoilGroup(payload.newId, name)]);
      });
    },
  },
  groupChanged: {
    prepare: (payload: {
      jobId: string;
      groupId: string;
      part: Partial<Pick<CoilGroup, 'name' | 'rateFrom'>>;
    }) => prepareEdit(payload),
    reducer(
      state: JobsState,
      {
        payload,
      }: PayloadAction<{ jobId: string; groupId: string; part: Partial<CoilGroup>; at: string }>,
    ) {
      edit(state, payload, (job) =>
        withGroups(job, replace(job.springs.coil.groups, payload.groupId, payload.part)),
      );
    },
  },
  groupRemoved: {
    prepare: (payload: { jobId: string; groupId: string }) => prepareEdit(payload),
    reducer(
      state: JobsState,
      { payload }: PayloadAction<{ jobId: string; groupId: string; at: string }>,
    ) {
      edit(state, payload, (job) =>
        withGroups(
          job,
          job.springs.coil.groups.filter((g) => g.id !== payload.groupId),
        ),
      );
    },
  },
  testerPointAdded: {
    prepare: (payload: { jobId: string; groupId: string }) => prepareEdit(payload),
    reducer(
      state: JobsState,
      { payload }: PayloadAction<{ jobId: string; groupId: string; at: string; newId: string }>,
    ) {
      edit(state, payload, (job) =>
        changePoints(job, payload.groupId, (points) =>
          points.length >= MAX_TESTER_POINTS ? points : [...points, { id: payload.newId }],
        ),
      );
    },
  },
  testerPointRemoved: {
    prepare: (payload: { jobId: string; groupId: string; pointId: string }) => prepareEdit(payload),
    reducer(
      state: JobsState,
      { payload }: PayloadAction<{ jobId: string; groupId: string; pointId: string; at: string }>,
    ) {
      edit(state, payload, (job) =>
        changePoints(job, payload.groupId, (points) =>
          points.filter((p) => p.id !== payload.pointId),
        ),
      );
    },
  },
  springTypeChosen: {
    prepare: (payload: { jobId: string; type: SpringType }) => prepareEdit(payload),
    reducer(
      state: JobsState,
      { payload }: PayloadAction<{ jobId: string; type: SpringType; at: string }>,
    ) {
      edit(state, payload, (job) => ({
        ...job,
        springs: { ...job.springs, type: payload.type },
      }));
    },
  },
  diaphragmChanged: {
    prepare: (payload: {
      jobId: string;
      part: Partial<Pick<DiaphragmSpring, 'forceFrom' | 'stepId'>>;
    }) => prepareEdit(payload),
    reducer(
      state: JobsState,
      { payload }: PayloadAction<{ jobId: string; part: Partial<DiaphragmSpring>; at: string }>,
    ) {
      edit(state, payload, (job) => withDiaphragm(job, payload.part));
    },
  },
  stepAdded: {
    prepare: (payload: { jobId: string }) => prepareEdit(payload),
    reducer(
      state: JobsState,
      { payload }: PayloadAction<{ jobId: string; at: string; newId: string }>,
    ) {
      edit(state, payload, (job) => {
        const { steps, stepId } = job.springs.diaphragm;
        if (steps.length >= MAX_STEPS) return job;
        const step = { id: payload.newId, name: String(steps.length + 1) };
        return withDiaphragm(job, { steps: [...steps, step], stepId: stepId ?? step.id });
      });
    },
  },
  stepRemoved: {
    prepare: (payload: { jobId: string; stepId: string }) => prepareEdit(payload),
    reducer(
      state: JobsState,
      { payload }: PayloadAction<{ jobId: string; stepId: string; at: string }>,
    ) {
      edit(state, payload, (job) => {
        const steps = job.springs.diaphragm.steps.filter((s) => s.id !== payload.stepId);
        const present = job.springs.diaphragm.stepId;
        return withDiaphragm(job, {
          steps,
          stepId: present === payload.stepId ? steps[0]?.id : present,
        });
      });
    },
  },
  diaphragmPointAdded: {
    prepare: (payload: { jobId: string }) => prepareEdit(payload),
    reducer(
      state: JobsState,
      { payload }: PayloadAction<{ jobId: string; at: string; newId: string }>,
    ) {
      edit(state, payload, (job) => {
        const { points } = job.springs.diaphragm;
        return points.length >= MAX_TESTER_POINTS
          ? job
          : withDiaphragm(job, { points: [...points, { id: payload.newId }] });
      });
    },
  },
  diaphragmPointRemoved: {
    prepare: (payload: { jobId: string; pointId: string }) => prepareEdit(payload),
    reducer(
      state: JobsState,
      { payload }: PayloadAction<{ jobId: string; pointId: string; at: string }>,
    ) {
      edit(state, payload, (job) =>
        withDiaphragm(job, {
          points: job.springs.diaphragm.points.filter((p) => p.id !== payload.pointId),
        }),
      );
    },
  },
};

function withGroups(job: Job, groups: readonly CoilGroup[]): Job {
  const ids = new Set(groups.map((g) => g.id));
  const ring = job.springs.coil.ring.filter((id) => ids.has(id));
  return { ...job, springs: { ...job.springs, coil: { ...job.springs.coil, groups, ring } } };
}

function withDiaphragm(job: Job, part: Partial<DiaphragmSpring>): Job {
  return {
    ...job,
    springs: { ...job.springs, diaphragm: { ...job.springs.diaphragm, ...part } },
  };
}

function changePoints(
  job: Job,
  groupId: string,
  change: (points: CoilGroup['testerPoints']) => CoilGroup['testerPoints'],
): Job {
  return withGroups(
    job,
    job.springs.coil.groups.map((g) =>
      g.id === groupId ? { ...g, testerPoints: change(g.testerPoints) } : g,
    ),
  );
}
