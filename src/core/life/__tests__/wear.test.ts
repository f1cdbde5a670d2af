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

  // By the textbook's formula, worked by hand: ŷ ± t·s·√(1 + 1/n + (x − x̄)²/Sxx), t = 2.920 for two degrees of freedom.
  it.each([
    [40, 0.1408687239, 0.0163233266],
    [100, 0.3525399735, 0.025698419],
    [200, 0.7053253896, 0.0516967941],
  ])('foresees wear at %i h with the interval of the textbook', (run, wear, half) => {
    const seen = predictWear(fitWear(published), run);
    expect(seen.wear).toBeCloseTo(wear, 9);
    expect((seen.high ?? 0) - seen.wear).toBeCloseTo(half, 9);
    expect(seen.wear - (seen.low ?? 0)).toBeCloseTo(half, 9);
  });

  it('gives no interval where two readings leave nothing to tell it by', () => {
    const seen = predictWear(fitWear(published.slice(0, 2)), 50);
    expect(seen.low).toBeUndefined();
    expect(seen.high).toBeUndefined();
    expect(() => predictWear(fitWear(published), -1)).toThrow('run');
  });

  it('holds nine of ten further readings in its interval, however many it rests on', () => {
    // Noise of one make, from a seed: sums of twelve even numbers are as good as normal here.
    let state = 20261128;
    const even = () => {
      state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
      return state / 2 ** 32;
    };
    const noise = () => Array.from({ length: 12 }, even).reduce((a, b) => a + b, -6) * 0.01;
    const wearAt = (run: number) => 0.004 * run + noise();
    for (const n of [3, 5, 9, 20]) {
      let held = 0;
      const rounds = 1500;
      for (let i = 0; i < rounds; i++) {
        const points = Array.from({ length: n }, (_, k) => ({ run: 12 * k, wear: wearAt(12 * k) }));
        const line = fitWear(points);
        const run = 12 * n + 10;
        const { low = Number.NaN, high = Number.NaN } = predictWear(line, run);
        const next = wearAt(run);
        if (next >= low && next <= high) held += 1;
      }
      expect(held / rounds).toBeGreaterThan(0.87);
      expect(held / rounds).toBeLessThan(0.93);
    }
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
