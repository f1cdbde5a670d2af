import fc from 'fast-check';

import { coilPack, figureOf, problemsAt, put, verdictOf } from '@/testing/packs';

import { assistSlip } from '../../clutch/assistSlip/kind';
import { evaluate } from '../../evaluate/evaluate';
import { withEntry } from '../../job/paths';
import type { Job } from '../../job/types';
import {
  axialPerTorque,
  driveGain,
  heldOnDrive,
  heldOnOverrun,
  leastDriveAngle,
  rampShare,
} from '../ramps';

/** 16 faces, friction 0.12, mean radius 52.5 mm: 0.1008 N·m for each newton. */
const K = (16 * 0.12 * 52.5) / 1000;

describe('ramps', () => {
  it('hold and let go as published', () => {
    const q = rampShare(K, 32, 78, 0.1);
    expect(q).toBeCloseTo(0.34717, 5);
    expect(driveGain(q)).toBeCloseTo(1.5318, 4);
    expect(heldOnDrive(K, 900, q)).toBeCloseTo(138.965, 3);
    expect(heldOnOverrun(K, 900, rampShare(K, 32, 60, 0.1))).toBeCloseTo(37.463, 3);
  });

  it('add nothing where lead and friction angle reach 90° together', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 5, noNaN: true }), (friction) => {
        const held = 90 - (Math.atan(friction) * 180) / Math.PI;
        expect(axialPerTorque(30, Math.min(90, held + 1e-6), friction)).toBe(0);
        expect(axialPerTorque(30, Math.max(0.1, held - 1), friction)).toBeGreaterThan(0);
      }),
    );
  });

  it('lock from a share of 1 on, and just not above the smallest angle', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.02, max: 0.5, noNaN: true }),
        fc.double({ min: 12, max: 60, noNaN: true }),
        fc.double({ min: 0, max: 0.3, noNaN: true }),
        (k, radius, friction) => {
          const least = leastDriveAngle(k, radius, friction);
          fc.pre(least > 0.5);
          expect(rampShare(k, radius, least, friction)).toBeCloseTo(1, 9);
          expect(rampShare(k, radius, Math.min(90, least + 0.1), friction)).toBeLessThan(1);
        },
      ),
    );
    expect(() => driveGain(1)).toThrow('do not lock');
  });
});

describe('an assist-and-slip hub in a job', () => {
  const plain = coilPack();
  const fitted = assistSlip.example(plain);
  const at = (job: Job, angle: number) =>
    withEntry(job, 'fittings.ramps.driveAngle', { value: angle });

  it('multiplies what the pack holds, by the torque it makes itself', () => {
    const without = figureOf(plain, 'capacityWithTangs');
    const q = figureOf(fitted, 'ramps:share');
    expect(figureOf(fitted, 'capacityWithTangs')).toBeCloseTo(without / (1 - q), 9);
    expect(figureOf(fitted, 'clamp')).toBe(figureOf(plain, 'clamp'));
    expect(figureOf(fitted, 'leverPull')).toBe(figureOf(plain, 'leverPull'));
    const k = without / figureOf(plain, 'clamp');
    expect(figureOf(fitted, 'ramps:overrun')).toBeCloseTo(
      heldOnOverrun(k, figureOf(plain, 'clamp'), rampShare(k, 32, 60, 0.1)),
      9,
    );
    expect(figureOf(fitted, 'ramps:clampOnDrive')).toBeCloseTo(
      figureOf(plain, 'clamp') + figureOf(plain, 'torqueAtClutch') * axialPerTorque(32, 78, 0.1),
      9,
    );
  });

  it('says what springs the same reserve needs without ramps, and the pull saved', () => {
    const weakest = evaluate(fitted).figures.get('ramps:gain');
    const low = weakest?.status === 'known' ? (weakest.range?.low ?? NaN) : NaN;
    expect(figureOf(fitted, 'ramps:without')).toBeCloseTo(figureOf(plain, 'clamp') * low, 9);
    expect(figureOf(fitted, 'ramps:saved')).toBeCloseTo(
      figureOf(plain, 'leverPull') * (low - 1),
      9,
    );
  });

  it('stops where it locks by itself, with the angle from which it does not', () => {
    const locked = at(fitted, 45);
    const verdict = verdictOf(locked, 'ramps:drive');
    expect(verdict).toMatchObject({ state: 'stop', title: 'Ramps lock by themselves' });
    const least = figureOf(locked, 'ramps:leastAngle');
    expect(verdictOf(at(fitted, least + 0.01), 'ramps:drive')?.state).toBe('watch');
    expect(verdictOf(locked, 'holds')?.state).toBe('stop');
  });

  it('judges the overrun by the engine’s braking', () => {
    const braked = (value: number) =>
      verdictOf(withEntry(fitted, 'fittings.ramps.braking', { value }), 'ramps:overrun');
    const opens = figureOf(fitted, 'ramps:opens');
    expect(braked(opens * 1.5)).toMatchObject({ state: 'good', title: 'Opens on overrun' });
    expect(braked(opens * 0.5)).toMatchObject({ title: 'Never opens on overrun' });
    expect(braked(opens * 4)).toMatchObject({ title: 'Opens early on overrun' });
  });

  it('asks at the field about an angle or a radius that no hub has', () => {
    expect(problemsAt(fitted, 'fittings.ramps.driveAngle')).toEqual([]);
    expect(problemsAt(at(fitted, 12), 'fittings.ramps.driveAngle')[0]).toMatch(/: Usually from 30/);
    const thick = put({ ...fitted, oil: {} }, { 'oil.viscosity40': 2000, 'oil.viscosity100': 20 });
    expect(problemsAt(thick, 'oil.viscosity40')).toHaveLength(1);
    expect(problemsAt(thick, 'oil.viscosity100')).toEqual([]);
  });

  it('is asked about while its ramps are not entered', () => {
    const open = put({ ...plain, fittings: { ramps: { type: 'ramps' } } }, {});
    expect(evaluate(open).figures.get('capacityWithTangs')).toMatchObject({
      status: 'unknown',
      needs: expect.arrayContaining([
        expect.objectContaining({ path: 'fittings.ramps.radius' }),
      ]) as unknown,
    });
  });
});
