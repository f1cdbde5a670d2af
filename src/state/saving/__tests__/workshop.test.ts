import { jobsOfEachKind, smallLibrary, smallStock } from '@/testing/jobs';
import { writeDetails } from '@/core/job/edits/details';
import { editJob, typeInField } from '@/state/jobs/editJob';
import { EMPTY_STOCK } from '@/core/shelf/stock';
import { jobActions } from '@/state/jobs/jobsSlice';
import { allRead, selectRows } from '@/state/jobs/rows';
import { shelfActions } from '@/state/shelfSlice';
import { makeStore } from '@/state/store';
import { memoryRecords, MemoryRaw } from '@/testing/memoryRaw';

import { clashText } from '../clashText';
import { seal, unseal } from '@/storage/envelope';
import { sealedRecords } from '@/storage/records';
import type { OtherTabs, Report } from '../tabs';
import { ALONE } from '../tabs';
import { startSaving } from '../workshop';

const noJobs = async () => ({ jobs: [], shelf: EMPTY_STOCK, library: [] });
const demo = async () => ({ jobs: jobsOfEachKind(), shelf: smallStock(), library: smallLibrary() });

/** What jobs did not have at first. */
const LATER = new Set(['duty', 'variants', 'work', 'build', 'prove', 'signOff', 'visits']);

const raw = (kept: Map<string, string>) => new MemoryRaw(kept);

