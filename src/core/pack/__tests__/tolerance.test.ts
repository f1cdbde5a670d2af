import { crag } from '@/testing/jobs';
import fc from 'fast-check';

import { withEntry } from '../../job/paths';
import { bandsAt, checkCaliper } from '../bands';
import { toleranceOf } from '../jobTolerance';
import type { PlateTolerance } from '../tolerance';
import { plateSigma, simulateTolerance, sumTolerances } from '../tolerance';

const plates: PlateTolerance[] = [
  ...Array.from({ length: 8 }, (): PlateTolerance => ({
    nominal: 3,
    tolerance: 0.03,
    spread: 'normal',
  })),
  ...Array.from({ length: 7 }, (): PlateTolerance => ({
    nominal: 1.5,
    tolerance: 0.02,
    spread: 'uniform',
  })),
];

describe('the tolerance question of a job', () => {
  const job = crag();

  it('asks for its plates as new, each in the band of its kind, against both edges of the window', () => {
    const question = toleranceOf(job, 1000, 7);
    expect(question).toMatchObject({ packs: 1000, seed: 7 });
    expect(question.min).toBe(job.pack.windowMin?.value);
    expect(question.max).toBe(job.pack.windowMax?.value);
    const stack = question.plates.reduce((sum, p) => sum + p.nominal, 0);
    expect(stack).toBeCloseTo(8 * 3 + 7 * 1.5, 9);
  });

  it.each(['pack.windowMin', 'pack.windowMax'] as const)('needs %s', (path) => {
    expect(() => toleranceOf(withEntry(job, path, undefined), 1000, 7)).toThrow('both of them');
  });

  it('needs the thickness of every kind in the pack', () => {
    const [kind] = job.pack.kinds;
    const without = withEntry(job, `pack.kinds.${kind?.id ?? ''}.thickness`, undefined);
    expect(() => toleranceOf(without, 1000, 7)).toThrow('thickness');
  });
});

describe('tolerance', () => {
  it('adds up to the worst case and the root of squares', () => {
    const sum = sumTolerances(plates);
    expect(sum.nominal).toBeCloseTo(34.5, 10);
    expect(sum.worstCase).toBeCloseTo(8 * 0.03 + 7 * 0.02, 12);
    expect(sum.rootSumSquare).toBeCloseTo(Math.sqrt(8 * 0.0009 + 7 * 0.0004), 12);
    expect(() => sumTolerances([{ nominal: 0, tolerance: 1, spread: 'normal' }])).toThrow(
      'plates.0.nominal',
    );
  });

  it('simulates the spread that the formula gives, the same for the same seed', () => {
    const question = { plates, min: 34.45, max: 34.55, packs: 100_000, seed: 7 };
    const run = simulateTolerance(question);
    const { sigma } = sumTolerances(plates);
    expect(run.sigma / sigma).toBeCloseTo(1, 2);
    expect(run.mean).toBeCloseTo(34.5, 3);
    // A normal law of this sigma has this share within ±0.05.
    const z = 0.05 / sigma;
    expect(run.shareInLimits).toBeCloseTo(erf(z / Math.SQRT2), 2);
    expect(run.shareInLimits + run.shareBelow + run.shareAbove).toBeCloseTo(1, 12);
    expect(run.histogram.counts.reduce((a, b) => a + b, 0)).toBe(100_000);
    expect(run.variance.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
    const few = { ...question, packs: 20_000 };
    expect(simulateTolerance(few)).toEqual(simulateTolerance(few));
    expect(simulateTolerance({ ...few, seed: 8 }).mean).not.toBe(simulateTolerance(few).mean);
  });

  it('counts heights in bins as the normal law spreads them', () => {
    const normal = plates.filter((p) => p.spread === 'normal');
    const packs = 100_000;
    const { histogram } = simulateTolerance({ plates: normal, min: 0, max: 99, packs, seed: 3 });
    const { nominal, sigma } = sumTolerances(normal);
    const below = (height: number) => (1 + erf((height - nominal) / sigma / Math.SQRT2)) / 2;
    histogram.counts.forEach((n, i) => {
      const from = histogram.from + i * histogram.width;
      const share = below(from + histogram.width) - below(from);
      // Six of the standard deviations that counting itself has.
      const wander = 6 * Math.sqrt(share / packs) + 2 / packs;
      expect(Math.abs(n / packs - share)).toBeLessThan(wander);
    });
  });

  it('never exceeds the worst case with uniform plates, and stops on request', () => {
    const uniform = plates.map((p): PlateTolerance => ({ ...p, spread: 'uniform' }));
    const run = simulateTolerance({ plates: uniform, min: 34, max: 35, packs: 60_000, seed: 1 });
    const { worstCase } = sumTolerances(uniform);
    expect(run.maximum).toBeLessThanOrEqual(34.5 + worstCase);
    expect(run.least).toBeGreaterThanOrEqual(34.5 - worstCase);
    expect(run.sigma).toBeCloseTo(
      Math.sqrt(uniform.reduce((s, p) => s + plateSigma(p) ** 2, 0)),
      2,
    );
    expect(
      simulateTolerance({ plates, min: 34, max: 35, packs: 1_000_000, seed: 1 }, () => false).packs,
    ).toBe(50_000);
  });
});

describe('bands and caliper', () => {
  it('lets an edge belong to both bands', () => {
    const bands = [
      { step: '1', min: 33, max: 34 },
      { step: '2', min: 34, max: 35 },
      { step: '3', min: 35, max: 36 },
    ];
    expect(bandsAt(34, bands).map((b) => b.step)).toEqual(['1', '2']);
    expect(bandsAt(0.1 + 0.2 + 33.7, bands).map((b) => b.step)).toEqual(['1', '2']);
    expect(bandsAt(34.5, bands).map((b) => b.step)).toEqual(['2']);
    expect(bandsAt(36.5, bands)).toEqual([]);
    fc.assert(
      fc.property(fc.double({ min: 33, max: 36, noNaN: true }), (h) => {
        expect(bandsAt(h, bands).length).toBeGreaterThan(0);
      }),
    );
  });

  it('suspects a plate when the caliper shows more than the sum allows', () => {
    expect(checkCaliper(34.5, 34.6).suspicious).toBe(false);
    expect(checkCaliper(34.5, 34.65).suspicious).toBe(false);
    expect(checkCaliper(34.5, 34.7)).toMatchObject({ suspicious: true });
    expect(checkCaliper(34.5, 34.7, 0.3).suspicious).toBe(false);
  });
});

/** Abramowitz and Stegun 7.1.26, to 1.5e-7. */
function erf(x: number): number {
  if (x < 0) return -erf(-x);
  const t = 1 / (1 + 0.3275911 * x);
  return (
    1 -
    ((((1.061405429 * t - 1.453152027) * t + 1.421413741) * t - 0.284496736) * t + 0.254829592) *
      t *
      Math.exp(-x * x)
  );
}
