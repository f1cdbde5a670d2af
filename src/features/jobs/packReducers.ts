import type { PayloadAction } from '@reduxjs/toolkit';

import { alternate, blankKind } from '@/core/job/blank';
import { MAX_KINDS, MAX_PLATES } from '@/core/job/fields';
import type { Job, Pack, PlateKind } from '@/core/job/types';

import type { JobsState } from './jobsState';
import { edit, freeName, prepareEdit, replace } from './jobsState';

const withPack = (job: Job, part: Partial<Pack>): Job => ({
  ...job,
  pack: { ...job.pack, ...part },
});

/** Kinds of plate, and plates in their order. */
export const packReducers = {
  kindAdded: {
    prepare: (payload: { jobId: string; sort: 'friction' | 'steel' }) => prepareEdit(payload),
    reducer(
      state: JobsState,
      {
        payload,
      }: PayloadAction<{ jobId: string; sort: 'friction' | 'steel'; at: string; newId: string }>,
    ) {
      edit(state, payload, (job) => {
        const { kinds } = job.pack;
        if (kinds.length >= MAX_KINDS) return job;
        const base = payload.sort === 'friction' ? 'Disc' : 'Steel';
        const like = kinds.find((k) => (k.lined !== 'none') === (payload.sort === 'friction'));
        const fresh = like
          ? { ...like, id: payload.newId }
          : blankKind(payload.newId, payload.sort, base);
        return withPack(job, {
          kinds: [
            ...kinds,
            {
              ...fresh,
              name: freeName(
                base,
                kinds.map((k) => k.name),
              ),
            },
          ],
        });
      });
    },
  },
  kindChanged: {
    prepare: (payload: {
      jobId: string;
      kindId: string;
      part: Partial<
        Pick<
          PlateKind,
          'name' | 'turnsWith' | 'lined' | 'lining' | 'material' | 'directional' | 'grindable'
        >
      >;
    }) => prepareEdit(payload),
    reducer(
      state: JobsState,
      {
        payload,
      }: PayloadAction<{ jobId: string; kindId: string; part: Partial<PlateKind>; at: string }>,
    ) {
      edit(state, payload, (job) =>
        withPack(job, { kinds: replace(job.pack.kinds, payload.kindId, payload.part) }),
      );
    },
  },
  /** Takes a kind out that no plate is of. */
  kindRemoved: {
    prepare: (payload: { jobId: string; kindId: string }) => prepareEdit(payload),
    reducer(
      state: JobsState,
      { payload }: PayloadAction<{ jobId: string; kindId: string; at: string }>,
    ) {
      edit(state, payload, (job) =>
        job.pack.plates.some((p) => p.kindId === payload.kindId)
          ? job
          : withPack(job, { kinds: job.pack.kinds.filter((k) => k.id !== payload.kindId) }),
      );
    },
  },

  /** Lays discs and steels in turn in place of the present plates. */
  packLaid: {
    prepare: (payload: {
      jobId: string;
      discs: number;
      first: 'friction' | 'steel';
      frictionKind: string;
      steelKind: string;
    }) => prepareEdit(payload),
    reducer(
      state: JobsState,
      {
        payload,
      }: PayloadAction<{
        jobId: string;
        discs: number;
        first: 'friction' | 'steel';
        frictionKind: string;
        steelKind: string;
        at: string;
        newId: string;
      }>,
    ) {
      const plates = alternate(
        payload.frictionKind,
        payload.steelKind,
        payload.discs,
        payload.first,
        (n) => `${payload.newId}-${n}`,
      );
      if (plates.length > MAX_PLATES) return;
      edit(state, payload, (job) => withPack(job, { plates }));
    },
  },
  packOptionChosen: {
    prepare: (payload: {
      jobId: string;
      part: Partial<Pick<Pack, 'floorTurnsWith' | 'pressurePlateTurnsWith' | 'radiusModel'>>;
    }) => prepareEdit(payload),
    reducer(
      state: JobsState,
      { payload }: PayloadAction<{ jobId: string; part: Partial<Pack>; at: string }>,
    ) {
      edit(state, payload, (job) => withPack(job, payload.part));
    },
  },
};
