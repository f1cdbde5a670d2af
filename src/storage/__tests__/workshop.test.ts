import { EMPTY_STOCK } from '@/core/shelf/stock';
import { demoJobs, demoLibrary, demoShelf } from '@/demo/workshop';
import { jobActions } from '@/features/jobs/jobsSlice';
import { makeStore } from '@/store/store';
import { memoryRecords } from '@/testing/memoryRecords';

import type { OtherTabs, Stored } from '../tabs';
import { keepWorkshop } from '../workshop';

jest.mock('react-redux', () => ({
  useDispatch: { withTypes: () => undefined },
  useSelector: { withTypes: () => undefined },
}));

const noJobs = async () => ({ jobs: [], shelf: EMPTY_STOCK, library: [] });
const demo = async () => ({ jobs: demoJobs(), shelf: demoShelf(), library: demoLibrary() });

describe('keeping the workshop', () => {
  it('opens with the first jobs once, and from the records ever after', async () => {
    const { records } = memoryRecords();
    const first = makeStore();
    await keepWorkshop(first, records, demo);
    first.dispatch(jobActions.jobRemoved('demo-ur-0106'));
    await (
      await keepWorkshop(makeStore(), records, noJobs)
    )();
    const flush = await keepWorkshop(first, records, noJobs);
    first.dispatch(jobActions.jobRemoved('demo-ur-0106'));
    await flush();
    const again = makeStore();
    await keepWorkshop(again, records, demo);
    expect(again.getState().jobs.ids).not.toContain('demo-ur-0106');
  });

  it('is not saved while what was typed during a write still waits', async () => {
    const { records, kept } = memoryRecords();
    const store = makeStore();
    const flush = await keepWorkshop(store, records, demo);
    const details = (notes: string) =>
      store.dispatch(jobActions.detailsTyped({ jobId: 'demo-ur-0106', notes }));
    const write = records.write.bind(records);
    records.write = async (changed, gone) => {
      records.write = write;
      details('second');
      await write(changed, gone);
    };
    details('first');
    await flush();
    expect(store.getState().storage.status).toBe('saving');
    await flush();
    expect(store.getState().storage.status).toBe('saved');
    expect(kept.get('job:demo-ur-0106')).toContain('second');
  });

  it('writes only what changed, drafts included, and nothing twice', async () => {
    const { records, kept } = memoryRecords();
    const store = makeStore();
    const flush = await keepWorkshop(store, records, demo);
    const writes = records.writes;
    await flush();
    expect(records.writes).toBe(writes);
    store.dispatch(
      jobActions.fieldTyped({
        jobId: 'demo-ur-0106',
        path: 'engine.peakTorque',
        text: 'forty',
        units: {},
      }),
    );
    await flush();
    expect(records.writes).toBe(writes + 1);
    const reopened = makeStore();
    await keepWorkshop(reopened, records, noJobs);
    expect(reopened.getState().jobs.drafts['demo-ur-0106']).toEqual({
      'engine.peakTorque': { text: 'forty', units: {} },
    });
    expect(reopened.getState().jobs.entities['demo-ur-0106']?.engine.peakTorque).toBeUndefined();
    expect([...kept.keys()].sort()).toContain('drafts:demo-ur-0106');
  });

  it('says when it can’t write, keeps the work in memory and writes it once it can', async () => {
    const { records } = memoryRecords();
    const store = makeStore();
    const flush = await keepWorkshop(store, records, noJobs);
    records.broken = true;
    store.dispatch(jobActions.jobStarted({ id: 'new' }));
    await flush();
    expect(store.getState().storage).toEqual({ status: 'failed', reason: 'quota reached' });
    records.broken = false;
    await flush();
    expect(store.getState().storage.status).toBe('saved');
    const reopened = makeStore();
    await keepWorkshop(reopened, records, noJobs);
    expect(reopened.getState().jobs.ids).toEqual(['new']);
  });

  it('opens the other jobs when one record is not a job', async () => {
    const { records, kept } = memoryRecords();
    await keepWorkshop(makeStore(), records, demo);
    kept.set('job:odd', '{"id":"odd"}');
    const store = makeStore();
    await keepWorkshop(store, records, noJobs);
    expect(store.getState().jobs.ids).toHaveLength(6);
    expect(kept.has('job:odd')).toBe(true);
  });

  it('takes over what another tab stored, and keeps both where both edited one job', async () => {
    const { records } = memoryRecords();
    const takers: ((stored: Stored) => void)[] = [];
    // Two tabs: what one tells, the other takes.
    const tab = (): OtherTabs => {
      const own: { take?: (stored: Stored) => void } = {};
      return {
        tell: (stored) => takers.filter((t) => t !== own.take).forEach((t) => t(stored)),
        onStored: (take) => {
          own.take = take;
          takers.push(take);
        },
      };
    };
    const [here, there] = [makeStore(), makeStore()];
    const flushHere = await keepWorkshop(here, records, demo, tab());
    const flushThere = await keepWorkshop(there, records, noJobs, tab());
    const note = (store: typeof here, notes: string) =>
      store.dispatch(jobActions.detailsTyped({ jobId: 'demo-ur-0106', notes }));
    const notes = (store: typeof here) =>
      Object.values(store.getState().jobs.entities)
        .filter((j) => j.number.startsWith('UR-0106'))
        .map((j) => j.notes)
        .sort();

    note(here, 'first');
    await flushHere();
    expect(notes(there)).toEqual(['first']);
    // Taken over, it needs no writing.
    const { writes } = records;
    await flushThere();
    expect(records.writes).toBe(writes);

    note(there, 'mine');
    note(here, 'theirs');
    await flushHere();
    expect(notes(there)).toEqual(['mine', 'theirs']);
    await flushThere();
    expect(notes(here)).toEqual(['mine', 'theirs']);
    here.dispatch(jobActions.jobRemoved('demo-ur-0103'));
    await flushHere();
    expect(there.getState().jobs.entities['demo-ur-0103']).toBeUndefined();
  });
});
