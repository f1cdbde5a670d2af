import { put } from '@/testing/packs';
import { crag, jobsOfEachKind, measured } from '@/testing/jobs';
import { entry } from '@/core/job/entry';
import type { Job, Visit } from '@/core/job/types';

import { readSentence } from '@/core/text/sentence';
import { evaluate } from '@/core/evaluate/evaluate';
import { discsGrew, meterRanBack } from '../visits';

const job = put(measured(crag(), 0.02), { 'intake.hours': 212 });
const [first] = job.pack.plates.filter((p) => p.kindId.startsWith('disc'));
const disc = first?.id ?? '';

const back = (id: string, date: string, hours: number | undefined, t?: number): Visit => ({
  id,
  date,
  ...(hours === undefined ? {} : { hours: entry(hours) }),
  readings: t === undefined ? {} : { [disc]: entry(t) },
  note: '',
});
const withReturns = (...visits: Visit[]): Job => ({ ...job, visits });

describe('returns that contradict what was read before', () => {
  it('are none where nothing contradicts', () => {
    for (const each of jobsOfEachKind()) {
      expect(meterRanBack(each)).toEqual([]);
      expect(discsGrew(each)).toEqual([]);
    }
  });

  it('name a meter that stood higher at an earlier date, in whatever order they were written', () => {
    const returns = withReturns(
      back('late', '2026-09-01', 230),
      back('early', '2026-05-01', 250),
      back('last', '2026-10-01', 260),
      back('unread', '2026-10-02', undefined),
    );
    const found = meterRanBack(returns);
    expect(found.map((p) => p.path)).toEqual(['visits.late.hours']);
    expect(found.map((p) => readSentence(p.sentence))[0]).toMatch(/^The meter read 250.* before/);
  });

  it('count the meter at intake as the first', () => {
    expect(job.intake.hours?.value).toBe(212);
    expect(meterRanBack(withReturns(back('a', '2026-05-01', 21.2)))).toHaveLength(1);
    expect(meterRanBack(withReturns(back('a', '2026-05-01', 212)))).toEqual([]);
  });

  it('look at the meter that counts for the machine, and at no other', () => {
    const road: Job = { ...job, machine: { ...job.machine, meter: 'distance' } };
    const visits = [
      { ...back('a', '2026-05-01', 100), distance: entry(9000) },
      { ...back('b', '2026-06-01', 300), distance: entry(8000) },
    ];
    expect(meterRanBack({ ...road, visits }).map((p) => p.path)).toEqual(['visits.b.distance']);
  });

  it('name a disc that grew by more than oil and a micrometer explain', () => {
    const from = Math.min(...Object.values(first?.readings ?? {}).map((r) => r.value));
    expect(from).toBeGreaterThan(2);
    const grown = (by: number) => discsGrew(withReturns(back('a', '2026-05-01', 230, from + by)));
    expect(grown(0.049)).toEqual([]);
    expect(grown(0.051).map((p) => p.path)).toEqual([`visits.a.readings.${disc}`]);
    // Against what it had last, and not against the least it ever had: it is said once.
    const renewed = withReturns(
      back('a', '2026-05-01', 230, from - 0.2),
      back('b', '2026-06-01', 250, from),
      back('c', '2026-07-01', 270, from - 0.05),
    );
    expect(discsGrew(renewed).map((p) => p.path)).toEqual([`visits.b.readings.${disc}`]);
  });

  it('stand at their fields, and keep nothing from being signed', () => {
    const { problems, verdicts } = evaluate(withReturns(back('a', '2026-05-01', 21.2)));
    expect(problems.filter((p) => p.path.startsWith('visits.'))).toMatchObject([
      { path: 'visits.a.hours', state: 'watch' },
    ]);
    expect(verdicts).toEqual(evaluate(withReturns()).verdicts);
  });
});
