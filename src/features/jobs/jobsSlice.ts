import type { PayloadAction } from '@reduxjs/toolkit';
import { createEntityAdapter, createSlice, nanoid } from '@reduxjs/toolkit';

import { alternate, blankCoilGroup, blankJob, blankKind } from '@/core/job/blank';
import { copyOfJob, nextJobOf } from '@/core/job/derive';
import type { FieldPath } from '@/core/job/fields';
import {
  MAX_GROUPS,
  MAX_KINDS,
  MAX_PLATES,
  MAX_STEPS,
  MAX_TESTER_POINTS,
  fieldAt,
} from '@/core/job/fields';
import { entryAt, withEntry } from '@/core/job/paths';
import type {
  AssistType,
  CoilGroup,
  DiaphragmSpring,
  Entry,
  Job,
  Pack,
  Plate,
  PlateKind,
  Release,
  Source,
  SpringType,
  StartClutchPlace,
} from '@/core/job/types';
import { parseEntry } from '@/core/units/parseEntry';
import type { UnitChoice } from '@/core/units/quantity';

/** Text in a field that is no value yet, with the units that were shown when it was typed. */
export interface Draft {
  readonly text: string;
  readonly units: UnitChoice;
}

export type Drafts = Readonly<Record<FieldPath, Draft>>;

interface Removed {
  readonly job: Job;
  readonly drafts: Drafts;
}

const adapter = createEntityAdapter<Job>({
  sortComparer: (a, b) =>
    b.updatedAt.localeCompare(a.updatedAt) || b.number.localeCompare(a.number),
});

const initialState = adapter.getInitialState({
  loaded: false,
  drafts: {} as Readonly<Record<string, Drafts>>,
  /** The job last deleted, kept for undo until the next one goes. */
  removed: undefined as Removed | undefined,
  /** The job last put in the archive, for undo. */
  archivedId: undefined as string | undefined,
});

type JobsState = typeof initialState;

/** Every edit names its job and the time it was made, so that reducers stay pure. */
interface Edit {
  readonly jobId: string;
  readonly at?: string;
}

const prepareEdit = <T extends object>(payload: T) => ({
  payload: { ...payload, at: new Date().toISOString(), newId: nanoid(10) },
});

/** Replaces the job of an edit by what `change` makes of it, and stamps it when it changed. */
function edit(state: JobsState, { jobId, at }: Edit, change: (job: Job) => Job): void {
  const job = state.entities[jobId];
  if (!job) return;
  const next = change(job);
  if (next !== job) adapter.setOne(state, { ...next, updatedAt: at ?? next.updatedAt });
}

const withPack = (job: Job, part: Partial<Pack>): Job => ({
  ...job,
  pack: { ...job.pack, ...part },
});

function withDraft(
  state: JobsState,
  jobId: string,
  path: FieldPath,
  draft: Draft | undefined,
): void {
  const { [path]: _old, ...others } = state.drafts[jobId] ?? {};
  state.drafts = { ...state.drafts, [jobId]: draft ? { ...others, [path]: draft } : others };
}

/** Whether the text says more than the number: a unit, a fraction, a diameter. */
function saysMore(text: string): boolean {
  return /[^\d.,\s]/.test(text);
}

const replace = <T extends { readonly id: string }>(
  items: readonly T[],
  id: string,
  part: Partial<T>,
): T[] => items.map((item) => (item.id === id ? { ...item, ...part } : item));

