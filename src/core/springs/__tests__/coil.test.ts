import fc from 'fast-check';

import { DomainError } from '../../errors';
import {
  bindMargin,
  coilRate,
  fitRate,
  installedLength,
  solidLength,
  springForce,
  springStress,
  wahlFactor,
} from '../coil';

describe('coil springs', () => {
  it('meets the published wire: d 2.7, D 15.5, 6 active coils', () => {
    expect(coilRate(2.7, 15.5, 6)).toBeCloseTo(23.577, 3);
    expect(wahlFactor(15.5 / 2.7)).toBeCloseTo(1.26533, 5);
    expect(springStress(259, 2.7, 15.5)).toBeCloseTo(657.18, 2);
  });

  it('finds rate and free length from a tester', () => {
    const fit = fitRate([
      { length: 30, force: 240 },
      { length: 34, force: 160 },
      { length: 38, force: 80 },
    ]);
    expect(fit.rate).toBeCloseTo(20, 9);
    expect(fit.freeLength).toBeCloseTo(42, 9);
    expect(fit.residual).toBeCloseTo(0, 9);
    // Off the line by a third of 10 N, two thirds, a third: the root of their mean square.
    const bent = fitRate([
      { length: 40, force: 0 },
      { length: 30, force: 210 },
      { length: 20, force: 400 },
    ]);
    expect(bent.rate).toBeCloseTo(20, 9);
    expect(bent.residual).toBeCloseTo(10 * Math.sqrt(2 / 9), 9);
    expect(() => fitRate([{ length: 30, force: 240 }])).toThrow('two points or more');
    expect(() =>
      fitRate([
        { length: 30, force: 80 },
        { length: 38, force: 240 },
      ]),
    ).toThrow('more force at less length');
  });

  it('gives back a tester’s own spring from any of its points', () => {
    const d = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(d(5, 80), d(30, 60), d(1, 10), d(0.5, 8), (rate, free, first, step) => {
        const points = [0, 1, 2, 3].map((i) => {
          const length = free - first - step * i * 0.5;
          return { length, force: rate * (free - length) };
        });
        const fit = fitRate(points);
        expect(fit.rate).toBeCloseTo(rate, 6);
        expect(fit.freeLength).toBeCloseTo(free, 6);
      }),
    );
  });

  it('gives one millimetre back for every millimetre of wear, so that clamp falls linearly', () => {
    const clampAt = (stack: number) => springForce(24, 42, installedLength(70, stack, 4));
    expect(clampAt(34)).toBeCloseTo(240, 9);
    expect(clampAt(34) - clampAt(33.5)).toBeCloseTo(12, 9);
    expect(clampAt(33.5) - clampAt(33)).toBeCloseTo(12, 9);
  });

  it('never pulls, and knows when no room is left', () => {
    expect(springForce(24, 42, 45)).toBe(0);
    expect(() => installedLength(40, 38, 4)).toThrow(
      'more than stack, pressure plate and shim together',
    );
    expect(() => coilRate(16, 15.5, 6)).toThrow('less than the mean coil diameter');
    expect(() => springForce(0, 42, 30)).toThrow(DomainError);
  });

  it('keeps half a millimetre or a tenth of the lift before the coils touch', () => {
    expect(solidLength(7.5, 2.7)).toBeCloseTo(20.25, 12);
    expect(bindMargin(1.6)).toBe(0.5);
    expect(bindMargin(8)).toBeCloseTo(0.8, 12);
  });
});
