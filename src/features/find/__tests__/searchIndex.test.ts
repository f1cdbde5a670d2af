import type { Job } from '@/core/job/types';
import { jobsOfEachKind, smallLibrary, smallStock } from '@/testing/jobs';
import { findablesOf } from '@/core/find/findables';

import { makeIndex, search, wordsOf } from '../searchIndex';

const [steel] = smallStock().plates;
if (!steel) throw new Error('no steel');
const stock = {
  ...smallStock(),
  scrap: [{ ...steel, id: 'scrap', label: 'S99', why: 'warped', scrapped: '2026-08-14' }],
};
const jobs = jobsOfEachKind().map((job): Job =>
  job.number === 'T-3' ? { ...job, intake: { ...job.intake, complaints: ['neutral'] } } : job,
);
const all = findablesOf(jobs, stock, smallLibrary());

describe('the search', () => {
  it.each([
    ['neutral', 'job', 'T-3 Knoll 1200'],
    ['t-4', 'job', 'T-4 Cairn 500'],
    ['cairm', 'machine', 'Cairn 500'],
    ['fen bench', 'machine', 'Fen 250'],
    ['scree minimum stack', 'setting', 'Minimum stack: 34.000 mm'],
    ['crag minimum sta', 'limits', 'Minimum stack: 34.000 mm'],
    ['s12', 'shelf', 'S12: Steel 1.50 mm'],
    ['warped', 'shelf', 'S99: Steel 1.50 mm'],
    ['rate 24', 'shelf', 'Rate 24'],
    ['peat', 'place', 'Units and theme'],
  ])('for “%s”', async (text, kind, title) => {
    const found = search(await makeIndex(all), text);
    expect(found.filter((f) => f.kind === kind).map((f) => f.title)).toContain(title);
  });

  it('takes a value with its unit however it is written, the whole number first', async () => {
    for (const text of ['74.0 N·m', '74 Nm', '74Nm', '74,0 Nm'])
      expect(wordsOf(text)).toEqual(['74', 'nm']);
    expect(wordsOf('S12: Steel 1.50 mm')).toEqual(['s12', 'steel', '1.5', 'mm']);
    const torque = (value: string) => ({
      id: value,
      kind: 'setting' as const,
      title: `Hub nut, torque: ${value}`,
      about: '',
      words: `hub nut ${value}`,
      href: '/',
    });
    const index = await makeIndex([torque('74.6 N·m'), torque('740 N·m'), torque('74.0 N·m')]);
    expect(search(index, '74 Nm')[0]?.title).toBe('Hub nut, torque: 74.0 N·m');
  });

  it('finds nothing for what is nowhere, and survives odd input', async () => {
    const index = await makeIndex(all);
    expect(search(index, 'zzzz')).toEqual([]);
    expect(search(index, '((( " \\ *')).toEqual([]);
    expect(search(index, '<script>')).toEqual([]);
  });
});
