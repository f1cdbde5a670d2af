import { MemoryRaw } from '@/testing/memoryRaw';

import { setCurrentRecords } from '../current';
import { pictures } from '../pictures';
import { sealedRecords } from '../records';

describe('pictures of no job', () => {
  const records = sealedRecords(new MemoryRaw(), 'pictures');
  beforeAll(() => setCurrentRecords(records));

  it('are taken out once they have been alone for a day, and not before', async () => {
    await pictures.save('named', 'data:a');
    await pictures.save('alone', 'data:b');
    const named = new Set(['named']);
    const monday = new Date('2026-11-23T08:00:00.000Z');
    const found = await pictures.keepOnly(named, {}, monday);
    expect(found).toEqual({ alone: monday.toISOString() });
    expect(await pictures.load('alone')).toBe('data:b');
    // Its job was stored meanwhile by another tab: it is forgotten among those that are alone.
    expect(await pictures.keepOnly(new Set(['named', 'alone']), found, monday)).toEqual({});
    const evening = new Date('2026-11-23T20:00:00.000Z');
    expect(await pictures.keepOnly(named, found, evening)).toEqual(found);
    const wednesday = new Date('2026-11-25T08:00:00.000Z');
    expect(await pictures.keepOnly(named, found, wednesday)).toEqual({});
    expect(await pictures.load('alone')).toBeUndefined();
    expect(await pictures.load('named')).toBe('data:a');
  });
});
