import fc from 'fast-check';

import type { EntrySpec, ParsedEntry } from '../entrySpec';
import { acceptedText, asShown } from '../entrySpec';
import { entryText, parseEntry } from '../parseEntry';
import type { Quantity, UnitId } from '../quantity';
import { formatValue, formatWithUnit } from '../format';
import { fromBase, toBase, unitById, UNITS } from '../quantity';

const LENGTH: EntrySpec = { quantity: 'length', bounds: { above: 0, max: 250 } };
const THICKNESS: EntrySpec = {
  quantity: 'length',
  bounds: { above: 0, max: 20 },
  plausible: [0.5, 8],
};
const TORQUE: EntrySpec = { quantity: 'torque', bounds: { above: 0, max: 1000 } };
const RADIUS: EntrySpec = { quantity: 'length', bounds: { above: 0, max: 250 }, radius: true };

function value(parsed: ParsedEntry): number {
  if (parsed.kind !== 'value')
    throw new Error(`${parsed.kind}: ${'message' in parsed ? parsed.message : ''}`);
  return parsed.value;
}

describe('units', () => {
  it('knows the exact factors', () => {
    expect(toBase(1, unitById('in'))).toBe(25.4);
    expect(toBase(1, unitById('lbf'))).toBe(4.4482216152605);
    expect(toBase(1, unitById('ftlb'))).toBe(1.3558179483314);
    expect(toBase(12, unitById('inlb'))).toBeCloseTo(1.3558179483314, 14);
    expect(toBase(212, unitById('F'))).toBeCloseTo(100, 10);
    expect(() => unitById('furlong' as UnitId)).toThrow('unknown unit');
  });

  // One of each unit in the base unit of its quantity, by the definitions of inch, pound, foot, mile, gravity and hour.
  const INCH = 25.4;
  const POUND = 0.45359237;
  const LBF = POUND * 9.80665;
  it.each<[Quantity, Readonly<Partial<Record<string, number>>>]>([
    ['length', { mm: 1, in: INCH, thou: INCH / 1000 }],
    ['force', { N: 1, lbf: LBF, kgf: 9.80665 }],
    ['torque', { Nm: 1, ftlb: LBF * 0.3048, inlb: LBF * 0.0254, kgfm: 9.80665, kgfcm: 0.0980665 }],
    ['rate', { 'N/mm': 1, 'lbf/in': LBF / INCH, 'kgf/mm': 9.80665 }],
    ['pressure', { MPa: 1, psi: LBF / INCH ** 2 }],
    ['stress', { MPa: 1, psi: LBF / INCH ** 2 }],
    ['mass', { kg: 1, g: 0.001, lb: POUND, oz: POUND / 16 }],
    ['time', { s: 1, min: 60, h: 3600 }],
    ['duration', { minutes: 1, hoursLong: 60 }],
    ['distance', { km: 1, mi: 1.609344 }],
    ['velocity', { 'm/s': 1, 'km/h': 1000 / 3600, mph: 1609.344 / 3600 }],
    ['temperatureRise', { K: 1, dF: 5 / 9 }],
    ['energy', { J: 1, kJ: 1000 }],
    ['area', { mm2: 1, in2: INCH ** 2 }],
    ['wearRate', { 'mm/h': 1, 'thou/h': INCH / 1000 }],
    ['share', { percent: 0.01 }],
  ])('%s has the units %j', (quantity, factors) => {
    expect(UNITS[quantity].map((u) => u.id).sort()).toEqual(Object.keys(factors).sort());
    for (const unit of UNITS[quantity]) {
      const factor = factors[unit.id] ?? Number.NaN;
      expect(toBase(1, unit) / factor).toBeCloseTo(1, 12);
      expect(toBase(0, unit)).toBe(0);
    }
  });

  it('has no quantity whose factors are not checked here, but those of one unit', () => {
    const several = (Object.keys(UNITS) as Quantity[]).filter((q) => UNITS[q].length > 1);
    expect(several.sort()).toEqual(
      [
        'area',
        'distance',
        'duration',
        'energy',
        'force',
        'length',
        'mass',
        'pressure',
        'stress',
        'rate',
        'temperature',
        'temperatureRise',
        'time',
        'torque',
        'velocity',
        'wearRate',
      ].sort(),
    );
    expect(toBase(32, unitById('F'))).toBeCloseTo(0, 10);
    expect(toBase(-40, unitById('F'))).toBeCloseTo(-40, 10);
  });

  it.each(Object.values(UNITS).flat())('goes from $id to the base unit and back', (unit) => {
    fc.assert(
      fc.property(fc.double({ min: 1e-3, max: 1e6, noNaN: true }), (v) => {
        const back = fromBase(toBase(v, unit), unit);
        const size = Math.abs(v) + Math.abs(unit.offset ?? 0);
        expect(Math.abs(back - v) / size).toBeLessThan(1e-12);
      }),
    );
  });

  it('rounds for display only', () => {
    expect(formatValue(2.92046, 'length')).toBe('2.920');
    expect(formatValue(2.921, 'length', { length: 'thou' })).toBe('115.0');
    expect(formatWithUnit(2.921, 'length', { length: 'in' })).toBe('0.1150 in');
    expect(formatValue(-0.0001, 'length')).toBe('0.000');
    expect(formatWithUnit(0.25, 'share')).toBe('25 %');
  });
});

