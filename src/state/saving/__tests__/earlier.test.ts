import { readFileSync } from 'node:fs';
import path from 'node:path';

import { readJobFile } from '@/files/jobFile';
import { readWorkshopFile } from '@/files/workshopFile';
import { makeStore } from '@/state/store';
import { MemoryRaw } from '@/testing/memoryRaw';

import { sealedRecords } from '@/storage/records';
import { startSaving } from '../workshop';

/* What earlier versions wrote, as they wrote it. */

const fixture = (name: string): string =>
  readFileSync(path.join(__dirname, '../../../testing/fixtures', name), 'utf8');

async function open(name: string) {
  const kept = new Map(Object.entries(JSON.parse(fixture(name)) as Record<string, string>));
  const raw = new MemoryRaw(kept);
  const store = makeStore();
  const flush = await startSaving(store, sealedRecords(raw, 'earlier'), () => {
    throw new Error('this is no first visit');
  });
  await flush();
  return { kept, state: store.getState() };
}

describe('data of earlier versions', () => {
  it('opens stored records, with what was left half typed', async () => {
    const { state } = await open('records-1.json');
    expect(state.storage.damaged).toEqual([]);
    expect(state.jobs.entities['demo-ur-0102']?.notes).toBe('written once');
    expect(state.jobs.drafts['demo-ur-0102']).toMatchObject({
      'release.leverTravel': { text: 'about 60' },
    });
    expect(state.jobs.ids).toHaveLength(2);
    expect(state.library).not.toEqual([]);
    expect(state.shelf.plates).not.toEqual([]);
  });

  it('finishes a write that was cut off after it was decided', async () => {
    const { state, kept } = await open('records-1-cut-off.json');
    expect(state.storage.damaged).toEqual([]);
    expect(state.jobs.entities['demo-ur-0102']?.notes).toBe('written twice');
    expect(state.jobs.entities['demo-ur-0104']?.notes).toBe('written too');
    expect([...kept.keys()].filter((key) => /^(next:|journal$)/.test(key))).toEqual([]);
  });

  it('reads its files', async () => {
    expect(readJobFile(fixture('job-1.json')).job.number).toBe('UR-0104');
    const { workshop } = await readWorkshopFile(fixture('workshop-1.json'));
    expect(workshop.jobs.map((job) => job.number)).toEqual(['UR-0102', 'UR-0104']);
  });
});
