import { smallStock } from '@/testing/jobs';
import { coilPack } from '@/testing/packs';
import { editJob, typeInField } from '@/state/jobs/editJob';
import { jobActions } from '@/state/jobs/jobsSlice';
import { shelfActions } from '@/state/shelfSlice';
import { makeStore } from '@/state/store';

import { contents } from '../contents';
import { RowRecords } from '../rowRecords';
import { adoptTheirs } from '../adoptTheirs';

const job = coilPack();
const KEY = `job:${job.id}`;

/** A tab in which all that there is counts as stored. */
function tab() {
  const store = makeStore();
  store.dispatch(shelfActions.shelfLoaded(smallStock()));
  store.dispatch(jobActions.jobsLoaded({ jobs: [job], drafts: {} }));
  const rows = new RowRecords();
  const now = () => contents(store.getState(), rows);
  const written = new Map(now());
  const take = (theirs: Readonly<Record<string, unknown>>, gone: readonly string[] = []) =>
    adoptTheirs(
      store,
      [...Object.keys(theirs), ...gone],
      new Map(Object.entries(theirs)),
      written,
      now,
    );
  const unsaved = () => [...now()].filter(([key, v]) => written.get(key) !== v).map(([k]) => k);
  return { store, jobs: () => store.getState().jobs, take, unsaved };
}
const edited = (notes: string) => editJob(job.id, (j) => ({ ...j, notes }));

describe('what another tab has stored', () => {
  it('takes the place of a job that was left alone here, and needs no writing', () => {
    const { jobs, take, unsaved } = tab();
    expect(take({ [KEY]: { ...job, notes: 'theirs' } })).toEqual([]);
    expect(jobs().entities[job.id]?.notes).toBe('theirs');
    expect(unsaved().filter((key) => key.startsWith('job:'))).toEqual([]);
  });

  it('keeps a job that was edited here beside it, and reports the clash', () => {
    const { store, jobs, take } = tab();
    store.dispatch(typeInField(job.id, 'release.leverTravel', '61', {}));
    const [clash] = take({ [KEY]: { ...job, notes: 'theirs' } });
    expect(jobs().entities[job.id]?.notes).toBe('theirs');
    expect(clash).toMatchObject({ kind: 'job', number: job.number, mine: 'copy' });
    const copy = clash?.kind === 'job' ? jobs().entities[clash.copyId] : undefined;
    expect(copy?.release.leverTravel?.value).toBe(61);
    expect(clash?.kind === 'job' && clash.fields.map(({ path }) => path)).toContain(
      'release.leverTravel',
    );
  });

  it('is no clash where both made the same of a job', () => {
    const { store, jobs, take } = tab();
    store.dispatch(edited('the same'));
    expect(take({ [KEY]: { ...job, notes: 'the same', updatedAt: '2030-01-01' } })).toEqual([]);
    expect(jobs().ids).toHaveLength(1);
  });

  it('takes a job away that it deleted, unless it was edited here', () => {
    const alone = tab();
    alone.take({}, [KEY]);
    expect(alone.jobs().ids).toEqual([]);
    const working = tab();
    working.store.dispatch(edited('mine'));
    working.take({}, [KEY]);
    expect(working.jobs().entities[job.id]?.notes).toBe('mine');
    // It is stored again.
    expect(working.unsaved()).toContain(KEY);
  });

  it('keeps drafts of both', () => {
    const { store, jobs, take } = tab();
    store.dispatch(typeInField(job.id, 'release.leverTravel', 'about 60', {}));
    const theirs = { 'engine.peakTorque': { text: 'forty', units: {} } };
    take({ [`drafts:${job.id}`]: theirs });
    expect(Object.keys(jobs().drafts[job.id] ?? {}).sort()).toEqual([
      'engine.peakTorque',
      'release.leverTravel',
    ]);
  });

  it('merges the shelf, and reports the replaced value of an item', () => {
    const { store, take } = tab();
    const shelf = store.getState().shelf;
    const [first] = shelf.plates;
    if (!first) throw new Error('an empty shelf');
    store.dispatch(shelfActions.stockPlatePut({ ...first, thickness: 1.11 }));
    const theirs = {
      ...shelf,
      plates: shelf.plates.map((p) => (p.id === first.id ? { ...p, thickness: 1.22 } : p)),
    };
    expect(take({ shelf: theirs })).toEqual([
      { kind: 'value', where: `${first.label}, thickness`, kept: '1.11', replaced: '1.22' },
    ]);
    expect(store.getState().shelf.plates.find((p) => p.id === first.id)?.thickness).toBe(1.11);
  });

  it('leaves alone what is no record', () => {
    const { jobs, take, store } = tab();
    const before = store.getState().shelf;
    expect(take({ [KEY]: 'no job', shelf: 5, [`drafts:${job.id}`]: ['no'] })).toEqual([]);
    expect(jobs().entities[job.id]).toBe(job);
    expect(store.getState().shelf).toBe(before);
  });
});
