import { rowOf } from '@/core/job/row';
import { demoJobs } from '@/demo/jobs';

import { daysLeft, dueWords, isDue } from '../due';
import { ALL_JOBS, findJobs } from '../findJobs';

const TODAY = new Date('2026-11-24T10:00:00');
const jobs = demoJobs().map(rowOf);
const numbers = (query: Partial<Parameters<typeof findJobs>[1]>) =>
  findJobs(jobs, { ...ALL_JOBS, ...query }, TODAY).map((j) => j.number);

describe('finding jobs', () => {
  it('shows all that are not archived, the last worked on first', () => {
    expect(numbers({})[0]).toBe('UR-0105');
    expect(numbers({})).toHaveLength(6);
  });

  it.each([
    ['tarn', ['UR-0106', 'UR-0101']],
    ['TARN second', ['UR-0106']],
    ['neutral', ['UR-0103']],
    ['0104', ['UR-0104']],
    ['nobody', []],
  ])('by words: %s', (search, found) => {
    expect(numbers({ search })).toEqual(found);
  });

  it('by stage, by what is due, and archived ones apart', () => {
    expect(numbers({ stage: 'inspect' })).toEqual(['UR-0103']);
    expect(numbers({ stage: 'due', sort: 'due' })).toEqual(['UR-0102', 'UR-0106', 'UR-0103']);
    expect(numbers({ stage: 'archived' })).toEqual([]);
    const put = jobs.map((j) => (j.number === 'UR-0101' ? { ...j, archived: true } : j));
    expect(findJobs(put, { ...ALL_JOBS, stage: 'archived' }, TODAY)).toHaveLength(1);
    expect(findJobs(put, ALL_JOBS, TODAY)).toHaveLength(5);
  });

  it('in every order', () => {
    expect(numbers({ sort: 'number' })).toEqual([...numbers({})].sort());
    expect(numbers({ sort: 'machine' })[0]).toBe('UR-0103');
  });

  it('counts days to the day', () => {
    const [moss] = jobs;
    expect(moss && daysLeft(moss, TODAY)).toBe(11);
    expect(moss && isDue(moss, TODAY)).toBe(false);
    expect(moss && isDue(moss, new Date('2026-12-09T23:00:00'))).toBe(true);
    expect(
      ['2026-12-01', '2026-12-10', '2026-12-11', '2026-12-12', '2026-12-13', '2026-12-20'].map(
        (day) => dueWords(day, new Date('2026-12-11T23:00:00')),
      ),
    ).toEqual([
      '10 days late',
      'due yesterday',
      'due today',
      'due tomorrow',
      'due in 2 days',
      'due in 9 days',
    ]);
  });
});
