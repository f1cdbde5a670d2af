import type { FieldPath } from '@/core/job/fieldPath';
import { fen } from '@/testing/jobs';
import { put } from '@/testing/packs';
import fc from 'fast-check';

import { blankJob, alternate, blankKind } from '../../job/blank';
import { entry } from '../../job/entry';
import { withEntry } from '../../job/paths';
import type { Job } from '../../job/types';
import { keyed, isPointAutomatic } from '../keyed';
import { quickReadings } from '../quick';
import { readGauge } from '../reading';
import type { RunPart, RunStep } from '../runStep';
import { measuringRun, nextOpen, openSteps } from '../run';

function job(): Job {
  const blank = blankJob('j', 'UR-0001', '2026-01-01T00:00:00.000Z');
  return {
    ...blank,
    pack: {
      ...blank.pack,
      plates: alternate('disc', 'steel', 9, 'friction', (n) => `p${n}`),
      kinds: [
        {
          ...blankKind('disc', 'friction', 'Disc'),
          thickness: entry(2.9),
          minThickness: entry(2.7),
        },
        { ...blankKind('steel', 'steel', 'Steel'), thickness: entry(1.6) },
      ],
    },
  };
}

describe('a measuring run', () => {
  it('over nine discs at four points and eight steels takes at most 60 keys beyond the digits', () => {
    const steps = measuringRun(job(), ['discs', 'steels', 'flatness']);
    expect(steps).toHaveLength(9 * 4 + 8 * 2);
    expect(steps.length).toBeLessThanOrEqual(60);
    expect(steps[0]).toMatchObject({
      title: 'Disc, plate 1',
      what: 'thickness, point 1 of 4',
      limit: 2.7,
    });
    expect(steps[36]).toMatchObject({ title: 'Steel, plate 2', what: 'thickness' });
    expect(steps[37]).toMatchObject({
      title: 'Steel, plate 2',
      part: 'flatness',
      limitIs: 'max',
    });
  });

  it('goes on where it was left, and leaves new parts out', () => {
    const steps = measuringRun(job(), ['discs']);
    const begun = withEntry(job(), steps[0]?.path ?? 'pack.maxWear', entry(2.88));
    expect(nextOpen(begun, steps)).toBe(1);
    expect(openSteps(begun, steps)).toEqual(steps.slice(1));
    // What was taken out of turn is passed over.
    const outOfTurn = withEntry(begun, steps[2]?.path ?? 'pack.maxWear', entry(2.87));
    expect(nextOpen(outOfTurn, steps, 2)).toBe(3);
    expect(nextOpen(outOfTurn, steps, steps.length)).toBe(steps.length);
    expect(openSteps(outOfTurn, steps)).toHaveLength(steps.length - 2);
    const fresh: Job = {
      ...job(),
      pack: { ...job().pack, plates: job().pack.plates.map((p) => ({ ...p, isNew: true })) },
    };
    expect(measuringRun(fresh, ['discs', 'steels'])).toEqual([]);
  });
});

describe('a gauge’s value', () => {
  const [step] = measuringRun(job(), ['discs']);
  const read = (text: string, unit: 'mm' | 'in' | 'thou' = 'mm') =>
    readGauge(text, step ?? { path: 'pack.maxWear', onlyWears: true }, { length: unit });

  it('is taken when it fits', () => {
    expect(read('2.87')).toMatchObject({ kind: 'value', value: 2.87 });
    expect(read('113.2', 'thou')).toMatchObject({ kind: 'value' });
    // As new, and a little more, as batches come.
    expect(read('2.95')).toMatchObject({ kind: 'value' });
  });

  it('is asked about above new only where it can but wear', () => {
    expect(read('3.02').kind).toBe('question');
    const steps = measuringRun(job(), ['flatness', 'tangs']);
    expect(new Set(steps.map((s) => s.part))).toEqual(new Set(['flatness', 'tangs']));
    for (const s of steps) expect(readGauge('0.12', s, { length: 'mm' }).kind).toBe('value');
  });

  it.each([
    ['29.0', 'mm', 2.9],
    ['287', 'mm', 2.87],
    ['0.287', 'mm', 2.87],
    ['.113', 'mm', 2.8702],
    ['113.2', 'mm', 2.87528],
    ['2.87', 'in', 2.87],
    ['2.87', 'thou', 2.87],
  ] as const)('of %s in %s is asked about: %s mm?', (text, unit, meant) => {
    const asked = read(text, unit);
    expect(asked.kind).toBe('question');
    if (asked.kind === 'question') expect(asked.readings[0]?.value).toBeCloseTo(meant, 9);
  });

  it('above new is asked about, and can be kept', () => {
    const asked = read('3.05');
    expect(asked).toMatchObject({
      kind: 'question',
      message: expect.stringContaining('more than new'),
    });
    if (asked.kind === 'question') expect(asked.readings.map((r) => r.value)).toEqual([3.05]);
  });

  it('that is no number is refused', () => {
    expect(read('E--').kind).toBe('refused');
    expect(read('-2.87').kind).not.toBe('value');
  });
});

