import { entryAt } from '@/core/job/paths';
import type { Job } from '@/core/job/types';

import type { JobsState } from '../jobsSlice';
import { jobActions, jobsReducer } from '../jobsSlice';

type Action = Parameters<typeof jobsReducer>[1];

const ID = 'job';
const run = (...actions: Action[]): JobsState =>
  [jobActions.jobStarted({ id: ID }), ...actions].reduce<JobsState | undefined>(
    jobsReducer,
    undefined,
  ) as JobsState;
const job = (state: JobsState): Job => state.entities[ID] as Job;
const type = (path: string, text: string, units = {}) =>
  jobActions.fieldTyped({ jobId: ID, path, text, units });

describe('typing in a field', () => {
  it('stores the base unit and remembers how it was written', () => {
    const state = run(type('engine.peakTorque', '30 ft-lb'));
    expect(entryAt(job(state), 'engine.peakTorque')?.value).toBeCloseTo(40.6745, 3);
    expect(entryAt(job(state), 'engine.peakTorque')?.typed).toBe('30 ft-lb');
  });

  it('keeps what can’t be read as a draft, and takes the value away so that no figure rests on it', () => {
    const state = run(type('engine.peakTorque', '40'), type('engine.peakTorque', '40x'));
    expect(entryAt(job(state), 'engine.peakTorque')).toBeUndefined();
    expect(state.drafts[ID]).toEqual({ 'engine.peakTorque': { text: '40x', units: {} } });
    const mended = jobsReducer(state, type('engine.peakTorque', '40'));
    expect(entryAt(job(mended), 'engine.peakTorque')?.value).toBe(40);
    expect(mended.drafts[ID]).toEqual({});
  });

  it('keeps the source of a value that is corrected', () => {
    const source = { kind: 'manual' } as const;
    const state = run(
      type('engine.peakTorque', '40'),
      jobActions.sourceChosen({ jobId: ID, path: 'engine.peakTorque', source }),
      type('engine.peakTorque', '41'),
    );
    expect(entryAt(job(state), 'engine.peakTorque')).toEqual({ value: 41, source });
  });

  it('takes the reading that a question offered', () => {
    const path = 'pack.kinds.disc.thickness';
    const asked = run(type(path, '2.92 in'));
    expect(entryAt(job(asked), path)).toBeUndefined();
    const state = jobsReducer(
      asked,
      jobActions.readingChosen({ jobId: ID, path, value: 2.92, typed: '2.920 mm' }),
    );
    expect(entryAt(job(state), path)?.value).toBe(2.92);
    expect(state.drafts[ID]).toEqual({});
  });

  it('keeps each reading at its own point, also while another is no number yet', () => {
    const lay = jobActions.packLaid({
      jobId: ID,
      discs: 1,
      first: 'friction',
      frictionKind: 'disc',
      steelKind: 'steel',
    });
    let state = run(lay);
    const plateId = job(state).pack.plates[0]?.id ?? '';
    const point = (n: string) => `pack.plates.${plateId}.readings.${n}`;
    state = [
      type(point('1'), '2.9'),
      type(point('2'), '2.8'),
      type(point('3'), '2.7'),
      type(point('2'), '2.8x'),
    ].reduce(jobsReducer, state);
    const values = () =>
      Object.entries(job(state).pack.plates[0]?.readings ?? {}).map(([p, r]) => [p, r.value]);
    expect(values()).toEqual([
      ['1', 2.9],
      ['3', 2.7],
    ]);
    expect(state.drafts[ID]?.[point('2')]?.text).toBe('2.8x');
    state = [type(point('2'), '2.75'), type(point('1'), '')].reduce(jobsReducer, state);
    expect(values()).toEqual([
      ['2', 2.75],
      ['3', 2.7],
    ]);
  });
});

describe('the order of plates', () => {
  const lay = (discs: number, first: 'friction' | 'steel') =>
    jobActions.packLaid({ jobId: ID, discs, first, frictionKind: 'disc', steelKind: 'steel' });
  const order = (state: JobsState) =>
    job(state)
      .pack.plates.map((p) => p.kindId[0])
      .join('');

  it('lays either school', () => {
    expect(order(run(lay(3, 'friction')))).toBe('dsdsd');
    expect(order(run(lay(3, 'steel')))).toBe('sdsdsds');
  });

  it('takes no kind out that is in use', () => {
    let state = run(lay(2, 'steel'), lay(0, 'steel'));
    state = jobsReducer(state, jobActions.kindRemoved({ jobId: ID, kindId: 'steel' }));
    expect(job(state).pack.kinds.map((k) => k.id)).toContain('steel');
    state = jobsReducer(state, jobActions.kindRemoved({ jobId: ID, kindId: 'disc' }));
    expect(job(state).pack.kinds.map((k) => k.id)).toEqual(['steel']);
  });
});

describe('jobs', () => {
  it('counts numbers on and brings a deleted job back with its drafts', () => {
    let state = run(type('engine.peakTorque', 'forty'), jobActions.jobStarted({ id: 'second' }));
    expect(state.entities.second?.number).toBe('UR-0102');
    state = jobsReducer(state, jobActions.jobRemoved(ID));
    expect(state.ids).toEqual(['second']);
    state = jobsReducer(state, jobActions.removalUndone());
    expect(job(state).number).toBe('UR-0101');
    expect(state.drafts[ID]?.['engine.peakTorque']?.text).toBe('forty');
    expect(state.removed).toBeUndefined();
  });
});

describe('a workshop with as many jobs as a file takes', () => {
  it('begins no other, and copies none', () => {
    const here = run();
    const full = { ...here, ids: Array.from({ length: 20_000 }, (_, n) => `j${n}`) };
    const begun = jobsReducer(full, jobActions.jobStarted({ id: 'more' }));
    expect(begun.ids).toHaveLength(20_000);
    const copied = jobsReducer(
      full,
      jobActions.jobDerived({ id: 'more', fromId: ID, how: 'copy' }),
    );
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