describe('numbers as people write them', () => {
  it.each([
    ['2.92', 2.92],
    ['2,92', 2.92],
    ['0.115in', 2.921],
    ['.115"', 2.921],
    ['115 thou', 2.921],
    ['1/8"', 3.175],
    ['5/32 in', 3.96875],
    ['2.92mm', 2.92],
    ['1 1/4"', 31.75],
    ['1-1/4 in', 31.75],
    ['1¼"', 31.75],
    ['½ in', 12.7],
    ['⅓"', 25.4 / 3],
    ['1⁄8 in', 3.175],
    ['1 + 1/4"', 31.75],
    [' 3 ', 3],
    ['3.', 3],
    ['+3', 3],
    ['115 mils', 2.921],
    ['2.92 MM', 2.92],
  ])('reads %s as %d mm', (text, mm) => {
    expect(value(parseEntry(text, LENGTH))).toBeCloseTo(mm, 10);
  });

  it.each([
    ['8.1 ft-lb', 8.1 * 1.3558179483314],
    ['8.1 ft lbs', 8.1 * 1.3558179483314],
    ['8.1 ft.lbs', 8.1 * 1.3558179483314],
    ['8.1 lbs-ft', 8.1 * 1.3558179483314],
    ['8.1 lbf.ft', 8.1 * 1.3558179483314],
    ['8.1 foot pounds', 8.1 * 1.3558179483314],
    ['8.1 foot-pounds', 8.1 * 1.3558179483314],
    ['97.2 in-lb', 8.1 * 1.3558179483314],
    ['97.2 inch pounds', 8.1 * 1.3558179483314],
    ['12.5 Nm', 12.5],
    ['12.5 N·m', 12.5],
    ['12.5 newton metres', 12.5],
    ['12.5', 12.5],
    ['97.2 lb-in', 8.1 * 1.3558179483314],
    ['1.1 kgf·m', 1.1 * 9.80665],
    ['1.1 kgf-m', 1.1 * 9.80665],
    ['110 kgf·cm', 1.1 * 9.80665],
  ])('reads %s as %d N·m', (text, nm) => {
    expect(value(parseEntry(text, TORQUE))).toBeCloseTo(nm, 10);
  });

  it.each([
    ['11–13 N·m', 11, 13],
    ['11-13 Nm', 11, 13],
    ['11 to 13 Nm', 11, 13],
    ['11 Nm – 13 Nm', 11, 13],
    ['8.1-9.6 ft-lb', 8.1 * 1.3558179483314, 9.6 * 1.3558179483314],
    ['11,5–12,5', 11.5, 12.5],
  ])('keeps the range %s and works with its middle', (text, low, high) => {
    const read = parseEntry(text, TORQUE);
    expect(read).toMatchObject({
      kind: 'value',
      value: expect.closeTo((low + high) / 2, 10) as number,
      range: { low: expect.closeTo(low, 10) as number, high: expect.closeTo(high, 10) as number },
    });
  });

  it('refuses a range that goes backwards, leaves what is allowed, or counts things', () => {
    expect(parseEntry('13–11 Nm', TORQUE)).toMatchObject({
      kind: 'refused',
      message: expect.stringContaining('smaller value to the larger') as string,
    });
    expect(parseEntry('11–5000 Nm', TORQUE)).toMatchObject({
      kind: 'refused',
      message: expect.stringContaining('too large') as string,
    });
    const whole: EntrySpec = { quantity: 'count', bounds: { min: 1, max: 24, integer: true } };
    expect(parseEntry('3-5', whole).kind).toBe('refused');
  });

  it('reads turns and marks of a screw, and asks for its marks where they are not known', () => {
    const screw: EntrySpec = { quantity: 'ratio', turns: true, bounds: { min: 0, max: 60 } };
    const marked = { ...screw, marksPerTurn: 18 };
    expect(value(parseEntry('1 turn 4', marked))).toBeCloseTo(1 + 4 / 18, 12);
    expect(value(parseEntry('1 turn and 4 marks', marked))).toBeCloseTo(1 + 4 / 18, 12);
    expect(value(parseEntry('4 marks', marked))).toBeCloseTo(4 / 18, 12);
    expect(value(parseEntry('2 turns', screw))).toBe(2);
    expect(value(parseEntry('1 3/8 turn', screw))).toBe(1.375);
    expect(value(parseEntry('1 + 4/18', screw))).toBeCloseTo(1 + 4 / 18, 12);
    expect(parseEntry('1 turn 4', screw)).toMatchObject({
      kind: 'refused',
      message: expect.stringContaining('marks per turn') as string,
    });
    expect(parseEntry('turns', screw).kind).toBe('refused');
  });

  it('takes the minus sign as one, and says that it has no meaning where it has none', () => {
    const angle: EntrySpec = { quantity: 'angle', bounds: { above: -85, below: 85 } };
    expect(value(parseEntry('−12.5', angle))).toBe(-12.5);
    expect(parseEntry('−3', LENGTH)).toMatchObject({
      kind: 'refused',
      message: expect.stringContaining('negative') as string,
    });
  });

  it('asks about an exponent, and about a bare share below one per cent', () => {
    expect(parseEntry('1.5e1', LENGTH)).toMatchObject({
      kind: 'question',
      readings: [expect.objectContaining({ value: 15 })],
    });
    const share: EntrySpec = { quantity: 'share', bounds: { min: 0, max: 1 } };
    expect(parseEntry('0.15', share)).toMatchObject({ kind: 'question' });
    const read = parseEntry('0.15', share);
    expect(read.kind === 'question' && read.readings.map((r) => r.value)).toEqual([0.15, 0.0015]);
    expect(value(parseEntry('15', share))).toBe(0.15);
    expect(value(parseEntry('0.5 %', share))).toBe(0.005);
  });

  it('shows a number with the decimals it was typed with, while its unit is shown', () => {
    expect(entryText({ value: 1.2, typed: '1.20' }, LENGTH)).toBe('1.20');
    expect(entryText({ value: 1.2 }, LENGTH)).toBe('1.2');
    expect(entryText({ value: 1.2, typed: '1.20' }, LENGTH, { length: 'in' })).toBe('0.0472');
    expect(entryText({ value: 2.921, typed: '.115"' }, LENGTH)).toBe('2.921');
  });

  it('takes a bare number in the unit now shown', () => {
    expect(value(parseEntry('115', LENGTH, { length: 'thou' }))).toBeCloseTo(2.921, 10);
    expect(value(parseEntry('0.115', LENGTH, { length: 'in' }))).toBeCloseTo(2.921, 10);
    expect(value(parseEntry('2.92 mm', LENGTH, { length: 'in' }))).toBe(2.92);
  });

  it('takes threads per inch where a pitch is asked', () => {
    const PITCH = { ...LENGTH, thread: true } as const;
    expect(value(parseEntry('20 tpi', PITCH))).toBeCloseTo(1.27, 12);
    expect(value(parseEntry('24 threads per inch', PITCH))).toBeCloseTo(25.4 / 24, 12);
    expect(value(parseEntry('1.25', PITCH))).toBe(1.25);
    for (const text of ['0 tpi', 'tpi', '-20 tpi'])
      expect(parseEntry(text, PITCH)).toMatchObject({
        kind: 'refused',
        message: expect.stringContaining('20 tpi') as string,
      });
    expect(parseEntry('20 tpi', LENGTH).kind).toBe('refused');
  });

  it('halves a diameter where a radius is asked', () => {
    expect(value(parseEntry('117 dia', RADIUS))).toBe(58.5);
    expect(value(parseEntry('Ø117', RADIUS))).toBe(58.5);
    expect(value(parseEntry('dia 117 mm', RADIUS))).toBe(58.5);
    expect(parseEntry('117 dia', LENGTH).kind).toBe('refused');
  });

  it('takes and gives a diameter where a radius is asked for across', () => {
    const across = { ...RADIUS, across: 'Lining outer diameter' };
    for (const text of ['117', '117 dia', '58.5 rad', 'r 58.5', '4.6063 in'])
      expect(value(parseEntry(text, across))).toBeCloseTo(58.5, 3);
    expect(value(parseEntry('58.5 rad', RADIUS))).toBe(58.5);
    expect(asShown(58.5, across)).toBe(117);
    expect(asShown(58.5, RADIUS)).toBe(58.5);
    expect(parseEntry('999', across)).toMatchObject({
      kind: 'refused',
      message: expect.stringMatching(/^999\.000 mm is too large\. .* up to 500 mm/) as string,
    });
  });

  it('asks in the unit that its scales show, unless the builder has chosen another', () => {
    const weight: EntrySpec = { quantity: 'mass', unit: 'g', bounds: { above: 0, max: 5 } };
    expect(value(parseEntry('60', weight))).toBeCloseTo(0.06, 12);
    expect(value(parseEntry('0.06 kg', weight))).toBeCloseTo(0.06, 12);
    expect(value(parseEntry('2', weight, { mass: 'oz' }))).toBeCloseTo(0.0566990463, 9);
    expect(parseEntry('9000', weight)).toMatchObject({
      kind: 'refused',
      message: expect.stringContaining('up to 5000 g') as string,
    });
  });

  it.each([
    'abc',
    '2.9.2',
    '--3',
    '1/0',
    '1 7/4',
    '2 3',
    '3 ft-lb',
    '3 parsec',
    '..',
    '/',
    '1/2/3',
    'NaN',
    'Infinity',
    '0x10',
    '9'.repeat(100),
  ])('refuses %s and says what would be taken', (text) => {
    const parsed = parseEntry(text, LENGTH);
    expect(parsed.kind).toBe('refused');
    if (parsed.kind === 'refused')
      expect(parsed.message).toContain('Enter a number above 0 and up to 250 mm');
  });

  it('refuses what is out of range, negative or not whole, with the range in the unit shown', () => {
    expect(parseEntry('-3', LENGTH)).toMatchObject({
      kind: 'refused',
      message: expect.stringContaining('negative'),
    });
    expect(parseEntry('0', LENGTH)).toMatchObject({
      kind: 'refused',
      message: expect.stringContaining('too small'),
    });
    expect(parseEntry('1e300', LENGTH)).toMatchObject({
      kind: 'refused',
      message: expect.stringContaining('too large'),
    });
    const count: EntrySpec = { quantity: 'count', bounds: { min: 1, max: 24, integer: true } };
    expect(parseEntry('2.5', count)).toMatchObject({
      kind: 'refused',
      message: expect.stringContaining('not a whole number'),
    });
    expect(acceptedText(LENGTH, unitById('in'))).toContain('up to 9.8425 in');
  });

  it('asks when another unit is more likely meant', () => {
    const parsed = parseEntry('2.92 in', THICKNESS);
    expect(parsed.kind).toBe('question');
    if (parsed.kind !== 'question') return;
    expect(parsed.readings[0]).toMatchObject({ value: 2.92, text: '2.920 mm' });
    expect(parseEntry('115', THICKNESS)).toMatchObject({
      kind: 'question',
      readings: [
        expect.objectContaining({ text: '115.0 thou' }),
        expect.objectContaining({ text: '1.150 mm' }),
      ],
    });
    expect(value(parseEntry('2.92', THICKNESS))).toBe(2.92);
  });

  it('asks whether the point was left out, the likelier reading first', () => {
    expect(parseEntry('297', THICKNESS)).toMatchObject({
      kind: 'question',
      readings: [
        expect.objectContaining({ text: '2.970 mm', value: 2.97 }),
        expect.objectContaining({ text: '297.0 thou' }),
      ],
    });
    expect(parseEntry('297', LENGTH).kind).not.toBe('question');
  });

  it('asks which is meant where a comma may part thousands, unless only one can be', () => {
    const force: EntrySpec = { quantity: 'force', bounds: { min: 0, max: 20000 } };
    const parsed = parseEntry('1,600', force);
    expect(parsed.kind).toBe('question');
    if (parsed.kind === 'question')
      expect(parsed.readings.map((r) => r.value)).toEqual([1.6, 1600]);
    expect(
      parseEntry('6.500', { quantity: 'speed', bounds: { above: 0, max: 25000 } }),
    ).toMatchObject({
      kind: 'question',
      readings: [expect.objectContaining({ value: 6.5 }), expect.objectContaining({ value: 6500 })],
    });
    // In a caliper over a pack neither reading of it is likely.
    expect(
      parseEntry('1,234', {
        quantity: 'length',
        bounds: { above: 0, max: 400 },
        plausible: [8, 90],
      }),
    ).toMatchObject({
      kind: 'question',
      readings: [expect.objectContaining({ text: '1.2340 in' }), {}],
    });
    expect(value(parseEntry('1,498', THICKNESS))).toBe(1.498);
    expect(value(parseEntry('1,600.5', force))).toBe(1600.5);
    expect(value(parseEntry('1.600,5', force))).toBe(1600.5);
    expect(value(parseEntry('1 600', force))).toBe(1600);
  });

  it('never throws and never lets a value through that is out of bounds, whatever is typed', () => {
    const quantities = Object.keys(UNITS) as Quantity[];
    let values = 0;
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string({ maxLength: 80 }),
          fc.string({ unit: fc.constantFrom(...'0123456789.,/ -"inm') }),
        ),
        fc.constantFrom(...quantities),
        (text, quantity) => {
          const parsed = parseEntry(text, {
            quantity,
            bounds: { above: 0, max: 100 },
            plausible: [1, 50],
          });
          if (parsed.kind === 'value') {
            values++;
            expect(parsed.value).toBeGreaterThan(0);
            expect(parsed.value).toBeLessThanOrEqual(100);
          }
        },
      ),
      { numRuns: 500 },
    );
    expect(values).toBeGreaterThan(0);
  });

  it('reads back what it shows', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 8, noNaN: true }),
        fc.constantFrom<UnitId>('mm', 'in', 'thou'),
        (mm, unit) => {
          const shown = formatWithUnit(mm, 'length', { length: unit });
          expect(Math.abs(value(parseEntry(shown, THICKNESS)) - mm)).toBeLessThan(0.002);
        },
      ),
    );
  });
});