describe('keeping the workshop', () => {
  it('opens with the first jobs once, and from the records ever after', async () => {
    const { records } = memoryRecords();
    const first = makeStore();
    await startSaving(first, records, demo);
    first.dispatch(jobActions.jobRemoved('crag'));
    await (
      await startSaving(makeStore(), records, noJobs)
    )();
    const flush = await startSaving(first, records, noJobs);
    first.dispatch(jobActions.jobRemoved('crag'));
    await flush();
    const again = makeStore();
    await startSaving(again, records, demo);
    expect(again.getState().jobs.ids).not.toContain('crag');
  });

  it('is not saved while what was typed during a write still waits', async () => {
    const { records, kept } = memoryRecords();
    const store = makeStore();
    const flush = await startSaving(store, records, demo);
    const details = (notes: string) =>
      store.dispatch(editJob('crag', (job) => writeDetails(job, { notes })));
    const write = records.write.bind(records);
    records.write = async (changed, gone) => {
      records.write = write;
      details('second');
      return write(changed, gone);
    };
    details('first');
    await flush();
    expect(store.getState().storage.status).toBe('saving');
    await flush();
    expect(store.getState().storage.status).toBe('saved');
    expect(kept.get('job:crag')).toContain('second');
  });

  it('is not saved while what was typed during the very first write still waits', async () => {
    const { records, kept } = memoryRecords();
    const store = makeStore();
    const write = records.write.bind(records);
    records.write = async (changed, gone) => {
      records.write = write;
      store.dispatch(editJob('crag', (job) => writeDetails(job, { notes: 'at once' })));
      return write(changed, gone);
    };
    const flush = await startSaving(store, records, demo);
    expect(store.getState().storage.status).toBe('saving');
    await flush();
    expect(store.getState().storage.status).toBe('saved');
    expect(kept.get('job:crag')).toContain('at once');
  });

  it('writes only what changed, drafts included, and nothing twice', async () => {
    const { raw, records, kept } = memoryRecords();
    const store = makeStore();
    const flush = await startSaving(store, records, demo);
    const { writes } = raw;
    await flush();
    expect(raw.writes).toBe(writes);
    const write = jest.spyOn(records, 'write');
    store.dispatch(typeInField('crag', 'engine.peakTorque', 'forty', {}));
    await flush();
    expect(write).toHaveBeenCalledTimes(1);
    const reopened = makeStore();
    await startSaving(reopened, records, noJobs);
    expect(reopened.getState().jobs.drafts['crag']).toEqual({
      'engine.peakTorque': { text: 'forty', units: {} },
    });
    expect(reopened.getState().jobs.entities['crag']?.engine.peakTorque).toBeUndefined();
    expect([...kept.keys()].sort()).toContain('drafts:crag');
  });

  it('says when it can’t write, keeps the work in memory and writes it once it can', async () => {
    const { raw, records } = memoryRecords();
    const store = makeStore();
    const flush = await startSaving(store, records, noJobs);
    raw.full = true;
    store.dispatch(jobActions.jobStarted({ id: 'new' }));
    await flush();
    expect(store.getState().storage).toMatchObject({
      status: 'failed',
      reason: 'no room',
      full: true,
    });
    raw.full = false;
    await flush();
    expect(store.getState().storage.status).toBe('saved');
    const reopened = makeStore();
    await startSaving(reopened, records, noJobs);
    expect(reopened.getState().jobs.ids).toEqual(['new']);
  });

  it('opens the other records when one is damaged, with the version before where there is one', async () => {
    const { records, kept } = memoryRecords();
    const store = makeStore();
    const flush = await startSaving(store, records, demo);
    const notes = (text: string) =>
      store.dispatch(editJob('crag', (job) => writeDetails(job, { notes: text })));
    notes('the version before');
    await flush();
    notes('the last version');
    await flush();
    const cut = (key: string) => kept.set(key, (kept.get(key) ?? '').slice(0, -40));
    ['job:crag', 'job:fen', 'shelf'].forEach(cut);
    kept.set('library', seal({ no: 'list' }));

    const again = makeStore();
    await startSaving(again, sealedRecords(raw(kept), 'test'), noJobs);
    const { jobs, shelf, storage } = again.getState();
    expect(jobs.entities['crag']?.notes).toBe('the version before');
    expect(jobs.entities['fen']).toBeUndefined();
    expect(jobs.ids).toHaveLength(4);
    expect(shelf).toEqual(EMPTY_STOCK);
    expect([...storage.damaged].sort((a, b) => (a.key < b.key ? -1 : 1))).toEqual([
      { key: 'job:crag', fixed: true, number: 'T-1' },
      { key: 'job:fen', fixed: false, number: 'T-5' },
      { key: 'library', fixed: false },
      { key: 'shelf', fixed: false },
    ]);
    // Every raw text is there for rescue, and the next opening finds all in order.
    const asideKeys = [...kept.keys()].filter((key) => key.startsWith('aside:'));
    expect(asideKeys).toHaveLength(4);
    const third = makeStore();
    await startSaving(third, sealedRecords(raw(kept), 'test'), noJobs);
    expect(third.getState().storage).toEqual({ status: 'saved', damaged: [], clashes: [] });
    expect(third.getState().jobs.ids).toHaveLength(4);
  });

  it('writes nothing over records that it can’t open, and works in memory', async () => {
    const { raw: open, records, kept } = memoryRecords();
    await startSaving(makeStore(), records, demo);
    const get = open.getMany.bind(open);
    // Reading fails; then, what a newer version wrote.
    const spoilers = [
      () => void (open.getMany = () => Promise.reject(new Error('read error'))),
      () => void kept.set('job:cairn', 'ur9 00000000 {}'),
    ];
    for (const spoil of spoilers) {
      spoil();
      const spoilt = new Map(kept);
      const store = makeStore();
      const flush = await startSaving(store, sealedRecords(open, 'test'), noJobs);
      expect(store.getState().storage.status).toBe('memory');
      store.dispatch(jobActions.jobStarted({ id: 'new' }));
      await flush();
      expect(store.getState().jobs.entities.new).toBeDefined();
      expect(kept).toEqual(spoilt);
      open.getMany = get;
    }
  });

  it('never says that all is stored while an edit waits behind a slow write', async () => {
    const { raw: slow, records, kept } = memoryRecords();
    const store = makeStore();
    const flush = await startSaving(store, records, demo);
    const set = slow.setMany.bind(slow);
    // Longer than typing rests: the next write is due while this one is still under way.
    slow.setMany = async (entries) => {
      await new Promise((resolve) => setTimeout(resolve, 400));
      await set(entries);
    };
    const torque = () => {
      const text = kept.get('job:crag') ?? '';
      return (unseal(text)?.value as { engine: { peakTorque?: { value: number } } }).engine
        .peakTorque?.value;
    };
    const type = (text: string) =>
      store.dispatch(typeInField('crag', 'engine.peakTorque', text, {}));
    const wrong: (number | undefined)[] = [];
    // Results of an action come before anything is drawn, not before subscribers are notified.
    store.subscribe(() =>
      queueMicrotask(() => {
        if (store.getState().storage.status === 'saved' && torque() !== 52) wrong.push(torque());
      }),
    );
    type('51');
    await new Promise((resolve) => setTimeout(resolve, 300));
    type('52');
    while (store.getState().storage.status !== 'saved')
      await new Promise((resolve) => setTimeout(resolve, 20));
    expect(wrong).toEqual([]);
    expect(torque()).toBe(52);
    await flush();
  });

  it('writes nothing any more once it meets what a newer version wrote, and waits for none of it', async () => {
    const { raw: open, records, kept } = memoryRecords();
    await startSaving(makeStore(), records, demo);
    kept.set('job:cairn', 'ur9 00000000 {}');
    const spoilt = new Map(kept);
    const store = makeStore();
    // The list shows before any job is read.
    const flush = await startSaving(store, sealedRecords(open, 'test'), noJobs, ALONE, 0);
    expect(selectRows(store.getState())).toHaveLength(5);
    await allRead(store.getState);
    expect(store.getState().storage).toMatchObject({ status: 'memory' });
    store.dispatch(jobActions.jobStarted({ id: 'new' }));
    await flush();
    await new Promise((resolve) => setTimeout(resolve, 400));
    expect(store.getState().jobs.entities.new).toBeDefined();
    expect(store.getState().storage.status).toBe('memory');
    expect(kept).toEqual(spoilt);
  });

  it('opens a workshop of the first layout, with jobs of an earlier version in it', async () => {
    const { records, kept } = memoryRecords();
    await startSaving(makeStore(), records, demo);
    for (const [key, text] of kept) {
      const value = unseal(text)?.value as Record<string, unknown>;
      const first = Object.fromEntries(Object.entries(value).filter(([part]) => !LATER.has(part)));
      kept.set(key, JSON.stringify(key.startsWith('job:') ? first : value));
    }
    const store = makeStore();
    await startSaving(store, sealedRecords(raw(kept), 'test'), noJobs);
    const { jobs, shelf, storage } = store.getState();
    expect(storage).toEqual({ status: 'saved', damaged: [], clashes: [] });
    expect(jobs.ids).toHaveLength(5);
    expect(jobs.entities['knoll']).toMatchObject({ variants: [], visits: [] });
    expect(shelf).toEqual(smallStock());
  });

  it('makes a first visit in memory where the browser keeps nothing', async () => {
    const { raw: shut, records } = memoryRecords();
    shut.shut = true;
    const store = makeStore();
    await startSaving(store, records, demo);
    expect(store.getState().storage).toMatchObject({ status: 'memory', reason: 'storage is shut' });
    expect(store.getState().jobs.ids).toHaveLength(5);
  });
});

