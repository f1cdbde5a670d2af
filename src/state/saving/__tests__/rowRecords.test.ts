import { editJob } from '@/state/jobs/editJob';
import type { JobRow } from '@/core/job/row';
import { rowOf } from '@/core/job/row';
import type { Job } from '@/core/job/types';
import { coilPack } from '@/testing/packs';
import { jobActions } from '@/state/jobs/jobsSlice';
import { makeStore } from '@/state/store';
import { verdictsFound } from '@/state/verdictsSlice';

import { isRow, RowRecords } from '../rowRecords';

const model = coilPack();
const many = (count: number): Job[] =>
  Array.from({ length: count }, (_, i) => ({ ...model, id: `job-${i}`, number: `UR-${i}` }));

function workshop(jobs: readonly Job[]) {
  const store = makeStore();
  store.dispatch(jobActions.jobsLoaded({ jobs, drafts: {} }));
  return { store, state: store.getState };
}
const rowsIn = (records: ReadonlyMap<string, readonly JobRow[]>): readonly JobRow[] =>
  [...records.values()].flat();

describe('rows stored beside the jobs', () => {
  it('lie in a few records, every job in one of them', () => {
    const { state } = workshop(many(300));
    const records = new RowRecords().of(state());
    expect(records.size).toBeLessThanOrEqual(16);
    expect([...records.keys()].every((key) => /^rows:[0-9a-f]$/.test(key))).toBe(true);
    expect(
      rowsIn(records)
        .map((row) => row.id)
        .sort(),
    ).toEqual(
      many(300)
        .map((job) => job.id)
        .sort(),
    );
    // Spread so far that none holds a third of them.
    for (const rows of records.values()) expect(rows.length).toBeLessThan(100);
  });

  it('an edit rewrites one record and leaves the others unchanged', () => {
    const { store, state } = workshop(many(60));
    const kept = new RowRecords();
    const before = kept.of(state());
    store.dispatch(
      editJob('job-7', (job) => ({ ...job, machine: { ...model.machine, name: 'Other' } })),
    );
    const after = kept.of(state());
    const rewritten = [...after].filter(([key, rows]) => before.get(key) !== rows);
    expect(rewritten).toHaveLength(1);
    expect(rewritten[0]?.[1].find((row) => row.id === 'job-7')?.name).toBe('Other');
  });

  it('a job that goes takes its row along', () => {
    const { store, state } = workshop(many(20));
    const kept = new RowRecords();
    kept.of(state());
    store.dispatch(jobActions.jobRemoved('job-3'));
    expect(rowsIn(kept.of(state())).some((row) => row.id === 'job-3')).toBe(false);
  });

  it('those of jobs that are still to be read stay as they were', () => {
    const unread = many(5).map((job) => ({ ...rowOf(job), use: 'as it was' }));
    const store = makeStore();
    store.dispatch(jobActions.jobsLoaded({ jobs: [], drafts: {}, unread }));
    const rows = rowsIn(new RowRecords().of(store.getState()));
    expect(rows).toHaveLength(5);
    expect(rows.every((row) => row.use === 'as it was')).toBe(true);
  });

  it('keep what was last found of a pack', () => {
    const { store, state } = workshop([model]);
    const verdict = { state: 'watch', title: 'Low lift' } as const;
    store.dispatch(verdictsFound([{ id: model.id, updatedAt: model.updatedAt, verdict }]));
    expect(rowsIn(new RowRecords().of(state()))[0]?.verdict).toEqual(verdict);
    // Of a job that has changed since nothing is known.
    store.dispatch(editJob(model.id, (job) => ({ ...job, notes: 'other' })));
    expect(rowsIn(new RowRecords().of(state()))[0]?.verdict).toBeUndefined();
  });

  it('give back only what is a row', () => {
    const row = rowOf(model);
    const found = new Map<string, unknown>([
      ['rows:a', [row, { ...row, stage: 'lunch' }, 5, null]],
      ['rows:b', 'no list'],
      ['display', [row]],
    ]);
    expect(new RowRecords().begin(found)).toEqual([row]);
  });

  it.each<[string, unknown]>([
    ['nothing', null],
    ['no number', { ...rowOf(model), number: undefined }],
    ['an archive that is no yes or no', { ...rowOf(model), archived: 'no' }],
    ['a stage that there is not', { ...rowOf(model), stage: 'lunch' }],
    ['a verdict without words', { ...rowOf(model), verdict: { state: 'good' } }],
    [
      'a verdict of a state that there is not',
      { ...rowOf(model), verdict: { state: 'fine', title: 'x' } },
    ],
  ])('%s is no row', (_what, value) => {
    expect(isRow(value)).toBe(false);
    expect(isRow({ ...rowOf(model), verdict: { state: 'unknown', title: 'Not judged' } })).toBe(
      true,
    );
  });
});
