import { put } from '@/testing/packs';
import { crag, jobOf, knoll } from '@/testing/jobs';
import fc from 'fast-check';

import { arbitraryJob } from '@/testing/arbitraryJob';

import { evaluate } from '../../evaluate/evaluate';
import { entry } from '../../job/entry';
import type { Job } from '../../job/types';
import { FACE_GIVE, leverOf, packGive } from '../lever';
import { omit } from '@/core/omit';

const known = (job: Job, id: 'liftHad' | 'leverPullFull' | 'clearancePerFace') => {
  const figure = evaluate(job).figures.get(id);
  return figure?.status === 'known' ? figure.value : Number.NaN;
};

describe('the lever of a job', () => {
  it.each(['T-1', 'T-3', 'T-2', 'T-4', 'T-1'])(
    'of %s comes to the figures of the sheet once it is pulled',
    (number) => {
      const job = jobOf(number);
      const lever = leverOf(job);
      const pulled = lever.at(1);
      expect(lever.estimated).toBe(false);
      expect(pulled.lift).toBeCloseTo(known(job, 'liftHad'), 9);
      expect(pulled.pull).toBeCloseTo(known(job, 'leverPullFull'), 9);
      expect(pulled.clearance).toBeCloseTo(Math.max(0, known(job, 'clearancePerFace')), 9);
      expect(pulled.pressed).toBe(0);
      expect(lever.at(0)).toMatchObject({ lift: 0, pressed: 1, clearance: 0 });
    },
  );

  it('presses in full through the free play, and parts where warp and linings have given', () => {
    const job = put(crag(), { 'release.freePlay': 4, 'pack.plates.p2.outOfFlat': 0.05 });
    const lever = leverOf(job);
    const { layout } = evaluate(job);
    expect(lever.presses).toBeGreaterThan(0.02);
    expect(lever.at(lever.presses).lift).toBeCloseTo(0, 6);
    expect(lever.at(lever.bites).lift).toBeCloseTo(packGive(layout), 6);
    expect(packGive({ ...layout, layers: [] })).toBeCloseTo(layout.slipping.length * FACE_GIVE, 12);
  });

  it('begins to lift where the losses at the lever are used up', () => {
    const job = crag();
    const travel = job.release.leverTravel?.value ?? 0;
    const free = { ...job, release: { ...job.release, freePlay: entry(9) } };
    const without = { ...job, release: omit(job.release, 'freePlay') };
    expect((leverOf(free).presses - leverOf(without).presses) * travel).toBeCloseTo(9, 3);
  });

  it('never lifts less for being pulled further, and drags where the lift is too short', () => {
    const short = knoll();
    const tight = { ...short, release: { ...short.release, reducedEffort: entry(12) } };
    const lever = leverOf(tight);
    expect(lever.bites).toBeGreaterThan(1);
    expect(lever.at(1).pressed).toBeGreaterThan(0);
    expect(lever.at(1).clearance).toBe(0);
  });

  it('is one for any job', () => {
    fc.assert(
      fc.property(
        arbitraryJob,
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (job, a, b) => {
          const lever = leverOf(job);
          const [low, high] = [lever.at(Math.min(a, b)), lever.at(Math.max(a, b))];
          expect(high.lift).toBeGreaterThanOrEqual(low.lift - 1e-9);
          expect(high.pressed).toBeLessThanOrEqual(low.pressed + 1e-9);
          expect(lever.presses).toBeLessThan(lever.bites);
          for (const value of Object.values(high)) expect(Number.isFinite(value)).toBe(true);
        },
      ),
      { numRuns: 80 },
    );
    expect(() => leverOf(crag()).at(1.1)).toThrow('lever');
  });
});
