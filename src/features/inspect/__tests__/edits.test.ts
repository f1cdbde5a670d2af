import { cairn, knoll } from '@/testing/jobs';
import { entryAt } from '@/core/job/entryAt';
import { unitById } from '@/core/units/quantity';

import {
  withFixtureSight,
  withPlate,
  withPlateSight,
  withReading,
  withSpringsToMeasure,
} from '../edits';

const job = knoll();
const PATH = 'pack.plates.p9.readings.3';

describe('edits of an inspection', () => {
  it('keep with a reading what stood on the gauge, and the day', () => {
    const put = (shown: string, unit: 'mm' | 'in') =>
      entryAt(
        withReading(job, PATH, { value: 3.4, unit: unitById(unit) }, shown, '2026-11-24'),
        PATH,
      );
    expect(put('0.1339', 'in')).toEqual({
      value: 3.4,
      typed: '0.1339 in',
      source: { kind: 'measured', date: '2026-11-24' },
    });
    expect(put('.1339"', 'in')?.typed).toBe('.1339"');
    expect(put('3,4', 'mm')?.typed).toBe('3,4 mm');
  });

  it('leave every other plate the same record', () => {
    const next = withReading(job, PATH, { value: 3.4, unit: unitById('mm') }, '3.4', '2026-11-24');
    const changed = next.pack.plates.filter((p, i) => p !== job.pack.plates[i]);
    expect(changed.map((p) => p.id)).toEqual(['p9']);
  });

  it('put what is seen on and take it off, in one order', () => {
    const seen = (j: typeof job) => j.pack.plates.find((p) => p.id === 'p4')?.seen;
    const twice = withPlateSight(withPlateSight(job, 'p4', 'glazed'), 'p4', 'blued');
    expect(seen(twice)).toEqual(['blued', 'glazed']);
    expect(seen(withPlateSight(twice, 'p4', 'blued'))).toEqual(['glazed']);
    expect(withPlateSight(job, 'nowhere', 'blued')).toBe(job);
    expect(withFixtureSight(job, 'hub', 'cracked').inspection.seen.hub).toEqual(['cracked']);
    expect(withPlate(job, 'p1', { isNew: true }).pack.plates[0]?.isNew).toBe(true);
  });

  it('lay out as many springs to measure as the job has, once', () => {
    let n = 0;
    const id = () => `s${n++}`;
    const coils = cairn();
    const laid = withSpringsToMeasure(coils, id);
    expect(laid.inspection.springLengths).toHaveLength(8);
    expect(new Set(laid.inspection.springLengths.map((r) => r.groupId))).toEqual(
      new Set(['long', 'short']),
    );
    expect(withSpringsToMeasure(laid, id)).toBe(laid);
    // A diaphragm is one part with one reading.
    expect(withSpringsToMeasure(job, id)).toBe(job);
  });
});
