import { writeDetails } from '@/core/job/edits/details';
import { editJob } from '@/state/jobs/editJob';
import type { Job } from '@/core/job/types';
import { EMPTY_STOCK } from '@/core/shelf/stock';
import { pedalPack } from '@/testing/packs';
import { jobActions } from '@/state/jobs/jobsSlice';
import { allRead, selectReadShare, selectRows } from '@/state/jobs/rows';
import { makeStore } from '@/state/store';
import { memoryRecords } from '@/testing/memoryRaw';

import { seal } from '@/storage/envelope';
import { sealedRecords } from '@/storage/records';
import { ALONE } from '../tabs';
import { startSaving } from '../workshop';

const COUNT = 700;
const model = pedalPack();
const none = async () => ({ jobs: [], shelf: EMPTY_STOCK, library: [] });

/** Many jobs, the higher numbers worked on later. */
const many = (): Job[] =>
  Array.from({ length: COUNT }, (_, i) => ({
    ...model,
    id: `job-${i}`,
    number: `UR-${String(1000 + i)}`,
    updatedAt: new Date(Date.UTC(2024, 0, 1, 0, i)).toISOString(),
  }));

async function stored() {
  const { raw, records, kept } = memoryRecords();
  await startSaving(makeStore(), records, async () => ({
    jobs: many(),
    shelf: EMPTY_STOCK,
    library: [],
  }));
  return { raw, records, kept };
}

describe('a workshop of many jobs', () => {
  it('lists all of them before their records are read, and reads the rest after', async () => {
    const { records } = await stored();
    const store = makeStore();
    await startSaving(store, records, none);
    expect(store.getState().jobs.ids.length).toBeLessThan(40);
    expect(store.getState().jobs.entities['job-699']?.number).toBe('UR-1699');
    expect(selectRows(store.getState())).toHaveLength(COUNT);
    expect(selectReadShare(store.getState())).toBeLessThan(0.1);
    await allRead(store.getState);
    expect(store.getState().jobs.ids).toHaveLength(COUNT);
    expect(selectRows(store.getState())).toHaveLength(COUNT);
    expect(store.getState().storage.status).toBe('saved');
  });

  it('lists all of them by their rows alone where no job is waited for, in two trips to the storage', async () => {
    const { records: before, raw, kept } = await stored();
    expect(await before.keys()).not.toHaveLength(0);
    const records = sealedRecords(raw, 'test');
    const [many, all] = [jest.spyOn(raw, 'getMany'), jest.spyOn(raw, 'getAllKeys')];
    const store = makeStore();
    let trips = -1;
    const end = store.subscribe(() => {
      if (!store.getState().jobs.loaded) return;
      trips = many.mock.calls.length + all.mock.calls.length;
      end();
      expect(store.getState().jobs.ids).toEqual([]);
      expect(selectRows(store.getState())).toHaveLength(COUNT);
    });
    await startSaving(store, records, none, ALONE, 0);
    // The keys, and what is no job: nothing more before the list shows.
    expect(trips).toBe(2);
    await allRead(store.getState);
    expect(store.getState().jobs.ids).toHaveLength(COUNT);
    expect(store.getState().storage.status).toBe('saved');
    expect(kept.size).toBeGreaterThan(COUNT);
  });

  it('writes nothing of what it only read, and an edit writes its job and its row', async () => {
    const { raw, records } = await stored();
    const store = makeStore();
    const flush = await startSaving(store, records, none);
    const { writes } = raw;
    await allRead(store.getState);
    await flush();
    expect(raw.writes).toBe(writes);
    const write = jest.spyOn(records, 'write');
    store.dispatch(editJob('job-3', (job) => writeDetails(job, { name: 'Another method' })));
    await flush();
    const keys = [...(write.mock.calls[0]?.[0].keys() ?? [])];
    expect(keys).toHaveLength(2);
    expect(keys).toEqual(expect.arrayContaining(['job:job-3', expect.stringMatching(/^rows:/)]));
    const again = makeStore();
    await startSaving(again, records, none);
    expect(selectRows(again.getState()).find((r) => r.id === 'job-3')?.name).toBe('Another method');
  });

  it('reads first what somebody waits for', async () => {
    const { records } = await stored();
    const store = makeStore();
    await startSaving(store, records, none);
    store.dispatch(jobActions.jobWanted('job-0'));
    while (!store.getState().jobs.entities['job-0']) await new Promise((r) => setTimeout(r));
    expect(selectReadShare(store.getState())).toBeLessThan(0.5);
  });

  it('numbers a new job after those that are still unread', async () => {
    const { records } = await stored();
    const store = makeStore();
    await startSaving(store, records, none);
    store.dispatch(jobActions.jobRemoved('job-699'));
    store.dispatch(jobActions.jobStarted({ id: 'new' }));
    expect(store.getState().jobs.entities.new?.number).toBe('UR-1699');
  });

  it('opens without rows, with invalid rows, and with a truncated record', async () => {
    const { records, kept } = await stored();
    for (const key of [...kept.keys()].filter((k) => k.startsWith('rows:')).slice(0, 8))
      kept.delete(key);
    const [odd] = [...kept.keys()].filter((k) => k.startsWith('rows:'));
    if (odd) kept.set(odd, seal([{ id: 7 }, null]));
    kept.set('job:job-1', '{"id":"job-1","machine"');
    kept.set('job:job-2', seal({ id: 'job-2' }));
    const store = makeStore();
    await startSaving(store, records, none);
    await allRead(store.getState);
    expect(store.getState().jobs.ids).toHaveLength(COUNT - 2);
    expect(
      store
        .getState()
        .storage.damaged.map(({ key }) => key)
        .sort(),
    ).toEqual(['job:job-1', 'job:job-2']);
    const aside = await records.aside();
    expect(aside.map(({ key }) => key).sort()).toEqual(['job:job-1', 'job:job-2']);
    expect(aside.find(({ key }) => key === 'job:job-1')?.text).toBe('{"id":"job-1","machine"');
  });

  it('leaves alone what another tab deleted before it was read', async () => {
    const { records } = await stored();
    const store = makeStore();
    await startSaving(store, records, none);
    store.dispatch(jobActions.jobGone('job-0'));
    await allRead(store.getState);
    expect(store.getState().jobs.entities['job-0']).toBeUndefined();
  });
});
