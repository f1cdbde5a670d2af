import { fieldPath } from '@/core/job/fieldPath';
import type { FieldPath } from '@/core/job/fieldPath';
import { configureStore } from '@reduxjs/toolkit';

import { chooseReading, chooseSource } from '@/core/job/edits/details';
import { fillStack, removeKind } from '@/core/job/edits/pack';
import { entryAt } from '@/core/job/entryAt';
import type { Job } from '@/core/job/types';

import { editJob, typeInField } from '../editJob';
import type { JobsState } from '../jobsSlice';
import { jobActions, jobsReducer } from '../jobsSlice';

const ID = 'job';
const run = (): JobsState => jobsReducer(undefined, jobActions.jobStarted({ id: ID }));
const job = (state: JobsState): Job => state.entities[ID] as Job;

/** A store with one new job. */
function begun() {
  const store = configureStore({ reducer: { jobs: jobsReducer } });
  store.dispatch(jobActions.jobStarted({ id: ID }));
  const state = () => store.getState().jobs;
  return {
    store,
    state,
    job: () => job(state()),
    type: (path: FieldPath, text: string) => store.dispatch(typeInField(ID, path, text, {})),
    edit: (change: (job: Job) => Job) => store.dispatch(editJob(ID, change)),
  };
}

describe('typing in a field', () => {
  it('stores the base unit and remembers how it was written', () => {
    const { type, job } = begun();
    type('engine.peakTorque', '30 ft-lb');
    expect(entryAt(job(), 'engine.peakTorque')?.value).toBeCloseTo(40.6745, 3);
    expect(entryAt(job(), 'engine.peakTorque')?.typed).toBe('30 ft-lb');
  });

  it('keeps what can’t be read as a draft, and takes the value away so that no figure rests on it', () => {
    const { type, job, state } = begun();
    type('engine.peakTorque', '40');
    type('engine.peakTorque', '40x');
    expect(entryAt(job(), 'engine.peakTorque')).toBeUndefined();
    expect(state().drafts[ID]).toEqual({ 'engine.peakTorque': { text: '40x', units: {} } });
    type('engine.peakTorque', '40');
    expect(entryAt(job(), 'engine.peakTorque')?.value).toBe(40);
    expect(state().drafts[ID]).toEqual({});
  });

  it('keeps the source of a value that is corrected', () => {
    const source = { kind: 'manual' } as const;
    const { type, edit, job } = begun();
    type('engine.peakTorque', '40');
    edit((j) => chooseSource(j, 'engine.peakTorque', source));
    type('engine.peakTorque', '41');
    expect(entryAt(job(), 'engine.peakTorque')).toEqual({ value: 41, source });
  });

  it('takes the reading that a question offered', () => {
    const path = 'pack.kinds.disc.thickness';
    const { store, type, job, state } = begun();
    type(path, '2.92 in');
    expect(entryAt(job(), path)).toBeUndefined();
    store.dispatch(
      editJob(ID, (j) => chooseReading(j, path, 2.92, '2.920 mm'), {
        draft: { path, draft: undefined },
      }),
    );
    expect(entryAt(job(), path)?.value).toBe(2.92);
    expect(state().drafts[ID]).toEqual({});
  });

  it('keeps each reading at its own point, also while another is no number yet', () => {
    const { type, edit, job, state } = begun();
    edit((j) =>
      fillStack(
        j,
        { discs: 1, first: 'friction', frictionKind: 'disc', steelKind: 'steel' },
        () => 'p1',
      ),
    );
    const point = (n: string) => fieldPath('pack.plates.*.readings.*', 'p1', n);
    type(point('1'), '2.9');
    type(point('2'), '2.8');
    type(point('3'), '2.7');
    type(point('2'), '2.8x');
    const values = () =>
      Object.entries(job().pack.plates[0]?.readings ?? {}).map(([p, r]) => [p, r.value]);
    expect(values()).toEqual([
      ['1', 2.9],
      ['3', 2.7],
    ]);
    expect(state().drafts[ID]?.[point('2')]?.text).toBe('2.8x');
    type(point('2'), '2.75');
    type(point('1'), '');
    expect(values()).toEqual([
      ['2', 2.75],
      ['3', 2.7],
    ]);
  });
});

describe('the order of plates', () => {
  const lay = (discs: number, first: 'friction' | 'steel') => (j: Job) =>
    fillStack(j, { discs, first, frictionKind: 'disc', steelKind: 'steel' }, (n) => `p${n}`);
  const order = (...changes: ((job: Job) => Job)[]) => {
    const { edit, job } = begun();
    changes.forEach(edit);
    return job()
      .pack.plates.map((p) => p.kindId[0])
      .join('');
  };

  it('fills the stack by either method', () => {
    expect(order(lay(3, 'friction'))).toBe('dsdsd');
    expect(order(lay(3, 'steel'))).toBe('sdsdsds');
  });

  it('takes no kind out that is in use', () => {
    const { edit, job } = begun();
    edit(lay(2, 'steel'));
    edit(lay(0, 'steel'));
    edit((j) => removeKind(j, 'steel'));
    expect(job().pack.kinds.map((k) => k.id)).toContain('steel');
    edit((j) => removeKind(j, 'disc'));
    expect(job().pack.kinds.map((k) => k.id)).toEqual(['steel']);
  });
});

describe('jobs', () => {
  it('counts numbers on and brings a deleted job back with its drafts', () => {
    const { store, type, job, state } = begun();
    type('engine.peakTorque', 'forty');
    store.dispatch(jobActions.jobStarted({ id: 'second' }));
    expect(state().entities.second?.number).toBe('UR-0102');
    store.dispatch(jobActions.jobRemoved(ID));
    expect(state().ids).toEqual(['second']);
    store.dispatch(jobActions.removalUndone());
    expect(job().number).toBe('UR-0101');
    expect(state().drafts[ID]?.['engine.peakTorque']?.text).toBe('forty');
    expect(state().removed).toBeUndefined();
  });
});

describe('a workshop with as many jobs as a file takes', () => {
  it('begins no other, and copies none', () => {
    const here = run();
    const full = { ...here, ids: Array.from({ length: 20_000 }, (_, n) => `j${n}`) };
    const begun = jobsReducer(full, jobActions.jobStarted({ id: 'more' }));
    expect(begun.ids).toHaveLength(20_000);
    const copied = jobsReducer(full, jobActions.jobDerived({ id: 'more', fromId: ID }));
    expect(copied.ids).toHaveLength(20_000);
    expect(jobsReducer(here, jobActions.jobStarted({ id: 'more' })).ids).toContain('more');
  });
});

describe('a job that another tab stored while it was edited here', () => {
  it('takes the other’s place and keeps the edit beside it, returns of the machine too', () => {
    const here = run();
    const visit = { id: 'v1', date: '2026-11-16', readings: {}, note: 'noisy when cold' };
    const edited: Job = { ...job(here), visits: [visit] };
    const other: Job = { ...job(here), notes: 'from the other tab' };
    const after = jobsReducer(here, jobActions.jobSynced({ job: other, edited, newId: 'copy' }));
    expect(job(after)).toEqual(other);
    const beside = after.entities.copy;
    expect(beside?.number).toContain('edited in another tab');
    expect(beside?.visits).toEqual([visit]);
  });
});
