import { jobsOfEachKind } from '@/testing/jobs';
import { rowOf } from '@/core/job/row';

import { daysLeft, dueText, isDue } from '../due';
import { ALL_JOBS, findJobs } from '../findJobs';

const TODAY = new Date('2026-11-24T10:00:00');
/** Five jobs at five stages, three of them with a day. */
const STAGES = ['build', 'set', 'inspect', 'specify', 'intake'] as const;
const DUE = ['2026-11-28', '2026-11-27', '2026-11-30', undefined, '2026-12-05'];
const jobs = jobsOfEachKind().map((job, i) => {
  const due = DUE[i];
  return rowOf({
    ...job,
    stage: STAGES[i] ?? 'intake',
    updatedAt: `2026-11-0${i + 1}T08:00:00.000Z`,
    intake: {
      ...job.intake,
      complaints: i === 2 ? ['neutral'] : [],
      ...(due === undefined ? {} : { due }),
    },
  });
});
const numbers = (query: Partial<Parameters<typeof findJobs>[1]>) =>
  findJobs(jobs, { ...ALL_JOBS, ...query }, TODAY).map((j) => j.number);

describe('finding jobs', () => {
  it('shows all that are not archived, the last worked on first', () => {
    expect(numbers({})[0]).toBe('T-5');
    expect(numbers({})).toHaveLength(5);
  });

  it.each([
    ['crag', ['T-1']],
    ['TEST bench 700', ['T-2']],
    ['neutral', ['T-3']],
    ['T-4', ['T-4']],
    ['nobody', []],
  ])('by words: %s', (search, found) => {
    expect(numbers({ search })).toEqual(found);
  });

  it('by stage, by what is due, and archived ones apart', () => {
    expect(numbers({ stage: 'inspect' })).toEqual(['T-3']);
    expect(numbers({ stage: 'due', sort: 'due' })).toEqual(['T-2', 'T-1', 'T-3']);
    expect(numbers({ stage: 'archived' })).toEqual([]);
    const put = jobs.map((j) => (j.number === 'T-1' ? { ...j, archived: true } : j));
    expect(findJobs(put, { ...ALL_JOBS, stage: 'archived' }, TODAY)).toHaveLength(1);
    expect(findJobs(put, ALL_JOBS, TODAY)).toHaveLength(4);
  });

  it('in every order', () => {
    expect(numbers({ sort: 'number' })).toEqual([...numbers({})].sort());
    expect(numbers({ sort: 'machine' })[0]).toBe('T-4');
  });

  it('counts days to the day', () => {
    const moss = jobs.at(-1);
    expect(moss && daysLeft(moss, TODAY)).toBe(11);
    expect(moss && isDue(moss, TODAY)).toBe(false);
    expect(moss && isDue(moss, new Date('2026-12-09T23:00:00'))).toBe(true);
    expect(
      ['2026-12-01', '2026-12-10', '2026-12-11', '2026-12-12', '2026-12-13', '2026-12-20'].map(
        (day) => dueText(day, new Date('2026-12-11T23:00:00')),
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
