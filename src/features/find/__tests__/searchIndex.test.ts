import { findablesOf } from '@/core/find/findables';
import { demoJobs, demoLibrary, demoShelf } from '@/demo/workshop';

import { makeIndex, search } from '../searchIndex';

const all = findablesOf(demoJobs(), demoShelf(), demoLibrary());

describe('the search', () => {
  it.each([
    ['neutral', 'job', 'UR-0103 Brae 1200'],
    ['ur-0104', 'job', 'UR-0104 Coppice 500'],
    ['copice', 'machine', 'Coppice 500'],
    ['moss quad', 'machine', 'Moss 250'],
    ['holm least stack', 'setting', 'Least stack: 34.400 mm'],
    ['tarn least sta', 'limits', 'Least stack: 33.700 mm'],
    ['s12', 'shelf', 'S12: Steel 1.20 mm'],
    ['warped', 'shelf', 'S70: Steel 1.50 mm'],
    ['fell 17', 'shelf', 'Fell 17'],
    ['peat', 'place', 'Units and theme'],
  ])('for “%s”', async (text, kind, title) => {
    const found = search(await makeIndex(all), text);
    expect(found.filter((f) => f.kind === kind).map((f) => f.title)).toContain(title);
  });

  it('finds nothing for what is nowhere, and survives odd input', async () => {
    const index = await makeIndex(all);
    expect(search(index, 'zzzz')).toEqual([]);
    expect(search(index, '((( " \\ *')).toEqual([]);
    expect(search(index, '<script>')).toEqual([]);
  });
});
