import { jobOf } from '@/testing/jobs';
import { fieldPath } from '@/core/job/fieldPath';
import type { FieldPath, FieldPattern } from '@/core/job/fieldPath';
import { editJob, typeInField } from '../editJob';
import { addKind, fillStack, removeKind } from '@/core/job/edits/pack';
import {
  addDiaphragmPoint,
  addGroup,
  addStep,
  addTesterPoint,
  chooseSpringType,
  removeDiaphragmPoint,
  removeGroup,
  removeStep,
  removeTesterPoint,
} from '@/core/job/edits/springs';
import { configureStore } from '@reduxjs/toolkit';
import fc from 'fast-check';

import { evaluate } from '@/core/evaluate/evaluate';
import { blankJob } from '@/core/job/blank';
import {
  FIELDS,
  MAX_GROUPS,
  MAX_KINDS,
  MAX_PLATES,
  MAX_STEPS,
  MAX_TESTER_POINTS,
} from '@/core/job/fields';
import type { Job } from '@/core/job/types';
import { withVariant, withVariantInUse } from '@/core/job/variants';
import * as packEdit from '@/core/pack/edit';
import { readJobFile, writeJobFile } from '@/files/jobFile';
import type { AppStore } from '@/state/store';
import { HOSTILE_TEXTS } from '@/testing/hostile';

import { historyOpened, redone, undone } from '../editing';
import { jobActions, jobsReducer } from '../jobsSlice';

/*
 * Whatever is done to a job, in whatever order: it stays a record that its file can hold, that can be evaluated, within the
 * limits, and every step can be taken back.
 */

const NOW = '2026-11-24T10:00:00.000Z';

function opened(job: Job) {
  const store = configureStore({
    reducer: { jobs: jobsReducer },
    middleware: (defaults) => defaults({ serializableCheck: false, immutableCheck: false }),
  });
  store.dispatch(jobActions.jobsLoaded({ jobs: [job], drafts: {} }));
  store.dispatch(historyOpened({ jobId: job.id }));
  const now = () => store.getState().jobs.entities[job.id] as Job;
  const drafts = () => store.getState().jobs.drafts[job.id] ?? {};
  return { store, now, drafts };
}

type Dispatch = Pick<AppStore, 'dispatch'>['dispatch'];
/** One thing that a builder does; numbers choose among what there is. */
type Deed = (dispatch: Dispatch, job: Job) => void;

/** One of what there is, by a number; none where there is nothing. */
const pick = <T>(items: readonly T[], n: number): T | undefined => items[n % items.length];

/** The paths of all fields that the job has. */
function pathsOf(job: Job): readonly FieldPath[] {
  const lists: Readonly<Record<string, readonly { readonly id: string }[]>> = {
    'pack.kinds.*': job.pack.kinds,
    'pack.plates.*': job.pack.plates,
    'springs.coil.groups.*': job.springs.coil.groups,
    'springs.diaphragm.steps.*': job.springs.diaphragm.steps,
    'springs.diaphragm.points.*': job.springs.diaphragm.points,
  };
  return (Object.keys(FIELDS) as FieldPattern[]).flatMap((pattern) => {
    if (!pattern.includes('*')) return [pattern];
    const list = Object.keys(lists).find((l) => pattern.startsWith(`${l}.`));
    const rest = list === undefined ? '*' : pattern.slice(list.length);
    return list === undefined || rest.includes('*')
      ? []
      : (lists[list] ?? []).map(({ id }) => fieldPath(pattern, id));
  });
}

const text = fc.oneof(
  fc.double({ min: 0.01, max: 500, noNaN: true }).map((v) => v.toPrecision(4)),
  fc.constantFrom('', '2.9', '1 1/8"', '0.114 in', '40 ft-lb', 'about 3', '1,5', '-2', '1e9'),
  fc.constantFrom(...HOSTILE_TEXTS),
  fc.string({ maxLength: 30 }),
);
const n = fc.nat({ max: 999 });
const several = fc.array(n, { minLength: 1, maxLength: 4 });
const chosen = (job: Job, numbers: readonly number[]): readonly string[] => [
  ...new Set(numbers.flatMap((at) => pick(job.pack.plates, at)?.id ?? [])),
];
let made = 0;
const fresh = () => `new-${(made += 1)}`;

const onPack = (change: (job: Job, ids: readonly string[], at: number) => Job) =>
  fc.tuple(several, n).map(([numbers, at]): Deed => (dispatch, job) => {
    const ids = chosen(job, numbers);
    if (ids.length > 0) dispatch(editJob(job.id, () => change(job, ids, at)));
  });
const group = (change: (job: Job, groupId: string, at: number) => Job) =>
  fc.tuple(n, n).map(([which, at]): Deed => (dispatch, job) => {
    const found = pick(job.springs.coil.groups, which);
    if (found) dispatch(editJob(job.id, (j) => change(j, found.id, at)));
  });