describe('likely readings', () => {
  const parts = ['discs', 'steels', 'flatness', 'around'] as const;
  const at = (j: Job, what: (s: RunStep) => boolean) => {
    const steps = measuringRun(j, parts);
    const step = steps.find(what);
    return step ? quickReadings(j, step, steps) : undefined;
  };

  it('offer no blade, and the blades that tell a steel from its limit', () => {
    const flat = (s: RunStep) => s.part === 'flatness';
    expect(at(job(), flat)?.map((v) => v.toFixed(2))).toEqual([
      '0.00',
      '0.05',
      '0.10',
      '0.15',
      '0.20',
    ]);
    const strict = withEntry(job(), 'inspection.steelWarpLimit', entry(0.1));
    expect(at(strict, flat)?.map((v) => v.toFixed(2))).toEqual(['0.00', '0.05', '0.10', '0.15']);
    const loose = withEntry(job(), 'inspection.steelWarpLimit', entry(0.4));
    expect(at(loose, flat)).toHaveLength(5);
  });

  it('offer what the part before it measured, of its own sort, and nothing around the plates', () => {
    const one = withEntry(job(), 'pack.plates.p2.readings.1', entry(1.52));
    expect(at(one, (s) => s.title === 'Steel, plate 2')).toEqual([]);
    expect(at(one, (s) => s.title === 'Steel, plate 4' && s.part === 'steels')).toEqual([1.52]);
    expect(at(one, (s) => s.title === 'Disc, plate 3')).toEqual([]);
    const disc = withEntry(one, 'pack.plates.p1.readings.4', entry(2.88));
    expect(at(disc, (s) => s.title === 'Disc, plate 3')).toEqual([2.88]);
    expect(at(disc, (s) => s.part === 'around')).toEqual([]);
    // A bore is no lining.
    const shoes = put(fen(), { 'startClutch.shoeLining': 2.4 });
    const steps = measuringRun(shoes, ['start']);
    expect(steps.length).toBeGreaterThan(1);
    for (const step of steps) expect(quickReadings(shoes, step, steps)).toEqual([]);
  });
});

describe('the keypad', () => {
  const press = (keys: string, itself = 1) =>
    [...keys].reduce((text, key) => keyed(text, key, itself), '');

  it('sets the point after the first digit of a plate, and moves it where one is pressed', () => {
    expect(['297', '2.97', '005', '29', '2', '12.5', '1..5'].map((k) => press(k))).toEqual([
      '2.97',
      '2.97',
      '0.05',
      '2.9',
      '2',
      '12.5',
      '1.5',
    ]);
    expect(press('440.5', 0)).toBe('440.5');
  });

  it('sets it after the second digit of a coil spring', () => {
    expect(['2865', '44', '4', '28.65', '100.5', '9.5'].map((k) => press(k, 2))).toEqual([
      '28.65',
      '44',
      '4',
      '28.65',
      '100.5',
      '9.5',
    ]);
  });

  it('leaves the same digits as were pressed, whatever was pressed', () => {
    fc.assert(
      fc.property(
        fc.stringMatching(/^\d{1,4}(\.\d{1,3})?$/),
        fc.constantFrom(0, 1, 2),
        (keys, n) => {
          const text = press(keys, n);
          expect(text.replace('.', '')).toBe(keys.replace('.', ''));
          // An entered point stays where it was entered, except at the end of the digits.
          if (keys.includes('.')) expect(text).toBe(keys);
        },
      ),
    );
  });

  it('knows what measures how much, in millimetres alone', () => {
    const at = (part: RunPart, path: FieldPath, nominal?: number, length?: 'in') =>
      isPointAutomatic({ part, path, nominal }, length ? { length } : {});
    const plate = 'pack.plates.p1.readings.1';
    const spring = 'inspection.springLengths.a.length';
    expect(at('discs', plate, 3)).toBe(1);
    expect(at('flatness', 'pack.plates.p1.outOfFlat', 0)).toBe(1);
    expect(at('discs', plate, 12)).toBe(0);
    expect(at('discs', plate, undefined, 'in')).toBe(0);
    expect(at('springs', spring, 44)).toBe(2);
    expect(at('springs', spring)).toBe(2);
    expect(at('springs', spring, 104)).toBe(0);
    expect(at('springs', 'springs.diaphragm.measuredCone', 4.1)).toBe(1);
    expect(at('around', 'inspection.hubNotch')).toBe(0);
  });
});
