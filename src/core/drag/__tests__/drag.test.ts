import fc from 'fast-check';

import { coilPack, figureOf, put, verdictOf } from '@/testing/packs';

import { coldDrag } from '../../evaluate/coldDrag';
import { evaluate } from '../../evaluate/evaluate';
import { pullCurve } from '../../evaluate/pullCurve';
import { entry } from '../../job/entry';
import type { Job } from '../../job/types';
import { faceDrag, freeFrom } from '../drag';
import { dynamicViscosity, OIL_GRADES, viscosityAt } from '../viscosity';

const cold = (job: Job): Job =>
  put({ ...job, oil: { grade: 'sae10w40' } }, { 'engine.idleRpm': 1400 });

describe('oil', () => {
  it('has the published viscosity and drag', () => {
    expect(viscosityAt(95, 14, 20)).toBeCloseTo(260.714, 3);
    expect(dynamicViscosity(viscosityAt(95, 14, 20), 860)).toBeCloseTo(0.224214, 6);
    expect(
      faceDrag(58.5, 46.5, 0.1, 500, dynamicViscosity(viscosityAt(95, 14, 20), 860), 1),
    ).toBeCloseTo(1.29759, 5);
  });

  it('goes through its two viscosities, and thins as it warms', () => {
    for (const { at40, at100 } of Object.values(OIL_GRADES)) {
      expect(viscosityAt(at40, at100, 40)).toBeCloseTo(at40, 9);
      expect(viscosityAt(at40, at100, 100)).toBeCloseTo(at100, 9);
    }
    fc.assert(
      fc.property(
        fc.double({ min: -30, max: 140, noNaN: true }),
        fc.double({ min: 0.5, max: 20, noNaN: true }),
        (celsius, more) => {
          expect(viscosityAt(95, 14, celsius + more)).toBeLessThan(viscosityAt(95, 14, celsius));
        },
      ),
    );
    expect(() => viscosityAt(14, 95, 20)).toThrow('more than the viscosity at 100');
  });
});

describe('drag', () => {
  it('falls with temperature and with clearance', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -20, max: 90, noNaN: true }),
        fc.double({ min: 0.05, max: 0.3, noNaN: true }),
        (celsius, h) => {
          const at = (c: number, clearance: number) =>
            faceDrag(
              58.5,
              46.5,
              clearance,
              500,
              dynamicViscosity(viscosityAt(95, 14, c), 860),
              0.25,
            );
          expect(at(celsius + 5, h)).toBeLessThan(at(celsius, h));
          expect(at(celsius, h * 1.1)).toBeCloseTo(at(celsius, h) / 1.1, 9);
        },
      ),
    );
  });

  it('names the temperature from which a pack runs free', () => {
    expect(freeFrom((c) => 100 - c, 60)).toBeCloseTo(40, 2);
    expect(freeFrom(() => 1, 2)).toBe(-40);
    expect(freeFrom(() => 3, 2)).toBeUndefined();
  });
});

describe('a pack in cold oil', () => {
  const job = cold(coilPack());

  it('drags by all its faces, and is judged', () => {
    const faces = figureOf(job, 'faces');
    const one = faceDrag(
      58.5,
      46.5,
      figureOf(job, 'clearancePerFace'),
      1400 / 2.5,
      dynamicViscosity(viscosityAt(95, 14, 10), 860),
      0.25,
    );
    expect(figureOf(job, 'dragCold')).toBeCloseTo(faces * one, 6);
    const verdict = verdictOf(job, 'coldDrag');
    expect(verdict?.state).toBe(figureOf(job, 'dragCold') > 2 ? 'watch' : 'good');
    expect(verdictOf(coilPack(), 'coldDrag')).toBeUndefined();
  });

  it('creeps in first where the oil pulls harder than the road holds', () => {
    const heavy = put(job, { 'duty.mass': 240, 'duty.wheelRadius': 310, 'duty.gearRatio': 11 });
    const wheel = figureOf(heavy, 'dragAtWheel');
    expect(wheel).toBeCloseTo(figureOf(heavy, 'dragCold') * 11, 9);
    expect(figureOf(heavy, 'roadResistance')).toBeCloseTo(0.02 * 240 * 9.80665 * 0.31, 9);
    expect(verdictOf(heavy, 'coldCreep')?.state).toBe('watch');
    expect(verdictOf(put(heavy, { 'oil.coldest': 110 }), 'coldCreep')?.state).toBe('good');
  });

  it('drags less with more lift, fewer faces or thinner oil', () => {
    const found = coldDrag(job);
    const drag = (id: string) => found?.changes.find((c) => c.id === id)?.drag ?? NaN;
    expect(drag('present')).toBeCloseTo(figureOf(job, 'dragCold'), 9);
    for (const id of ['lift', 'faces', 'sae5w40', 'sae10w30'])
      expect(drag(id)).toBeLessThan(drag('present'));
    expect(drag('sae20w50')).toBeGreaterThan(drag('present'));
    expect(found?.curve[0]?.celsius).toBe(0);
    expect(coldDrag(coilPack())).toBeUndefined();
  });

  it('is not judged where no clearance is left', () => {
    const warped = job.pack.plates.map((p) => ({ ...p, outOfFlat: entry(0.5) }));
    const tight: Job = { ...job, pack: { ...job.pack, plates: warped } };
    const outcome = evaluate(tight).figures.get('dragCold');
    expect(outcome?.status).toBe('unknown');
  });
});

describe('the lever, out and back', () => {
  it('comes back with the pull times the efficiency twice', () => {
    const job = coilPack();
    const points = pullCurve(job);
    const efficiency = 0.8;
    for (const { out, back } of points) expect(back).toBeCloseTo(out * efficiency ** 2, 9);
    expect(Math.max(...points.map((p) => p.out))).toBeCloseTo(figureOf(job, 'leverPull'), 6);
    expect(figureOf(job, 'leverPullBack')).toBeCloseTo(figureOf(job, 'leverPull') * 0.64, 9);
  });
});