describe('two tabs on one workshop', () => {
  /** Two tabs over one storage; what they tell each other arrives when asked, or never. */
  async function twoTabs() {
    const { raw: storage, kept } = memoryRecords();
    const takers: ((told: Report) => void)[] = [];
    const link = { works: true };
    const tab = (): OtherTabs => {
      const own: { take?: (told: Report) => void } = {};
      return {
        tell: (told) => {
          if (link.works) takers.filter((t) => t !== own.take).forEach((t) => t(told));
        },
        onStored: (take) => {
          own.take = take;
          takers.push(take);
        },
      };
    };
    const [here, there] = [makeStore(), makeStore()];
    const flushHere = await startSaving(here, sealedRecords(storage, 'test'), demo, tab());
    const flushThere = await startSaving(there, sealedRecords(storage, 'test'), noJobs, tab());
    return { here, there, flushHere, flushThere, storage, kept, link };
  }
  const note = (store: ReturnType<typeof makeStore>, notes: string) =>
    store.dispatch(editJob('crag', (job) => writeDetails(job, { notes })));
  const notes = (store: ReturnType<typeof makeStore>) =>
    Object.values(store.getState().jobs.entities)
      .filter((j) => j.number.startsWith('T-1'))
      .map((j) => j.notes)
      .sort();

  it('take over what the other stored, and keep both where both edited one job', async () => {
    const { here, there, flushHere, flushThere, storage } = await twoTabs();
    note(here, 'first');
    await flushHere();
    const { writes } = storage;
    await flushThere();
    expect(notes(there)).toEqual(['first']);
    // Taken over, it needs no writing.
    expect(storage.writes).toBe(writes);

    note(there, 'mine');
    note(here, 'theirs');
    await flushHere();
    await flushThere();
    expect(notes(there)).toEqual(['mine', 'theirs']);
    await flushHere();
    expect(notes(here)).toEqual(['mine', 'theirs']);
    here.dispatch(jobActions.jobRemoved('knoll'));
    await flushHere();
    await flushThere();
    expect(there.getState().jobs.entities['knoll']).toBeUndefined();
    // Neither goes on answering the other.
    const after = storage.steps;
    await new Promise((resolve) => setTimeout(resolve, 50));
    expect(storage.steps).toBe(after);
  });

  it('tell both of a job that both edited, with what each now holds', async () => {
    const { here, there, flushHere, flushThere } = await twoTabs();
    const torque = (store: typeof here, text: string) =>
      store.dispatch(typeInField('crag', 'engine.peakTorque', text, {}));
    torque(here, '45');
    torque(there, '46');
    await flushHere();
    await flushThere();
    await flushHere();
    const [mine] = here.getState().storage.clashes;
    const [theirs] = there.getState().storage.clashes;
    expect(mine && clashText(mine, {})).toBe(
      'T-1 was changed in two tabs at the same time. It shows your values; the other tab’s values are in the copy “T-1, edited in another tab”. Engine peak torque: 45.0 N·m in T-1, 46.0 N·m in the copy.',
    );
    expect(theirs && clashText(theirs, {})).toContain('It shows the other tab’s values; yours are');
    expect(theirs).toMatchObject({ copyId: mine?.kind === 'job' ? mine.copyId : '?' });
  });

  it('agree on one count of the shelf that both changed, and tell both', async () => {
    const { here, there, flushHere, flushThere } = await twoTabs();
    const plate = smallStock().plates[0];
    if (!plate) throw new Error('the shelf is empty');
    const setCount = (store: typeof here, count: number) =>
      store.dispatch(
        shelfActions.shelfLoaded({
          ...store.getState().shelf,
          plates: store
            .getState()
            .shelf.plates.map((p) => (p.id === plate.id ? { ...p, count } : p)),
        }),
      );
    const countOf = (store: typeof here) =>
      store.getState().shelf.plates.find((p) => p.id === plate.id)?.count;
    setCount(here, 8);
    setCount(there, 9);
    await flushHere();
    await flushThere();
    await flushHere();
    expect([countOf(here), countOf(there)]).toEqual([9, 9]);
    for (const store of [here, there])
      expect(store.getState().storage.clashes).toEqual([
        { kind: 'value', where: `${plate.label}, count`, kept: '9', replaced: '8' },
      ]);
  });

  it('make no copy where both made the same of a job', async () => {
    const { here, there, flushHere, flushThere } = await twoTabs();
    note(here, 'the same');
    note(there, 'the same');
    await flushHere();
    await flushThere();
    expect(notes(there)).toEqual(['the same']);
    expect(there.getState().storage.clashes).toEqual([]);
  });

  it('overwrite nothing either when no word of it came', async () => {
    const { here, there, flushHere, flushThere, storage, link } = await twoTabs();
    link.works = false;
    note(here, 'theirs');
    await flushHere();
    note(there, 'mine');
    await flushThere();
    expect(notes(there)).toEqual(['mine', 'theirs']);
    expect(there.getState().storage.status).toBe('saved');
    const third = makeStore();
    await startSaving(third, sealedRecords(storage, 'test'), noJobs);
    expect(notes(third)).toEqual(['mine', 'theirs']);
  });

  it('keep what both changed on the shelf', async () => {
    const { here, there, flushHere, flushThere } = await twoTabs();
    const [first, second] = here.getState().shelf.plates;
    if (!first || !second) throw new Error('the demo has plates');
    const change = (store: typeof here, plate: typeof first, count: number) =>
      store.dispatch(shelfActions.stockPlatePut({ ...plate, count }));
    change(here, first, 41);
    change(there, second, 42);
    await flushHere();
    await flushThere();
    await flushHere();
    for (const store of [here, there]) {
      const count = (id: string) => store.getState().shelf.plates.find((p) => p.id === id)?.count;
      expect([count(first.id), count(second.id)]).toEqual([41, 42]);
    }
  });

  it('bring a job back that one deleted while the other edited it', async () => {
    const { here, there, flushHere, flushThere } = await twoTabs();
    note(there, 'still at work on it');
    here.dispatch(jobActions.jobRemoved('crag'));
    await flushHere();
    await flushThere();
    await flushHere();
    expect(notes(here)).toEqual(['still at work on it']);
  });
});
