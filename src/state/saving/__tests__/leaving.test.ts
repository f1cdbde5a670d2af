/** @jest-environment jsdom */
import { blankJob } from '@/core/job/blank';
import { memoryRecords } from '@/testing/memoryRaw';

import { Leaving, storeLeft } from '../leaving';

const NAME = 'test';
const job = (notes: string, id = 'a') => ({
  ...blankJob(id, 'UR-0101', '2026-05-04T09:00:00Z'),
  notes,
});

/** A workshop with one job stored, and a page that leaves with a change of it. */
async function left(change: string | undefined) {
  const { records } = memoryRecords();
  const before = new Map<string, unknown>([['job:a', job('before')]]);
  await records.write(before, []);
  const page = new Leaving(NAME);
  if (change === undefined) page.put(new Map(), ['job:a'], before);
  else page.put(new Map([['job:a', job(change)]]), [], before);
  return { records, page };
}
const notesIn = async (records: Awaited<ReturnType<typeof left>>['records']) => {
  const { records: found } = await records.read(await records.keys());
  return [...found.values()].map((value) => (value as { notes: string }).notes).sort();
};

beforeEach(() => localStorage.clear());

describe('what a page leaves behind', () => {
  it('is stored at the next opening, and once', async () => {
    const { records } = await left('after');
    await storeLeft(NAME, records);
    expect(await notesIn(records)).toEqual(['after']);
    expect(localStorage).toHaveLength(0);
  });

  it('takes away what was deleted', async () => {
    const { records } = await left(undefined);
    await storeLeft(NAME, records);
    expect(await notesIn(records)).toEqual([]);
  });

  it('is nothing more where the page could store it after all', async () => {
    const { records, page } = await left('after');
    page.clear();
    expect(localStorage).toHaveLength(0);
    await left('after');
    await records.write(new Map([['job:a', job('after')]]), []);
    await storeLeft(NAME, records);
    expect(await notesIn(records)).toEqual(['after']);
  });

  it('becomes a copy where the job was changed since', async () => {
    const { records } = await left('after');
    await records.write(new Map([['job:a', job('meanwhile')]]), []);
    await storeLeft(NAME, records);
    expect(await notesIn(records)).toEqual(['after', 'meanwhile']);
  });

  it('belongs to one workshop, and a text that is cut changes nothing', async () => {
    const { records } = await left('after');
    await storeLeft('another', records);
    expect(localStorage).toHaveLength(1);
    const key = localStorage.key(0) ?? '';
    localStorage.setItem(key, (localStorage.getItem(key) ?? '').slice(0, -9));
    await storeLeft(NAME, records);
    expect(await notesIn(records)).toEqual(['before']);
  });
});
