import fc from 'fast-check';

import { normalFiller, seededBits, seededRandom } from '../random';

/** Moments about the mean, up to the fourth, of so many normal numbers. */
function moments(seed: number, n: number) {
  const out = new Float64Array(n);
  normalFiller(seed)(out);
  const mean = out.reduce((a, b) => a + b, 0) / n;
  const about = (k: number) => out.reduce((sum, x) => sum + (x - mean) ** k, 0) / n;
  const variance = about(2);
  return {
    out,
    mean,
    variance,
    skew: about(3) / variance ** 1.5,
    kurtosis: about(4) / variance ** 2,
  };
}

/** The share of a standard normal below x, by Abramowitz and Stegun 26.2.17. */
function below(x: number): number {
  if (x < 0) return 1 - below(-x);
  const t = 1 / (1 + 0.2316419 * x);
  const poly =
    t *
    (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  return 1 - (Math.exp((-x * x) / 2) / Math.sqrt(2 * Math.PI)) * poly;
}

describe('numbers from a seed', () => {
  it('are the same for a seed on every machine, and others for another', () => {
    fc.assert(
      fc.property(fc.integer(), (seed) => {
        const [a, b, other] = [seededBits(seed), seededBits(seed), seededBits(seed + 1)];
        const [x, y, z] = [a, b, other].map((next) => Array.from({ length: 8 }, next));
        expect(x).toEqual(y);
        expect(x).not.toEqual(z);
      }),
    );
  });

  it('lie from 0 up to 1, evenly over it and without a pattern from one to the next', () => {
    const next = seededRandom(20261128);
    const n = 100_000;
    const bins = new Array<number>(50).fill(0);
    let [sum, product, last, outside] = [0, 0, next(), 0];
    for (let i = 0; i < n; i++) {
      const x = next();
      if (!(x >= 0 && x < 1)) outside += 1;
      const at = Math.floor(x * 50);
      bins[at] = (bins[at] ?? 0) + 1;
      sum += x;
      product += (x - 0.5) * (last - 0.5);
      last = x;
    }
    expect(outside).toBe(0);
    expect(sum / n).toBeCloseTo(0.5, 2);
    // Chi-square over 49 degrees of freedom: above 85.4 once in a thousand.
    const expected = n / 50;
    expect(bins.reduce((c, b) => c + (b - expected) ** 2 / expected, 0)).toBeLessThan(85.4);
    // Neighbours hang together by less than four standard errors.
    expect(Math.abs((product / n) * 12)).toBeLessThan(4 / Math.sqrt(n));
  });
});

describe('normal numbers', () => {
  it.each([1, 7, 20261124])('have the moments of their kind, seed %i', (seed) => {
    const { mean, variance, skew, kurtosis } = moments(seed, 150_000);
    const error = 1 / Math.sqrt(150_000);
    expect(Math.abs(mean)).toBeLessThan(4 * error);
    expect(Math.abs(variance - 1)).toBeLessThan(4 * Math.SQRT2 * error);
    expect(Math.abs(skew)).toBeLessThan(4 * Math.sqrt(6) * error);
    expect(Math.abs(kurtosis - 3)).toBeLessThan(4 * Math.sqrt(24) * error);
  });

  it('lie below each point as often as the table says, far out in the tail too', () => {
    const { out } = moments(3, 150_000);
    for (const x of [-3.6, -2, -1, -0.25, 0, 0.5, 1.5, 2.5, 3.5]) {
      const share = out.filter((v) => v < x).length / out.length;
      const p = below(x);
      expect(Math.abs(share - p)).toBeLessThan(4 * Math.sqrt((p * (1 - p)) / out.length) + 1e-6);
    }
    expect(out.some((v) => v > 3.6) && out.some((v) => v < -3.6)).toBe(true);
  });

  it('go on from array to array as in one', () => {
    const whole = new Float64Array(1000);
    normalFiller(5)(whole);
    const fill = normalFiller(5);
    const parts = [300, 1, 699].map((length) => {
      const part = new Float64Array(length);
      fill(part);
      return [...part];
    });
    expect(parts.flat()).toEqual([...whole]);
  });
});