const jobsSlice = createSlice({
  name: 'jobs',
  initialState,
  reducers: {
    jobsLoaded(
      state,
      {
        payload,
      }: PayloadAction<{ jobs: readonly Job[]; drafts: Readonly<Record<string, Drafts>> }>,
    ) {
      adapter.setAll(state, [...payload.jobs]);
      state.drafts = payload.drafts;
      state.loaded = true;
    },
    jobStarted: {
      prepare: (payload: { id: string }) => prepareEdit(payload),
      reducer(state, { payload }: PayloadAction<{ id: string; at: string }>) {
        adapter.addOne(
          state,
          blankJob(payload.id, nextNumber(Object.values(state.entities)), payload.at),
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
        if (!from) return;
        const make = payload.how === 'machine' ? nextJobOf : copyOfJob;
        adapter.addOne(
          state,
          make(from, payload.id, nextNumber(Object.values(state.entities)), payload.at),
        );
      },
    },
    /** The job as a capability's own edit made it; see `changeJob.ts`. */
    jobReplaced: {
      prepare: (payload: { job: Job }) => prepareEdit(payload),
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
        const parsed = parseEntry(text, fieldAt(path), units);
        const job = state.entities[jobId];
        if (!job) return;
        const source = entryAt(job, path)?.source;
        const entry: Entry | undefined =
          parsed.kind === 'value'
            ? {
                value: parsed.value,
                ...(saysMore(text) ? { typed: text.trim() } : {}),
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

    kindAdded: {
      prepare: (payload: { jobId: string; sort: 'friction' | 'steel' }) => prepareEdit(payload),
      reducer(
        state,
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
        state,
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
      reducer(state, { payload }: PayloadAction<{ jobId: string; kindId: string; at: string }>) {
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
        state,
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
    /** Puts a list of plates back as it was: the undo of one change of the order. */
    platesRestored: {
      prepare: (payload: { jobId: string; plates: readonly Plate[] }) => prepareEdit(payload),
      reducer(
        state,
        { payload }: PayloadAction<{ jobId: string; plates: readonly Plate[]; at: string }>,
      ) {
        edit(state, payload, (job) => withPack(job, { plates: payload.plates }));
      },
    },
    plateAdded: {
      prepare: (payload: { jobId: string; kindId: string }) => prepareEdit(payload),
      reducer(
        state,
        { payload }: PayloadAction<{ jobId: string; kindId: string; at: string; newId: string }>,
      ) {
        edit(state, payload, (job) =>
          job.pack.plates.length >= MAX_PLATES
            ? job
            : withPack(job, {
                plates: [...job.pack.plates, { id: payload.newId, kindId: payload.kindId }],
              }),
        );
      },
    },
    plateRemoved: {
      prepare: (payload: { jobId: string; plateId: string }) => prepareEdit(payload),
      reducer(state, { payload }: PayloadAction<{ jobId: string; plateId: string; at: string }>) {
        edit(state, payload, (job) =>
          withPack(job, { plates: job.pack.plates.filter((p) => p.id !== payload.plateId) }),
        );
      },
    },
    plateDuplicated: {
      prepare: (payload: { jobId: string; plateId: string }) => prepareEdit(payload),
      reducer(
        state,
        { payload }: PayloadAction<{ jobId: string; plateId: string; at: string; newId: string }>,
      ) {
        edit(state, payload, (job) => {
          const { plates } = job.pack;
          const index = plates.findIndex((p) => p.id === payload.plateId);
          const original = plates[index];
          // The copy is another part: nothing measured on the first goes with it.
          return !original || plates.length >= MAX_PLATES
            ? job
            : withPack(job, {
                plates: plates.toSpliced(index + 1, 0, {
                  id: payload.newId,
                  kindId: original.kindId,
                }),
              });
        });
      },
    },
    /** Moves a plate by `by` places; up is outward, towards the pressure plate. */
    plateMoved: {
      prepare: (payload: { jobId: string; plateId: string; by: number }) => prepareEdit(payload),
      reducer(
        state,
        { payload }: PayloadAction<{ jobId: string; plateId: string; by: number; at: string }>,
      ) {
        edit(state, payload, (job) => {
          const plates = [...job.pack.plates];
          const from = plates.findIndex((p) => p.id === payload.plateId);
          const to = from + payload.by;
          const [plate] = from < 0 || to < 0 || to >= plates.length ? [] : plates.splice(from, 1);
          if (!plate) return job;
          plates.splice(to, 0, plate);
          return withPack(job, { plates });
        });
      },
    },
    /** Puts another kind in a plate's place. What was measured belonged to the part that goes. */
    plateKindChosen: {
      prepare: (payload: { jobId: string; plateId: string; kindId: string }) =>
        prepareEdit(payload),
      reducer(
        state,
        { payload }: PayloadAction<{ jobId: string; plateId: string; kindId: string; at: string }>,
      ) {
        edit(state, payload, (job) =>
          withPack(job, {
            plates: job.pack.plates.map((p) =>
              p.id === payload.plateId && p.kindId !== payload.kindId
                ? { id: p.id, kindId: payload.kindId }
                : p,
            ),
          }),
        );
      },
    },
    packOptionChosen: {
      prepare: (payload: {
        jobId: string;
        part: Partial<Pick<Pack, 'floorTurnsWith' | 'pressurePlateTurnsWith' | 'radiusModel'>>;
      }) => prepareEdit(payload),
      reducer(
        state,
        { payload }: PayloadAction<{ jobId: string; part: Partial<Pack>; at: string }>,
      ) {
        edit(state, payload, (job) => withPack(job, payload.part));
      },
    },

    groupAdded: {
      prepare: (payload: { jobId: string }) => prepareEdit(payload),
      reducer(state, { payload }: PayloadAction<{ jobId: string; at: string; newId: string }>) {
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
        state,
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
      reducer(state, { payload }: PayloadAction<{ jobId: string; groupId: string; at: string }>) {
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
        state,
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
      prepare: (payload: { jobId: string; groupId: string; pointId: string }) =>
        prepareEdit(payload),
      reducer(
        state,
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
      reducer(state, { payload }: PayloadAction<{ jobId: string; type: SpringType; at: string }>) {
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
        state,
        { payload }: PayloadAction<{ jobId: string; part: Partial<DiaphragmSpring>; at: string }>,
      ) {
        edit(state, payload, (job) => withDiaphragm(job, payload.part));
      },
    },
    stepAdded: {
      prepare: (payload: { jobId: string }) => prepareEdit(payload),
      reducer(state, { payload }: PayloadAction<{ jobId: string; at: string; newId: string }>) {
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
      reducer(state, { payload }: PayloadAction<{ jobId: string; stepId: string; at: string }>) {
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
      reducer(state, { payload }: PayloadAction<{ jobId: string; at: string; newId: string }>) {
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
      reducer(state, { payload }: PayloadAction<{ jobId: string; pointId: string; at: string }>) {
        edit(state, payload, (job) =>
          withDiaphragm(job, {
            points: job.springs.diaphragm.points.filter((p) => p.id !== payload.pointId),
          }),
        );
      },
    },
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

function freeName(base: string, taken: readonly string[]): string {
  for (let n = 1; ; n++) {
    const name = n === 1 ? base : `${base} ${n}`;
    if (!taken.includes(name)) return name;
  }
}

/** The next number of the workshop: one above the greatest of the form UR-0000. */
function nextNumber(jobs: readonly (Job | undefined)[]): string {
  const numbers = jobs.map((j) => Number(/^UR-(\d{1,6})$/.exec(j?.number ?? '')?.[1] ?? 100));
  return `UR-${String(Math.max(100, ...numbers) + 1).padStart(4, '0')}`;
}

export const jobsReducer = jobsSlice.reducer;
export const jobActions = jobsSlice.actions;
export const jobSelectors = adapter.getSelectors((state: { jobs: JobsState }) => state.jobs);
export type { JobsState };
