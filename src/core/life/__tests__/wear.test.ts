import fc from 'fast-check';

import { fitWear, forecastLimits, predictWear } from '../wear';

const published = [
  { run: 0, wear: 0 },
  { run: 18, wear: 0.06 },
  { run: 41, wear: 0.15 },
  { run: 66, wear: 0.23 },
];

describe('wear and life', () => {
  it('meets the published line', () => {
    const line = fitWear(published);
    expect(line.slope).toBeCloseTo(0.00352785, 8);
    expect(line.intercept).toBeCloseTo(-0.000245, 6);
    expect(line.basis).toBe('line');
  });

  it('names the first limit, with an interval that holds it', () => {
    const line = fitWear(published);
    const [first, second] = forecastLimits(line, [
      { name: 'pack total', at: 0.6 },
      { name: 'thinnest disc', at: 0.4 },
    ]);
    expect(first?.name).toBe('thinnest disc');
    expect(first?.run).toBeCloseTo((0.4 - line.intercept) / line.slope, 9);
    expect(first?.earliest).toBeLessThan(first?.run ?? 0);
    expect(first?.latest).toBeGreaterThan(first?.run ?? Infinity);
    expect(second?.name).toBe('pack total');
    expect(predictWear(line, first?.earliest ?? 0).high).toBeCloseTo(0.4, 6);
  });

  it('gives a rate from new for one reading, and foresees nothing without wear or hours', () => {
    const one = fitWear([{ run: 40, wear: 0.1 }]);
    expect(one).toMatchObject({ slope: 0.0025, basis: 'new' });
    expect(forecastLimits(one, [{ name: 'disc', at: 0.2 }])).toEqual([
      { name: 'disc', at: 0.2, run: 80 },
    ]);
    expect(() => fitWear([])).toThrow('after some hours');
    expect(() => fitWear([{ run: 0, wear: 0 }])).toThrow('after some hours');
    const flat = fitWear([
      { run: 0, wear: 0.1 },
      { run: 10, wear: 0.1 },
    ]);
    expect(() => forecastLimits(flat, [{ name: 'disc', at: 0.2 }])).toThrow('slope');
  });

  it('finds any straight wear again', () => {
    const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(number(1e-4, 0.02), number(-0.01, 0.01), number(5, 30), (slope, start, step) => {
        const line = fitWear(
          [0, 1, 2, 3, 4].map((i) => ({ run: i * step, wear: start + slope * i * step })),
        );
        expect(line.slope).toBeCloseTo(slope, 9);
        expect(line.deviation).toBeLessThan(1e-9);
      }),
    );
  });
});
