import fc from 'fast-check';

import { autoPack, coilPack, diaphragmPack, figureOf, put } from '@/testing/packs';

import { assistSlip } from '../../clutch/assistSlip/kind';
import { evaluate } from '../../evaluate/evaluate';
import { entry } from '../../job/entry';
import type { Job } from '../../job/types';
import { plateSpread, resolutionOf, sigmaOf, unsureInputs } from '../inputs';
import { rebuilder } from '../rebuild';
import { simulateJob } from '../simulate';
import { chanceText, doubtText } from '../text';

/** Every plate read to a hundredth, once. */
const readOnce = (job: Job): Job => ({
  ...job,
  pack: {
    ...job.pack,
    plates: job.pack.plates.map((p) => ({
      ...p,
      isNew: false,
      readings: {
        1: entry(job.pack.kinds.find((k) => k.id === p.kindId)?.thickness?.value ?? 0),
      },
    })),
  },
});

/** Abramowitz and Stegun 7.1.26, through erf. */
function normalBelow(z: number): number {
  const t = 1 / (1 + (0.3275911 * Math.abs(z)) / Math.SQRT2);
  const poly =
    t *
    (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))));
  const erf = 1 - poly * Math.exp(-(z * z) / 2);
  return z >= 0 ? (1 + erf) / 2 : (1 - erf) / 2;
}

describe('what is known of an input', () => {
  it('is the step of its gauge, or as fine as it was typed', () => {
    expect(resolutionOf(entry(2.97), 0.01)).toBe(0.01);
    expect(resolutionOf(entry(2.973), 0.01)).toBe(0.001);
    expect(resolutionOf({ value: 2.9, typed: '2.900' }, 0.01)).toBe(0.001);
    expect(resolutionOf({ value: 34.34, typed: '1.352 in' }, 0.01)).toBeCloseTo(0.0254, 12);
  });

  it('adds up as published: 19 plates read to 0.01 mm have 0.012583 mm', () => {
    const one = sigmaOf({ kind: 'even', half: 0.005 });
    expect(one * Math.sqrt(19)).toBeCloseTo(0.012583, 6);
    expect(normalBelow(0.01 / (one * Math.sqrt(19)))).toBeCloseTo(0.7866, 4);
  });

  it('never gets worse by more readings of the same plate', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 2.9, max: 3.1, noNaN: true }), { minLength: 1, maxLength: 6 }),
        fc.integer({ min: 2, max: 5 }),
        (readings, times) => {
          const more = Array.from({ length: times }, () => readings).flat();
          const before = sigmaOf(plateSpread(readings, 0.01));
          expect(sigmaOf(plateSpread(more, 0.01))).toBeLessThanOrEqual(before + 1e-12);
        },
      ),
    );
  });

  it('has the spread of a triangle for an assumed friction', () => {
    expect(sigmaOf({ kind: 'triangle', low: 0, high: 1 }, 0.5)).toBeCloseTo(Math.sqrt(1 / 24), 12);
    const friction = unsureInputs(coilPack()).find((i) => i.group === 'friction');
    expect(friction?.spread.kind).toBe('triangle');
  });
});

describe('copies of a job', () => {
  it('differ in the given numbers only, and share the rest', () => {
    const job = readOnce(coilPack());
    const [plate] = job.pack.plates;
    const made = rebuilder(job, [
      { path: 'engine.peakTorque', from: 0 },
      { plateId: plate?.id ?? '', from: 1 },
    ])([50, 3.1]);
    expect(made.engine.peakTorque?.value).toBe(50);
    expect(made.pack.plates[0]?.readings).toEqual({ 1: { value: 3.1 } });
    expect(made.pack.plates[1]).toBe(job.pack.plates[1]);
    expect(made.springs).toBe(job.springs);
    expect(job.engine.peakTorque?.value).not.toBe(50);
  });
});