const deeds: fc.Arbitrary<Deed> = fc.oneof(
  {
    weight: 6,
    arbitrary: fc.tuple(n, text).map(([which, typed]): Deed => (dispatch, job) => {
      const path = pick(pathsOf(job), which) ?? 'engine.peakTorque';
      dispatch(typeInField(job.id, path, typed, {}));
    }),
  },
  fc.constantFrom('friction' as const, 'steel' as const).map(
    (sort): Deed =>
      (dispatch, job) =>
        dispatch(editJob(job.id, (j) => addKind(j, sort, fresh()))),
  ),
  n.map((which): Deed => (dispatch, job) => {
    const kind = pick(job.pack.kinds, which);
    if (kind) dispatch(editJob(job.id, (j) => removeKind(j, kind.id)));
  }),
  fc
    .tuple(fc.integer({ min: 1, max: 40 }), fc.constantFrom('friction' as const, 'steel' as const))
    .map(([discs, first]): Deed => (dispatch, job) => {
      const frictionKind = job.pack.kinds.find((k) => k.lined !== 'none')?.id;
      const steelKind = job.pack.kinds.find((k) => k.lined === 'none')?.id;
      if (frictionKind && steelKind)
        dispatch(
          editJob(job.id, (j) => fillStack(j, { discs, first, frictionKind, steelKind }, fresh)),
        );
    }),
  onPack((job, ids, at) => packEdit.movedByOne(job, ids, at % 2 === 0 ? 1 : -1)),
  onPack((job, ids, at) => packEdit.movedTo(job, ids, at % (job.pack.plates.length + 1))),
  onPack((job, ids) => packEdit.duplicated(job, ids, fresh)),
  onPack((job, ids) => packEdit.removed(job, ids)),
  onPack((job, ids) => packEdit.flipped(job, ids)),
  onPack((job, ids, at) => packEdit.ofKind(job, ids, pick(job.pack.kinds, at)?.id ?? '')),
  onPack((job, _ids, at) =>
    packEdit.inserted(
      job,
      pick(job.pack.kinds, at)?.id ?? '',
      at % (job.pack.plates.length + 1),
      fresh(),
    ),
  ),
  onPack((job, _ids, at) => withVariant(job, fresh(), `Pack ${at}`)),
  onPack((job, _ids, at) => withVariantInUse(job, pick(job.variants, at)?.id ?? '')),
  fc.constant<Deed>((dispatch, job) => dispatch(editJob(job.id, (j) => addGroup(j, fresh())))),
  group((job, groupId) => removeGroup(job, groupId)),
  group((job, groupId) => addTesterPoint(job, groupId, fresh())),
  group((job, groupId, at) => {
    const points = job.springs.coil.groups.find((g) => g.id === groupId)?.testerPoints ?? [];
    const point = pick(points, at);
    return point ? removeTesterPoint(job, groupId, point.id) : job;
  }),
  fc.constantFrom('coil' as const, 'diaphragm' as const, 'loose' as const).map(
    (type): Deed =>
      (dispatch, job) =>
        dispatch(editJob(job.id, (j) => chooseSpringType(j, type))),
  ),
  fc.constant<Deed>((dispatch, job) => dispatch(editJob(job.id, (j) => addStep(j, fresh())))),
  n.map((which): Deed => (dispatch, job) => {
    const step = pick(job.springs.diaphragm.steps, which);
    if (step) dispatch(editJob(job.id, (j) => removeStep(j, step.id)));
  }),
  fc.constant<Deed>((dispatch, job) =>
    dispatch(editJob(job.id, (j) => addDiaphragmPoint(j, fresh()))),
  ),
  n.map((which): Deed => (dispatch, job) => {
    const point = pick(job.springs.diaphragm.points, which);
    if (point) dispatch(editJob(job.id, (j) => removeDiaphragmPoint(j, point.id)));
  }),
);

const begun = fc.constantFrom(
  blankJob('one', 'UR-0001', NOW),
  ...['T-2', 'T-3', 'T-4', 'T-5', 'T-1'].map((number) => jobOf(number)),
);
const work = fc.array(deeds, { minLength: 1, maxLength: 30 });

describe('whatever is done to a job', () => {
  it('it stays within its limits, can be evaluated, and its file gives it back', () => {
    fc.assert(
      fc.property(begun, work, (job, sequence) => {
        const { store, now, drafts } = opened(job);
        for (const deed of sequence) deed(store.dispatch, now());
        const { pack, springs } = now();
        expect(pack.kinds.length).toBeLessThanOrEqual(MAX_KINDS);
        expect(pack.plates.length).toBeLessThanOrEqual(MAX_PLATES);
        expect(springs.coil.groups.length).toBeLessThanOrEqual(MAX_GROUPS);
        expect(springs.diaphragm.steps.length).toBeLessThanOrEqual(MAX_STEPS);
        for (const { testerPoints } of springs.coil.groups)
          expect(testerPoints.length).toBeLessThanOrEqual(MAX_TESTER_POINTS);
        // Nothing names what is not there.
        const kinds = new Set(pack.kinds.map((k) => k.id));
        expect(pack.plates.every((p) => kinds.has(p.kindId))).toBe(true);
        const groups = new Set(springs.coil.groups.map((g) => g.id));
        expect(springs.coil.ring.every((id) => groups.has(id))).toBe(true);
        const { steps, stepId } = springs.diaphragm;
        expect(stepId === undefined || steps.some((s) => s.id === stepId)).toBe(true);
        expect(new Set(pack.plates.map((p) => p.id)).size).toBe(pack.plates.length);

        evaluate(now());
        const unfinished = Object.fromEntries(
          Object.entries(drafts()).map(([path, draft]) => [path, draft.text]),
        );
        const back = readJobFile(writeJobFile(now(), unfinished, NOW));
        expect(back.job).toEqual(JSON.parse(JSON.stringify(now())));
      }),
      { numRuns: 150 },
    );
  });

  it('every step of it can be taken back, and done again', () => {
    fc.assert(
      fc.property(begun, work, (job, sequence) => {
        const { store, now, drafts } = opened(job);
        for (const deed of sequence) deed(store.dispatch, now());
        const [after, left] = [now(), drafts()];
        const steps = store.getState().jobs.history?.past.length ?? 0;
        for (let i = 0; i < steps; i++) store.dispatch(undone());
        expect(now()).toEqual(job);
        expect(drafts()).toEqual({});
        for (let i = 0; i < steps; i++) store.dispatch(redone());
        expect(now()).toEqual(after);
        expect(drafts()).toEqual(left);
      }),
      { numRuns: 100 },
    );
  });
});
