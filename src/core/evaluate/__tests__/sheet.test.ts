import type { FieldPath } from '@/core/job/fieldPath';
import { DomainError } from '../../errors';
import { blankJob } from '../../job/blank';
import { entry } from '../../job/entry';
import { withEntry } from '../../job/paths';
import { JobSheet } from '@/core/evaluate/engine/jobSheet';

const blank = blankJob('one', 'UR-0001', '2026-11-24T10:00:00.000Z');
const job = withEntry(blank, 'release.leverTravel', entry(60));

/** A figure of one input. */
const of = (
  sheet: JobSheet,
  value: (v: { x: number }) => number,
  path: FieldPath = 'release.leverTravel',
) =>
  sheet.compute('stack', {
    label: 'Stack',
    quantity: 'length',
    section: 1,
    formula: '2 x',
    from: { x: sheet.entry(path) },
    value,
  });

describe('a sheet of figures', () => {
  it('works a figure out of an entry, with its working', () => {
    const made = of(new JobSheet(job), ({ x }) => 2 * x);
    expect(made).toMatchObject({ status: 'known', value: 120, estimated: false });
    expect(made.status === 'known' && made.working.inputs).toMatchObject([
      { value: 60, path: 'release.leverTravel' },
    ]);
  });

  it('leaves a figure unknown for what is missing, named with its field', () => {
    const made = of(new JobSheet(blank), ({ x }) => 2 * x);
    expect(made).toMatchObject({
      status: 'unknown',
      needs: [{ path: 'release.leverTravel' }],
    });
  });

  it.each([
    [
      'a value outside its range',
      () => {
        throw new DomainError('x', 'above 0', -1);
      },
    ],
    ['a value that is no number', () => Number.NaN],
    ['a value without end', () => Infinity],
  ])('leaves a figure unknown, with the reason, for %s', (_what, value) => {
    const made = of(new JobSheet(job), value);
    expect(made).toMatchObject({ status: 'unknown', needs: [] });
    expect(made.status === 'unknown' && String(made.reason)).not.toBe('');
  });

  it('hands an earlier figure on, known or not, and refuses one that is not worked out yet', () => {
    const sheet = new JobSheet(job);
    expect(() => sheet.figure('clamp', 'F')).toThrow('before it is worked out');
    of(sheet, ({ x }) => 2 * x);
    expect(sheet.figure('stack', 'S')).toMatchObject({ known: true, value: 120 });
    expect(sheet.known('stack')?.value).toBe(120);
    const unknown = new JobSheet(blank);
    of(unknown, ({ x }) => 2 * x);
    expect(unknown.figure('stack', 'S').known).toBe(false);
    expect(unknown.known('stack')).toBeUndefined();
  });

  it('works out once what several figures rest on', () => {
    const sheet = new JobSheet(job);
    const make = jest.fn(() => ({ a: 1 }));
    expect(sheet.once('key', make)).toBe(sheet.once('key', make));
    expect(make).toHaveBeenCalledTimes(1);
  });
});