describe('how sure a job is', () => {
  it('is the normal chance for a stack of plates near an edge', () => {
    const job = readOnce(coilPack());
    const stack = figureOf(job, 'stack');
    const edged = put(job, { 'pack.windowMin': stack - 0.01, 'pack.windowMax': stack + 5 });
    const chance = simulateJob(edged).chances.stack;
    const sigma = Math.sqrt(job.pack.plates.length) * sigmaOf({ kind: 'even', half: 0.005 });
    expect(chance?.sigma).toBeCloseTo(sigma, 3);
    expect(Math.abs((chance?.share ?? 0) - normalBelow(0.01 / sigma))).toBeLessThan(0.01);
    expect(chance?.doubts).toEqual([{ group: 'plates', share: expect.closeTo(1, 1) as number }]);
  });

  it('is the same at every run with one seed, and stops where it is asked to', () => {
    const job = coilPack();
    const few = { runs: 1000 };
    expect(simulateJob(job, few)).toEqual(simulateJob(job, few));
    expect(simulateJob(job, few, () => false).runs).toBe(500);
  });

  it('keeps to the figures of the evaluation in the middle', () => {
    for (const job of [coilPack(), diaphragmPack(), autoPack(), assistSlip.example(coilPack())]) {
      const { chances } = simulateJob(job, { runs: 4000 });
      const lift = figureOf(job, 'liftHad') - figureOf(job, 'liftNeeded');
      expect(Math.abs((chances.releases?.mean ?? NaN) - lift)).toBeLessThan(0.03);
      expect(chances.holds?.mean).toBeGreaterThan(figureOf(job, 'reserveWithTangs') * 0.9);
      expect(chances.holds?.mean).toBeLessThan(figureOf(job, 'reserveWithTangs') * 1.15);
    }
  });

  it('is even where the typical reserve is just 1', () => {
    const job = coilPack();
    const torque = job.engine.peakTorque?.value ?? Number.NaN;
    const edge = put(job, { 'engine.peakTorque': torque * figureOf(job, 'reserveWithTangs') });
    const share = simulateJob(edge, { runs: 4000 }).chances.holds?.share;
    expect(share).toBeGreaterThan(0.45);
    expect(share).toBeLessThan(0.55);
  });

  it('spreads at least as far as the assumed friction does', () => {
    const job = coilPack();
    const reserve = evaluate(job).figures.get('reserveWithTangs');
    const { low = 0, high = 0 } = (reserve?.status === 'known' ? reserve.range : undefined) ?? {};
    const sigma = simulateJob(job, { runs: 4000 }).chances.holds?.sigma;
    expect(high).toBeGreaterThan(low);
    // A triangle from low to high about its middle.
    expect(sigma).toBeGreaterThan((0.97 * (high - low)) / Math.sqrt(24));
    expect(sigma).toBeLessThan((1.3 * (high - low)) / Math.sqrt(24));
  });

  it('shares its doubt out among the inputs', () => {
    const { chances } = simulateJob(coilPack(), { runs: 3000 });
    for (const question of ['holds', 'releases'] as const) {
      const doubts = chances[question]?.doubts ?? [];
      const all = doubts.reduce((sum, d) => sum + d.share, 0);
      expect(all).toBeGreaterThan(0.9);
      expect(all).toBeLessThanOrEqual(1 + 1e-9);
    }
    expect(chances.holds?.doubts[0]?.group).toBe('friction');
  });

  it('is split between two steps whose edge the stack is on', () => {
    const job = readOnce(diaphragmPack());
    const stack = figureOf(job, 'stack');
    const step = (id: string, bandMin: number, bandMax: number) => ({
      ...(job.springs.diaphragm.steps[0] ?? { id, name: id }),
      id,
      name: id,
      bandMin: entry(bandMin),
      bandMax: entry(bandMax),
    });
    const banded: Job = {
      ...job,
      springs: {
        ...job.springs,
        diaphragm: {
          ...job.springs.diaphragm,
          steps: [step('one', stack - 1, stack), step('two', stack, stack + 1)],
          stepId: 'one',
        },
      },
    };
    const { steps } = simulateJob(banded, { runs: 4000 });
    expect(steps.map((s) => s.id).toSorted()).toEqual(['one', 'two']);
    for (const { share } of steps) expect(Math.abs(share - 0.5)).toBeLessThan(0.05);
  });
});

describe('in words', () => {
  it('is never certain, nor finer than a hundredth', () => {
    expect(chanceText(1)).toBe('over 99 in 100');
    expect(chanceText(0)).toBe('under 1 in 100');
    expect(chanceText(0.7866)).toBe('79 in 100');
    const chance = { share: 0.79, mean: 0, sigma: 1, doubts: [{ group: 'plates', share: 0.72 }] };
    expect(doubtText(chance as never, 'the stack')).toBe(
      'Measure the plates again: 72 % of the doubt about the stack.',
    );
    expect(doubtText({ ...chance, share: 1 } as never, 'the stack')).toBe('');
  });
});
