import { demoJobs, demoLibrary, demoShelf } from '@/demo/workshop';

import { findablesOf, FOUND_KINDS } from '../findables';

const all = findablesOf(demoJobs(), demoShelf(), demoLibrary());

describe('what can be found', () => {
  it('is every job, machine, setting, limit, item of the shelf and place, each once', () => {
    const ids = all.map((f) => f.id);
    expect(new Set(ids).size).toBe(ids.length);
    const kinds = new Set(all.map((f) => f.kind));
    expect([...kinds].sort()).toEqual([...FOUND_KINDS].sort());
    const shelf = demoShelf();
    expect(all.filter((f) => f.kind === 'job')).toHaveLength(6);
    expect(all.filter((f) => f.kind === 'shelf')).toHaveLength(
      shelf.plates.length + shelf.springs.length + shelf.scrap.length,
    );
  });

  it('is written in the units of the shop', () => {
    const inches = findablesOf(demoJobs(), demoShelf(), [], { length: 'in' });
    expect(inches.find((f) => f.title.startsWith('S1:'))?.title).toBe('S1: Steel 0.05 in');
  });
});
