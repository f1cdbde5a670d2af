import fc from 'fast-check';

import { armStroke } from '../arm';
import { evenness, repeatability } from '../evenness';
import { lossBudget, reducedEffort } from '../lossBudget';
import { retainedShare } from '../retention';

const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });

describe('how well pulls repeat', () => {
  it('is the maximum difference at one place, regardless of how its angle was written', () => {
    const pulls = [
      { angle: 0, lift: 1.5 },
      { angle: 360, lift: 1.53 },
      { angle: -360, lift: 1.48 },
      { angle: 120, lift: 1.2 },
      { angle: -240, lift: 1.22 },
    ];
    expect(repeatability(pulls)).toBeCloseTo(0.05, 12);
  });

  it('compares nothing between places, however near they lie', () => {
    expect(repeatability([])).toBe(0);
    expect(repeatability([0, 1, 2, 3].map((angle) => ({ angle, lift: 1 + angle / 10 })))).toBe(0);
  });

  it('takes no reading that is no number', () => {
    expect(() => repeatability([{ angle: 0, lift: Number.NaN }])).toThrow('readings.0.lift');
    expect(() => repeatability([{ angle: Infinity, lift: 1 }])).toThrow('readings.0.angle');
  });
});

describe('evenness of lift', () => {
  it('meets the published three readings', () => {
    const e = evenness([
      { angle: 0, lift: 1.62 },
      { angle: 120, lift: 1.21 },
      { angle: 240, lift: 1.49 },
    ]);
    expect(e.mean).toBeCloseTo(1.44, 10);
    expect(e.tilt).toBeCloseTo(0.2419, 4);
    expect(e.direction).toBeCloseTo(318.07, 2);
    expect(e.least).toBeCloseTo(1.44 - 0.2419, 4);
    expect(e.residual).toBe(0);
  });

  it('finds any plane again from readings at any angles', () => {
    fc.assert(
      fc.property(
        number(0.5, 3),
        number(0, 0.4),
        number(0, 359),
        number(0, 100),
        (mean, tilt, direction, turn) => {
          const lift = (angle: number) =>
            mean + tilt * Math.cos(((angle - direction) * Math.PI) / 180);
          const e = evenness(
            [0, 70, 140, 220, 290].map((a) => ({ angle: a + turn, lift: lift(a + turn) })),
          );
          expect(e.mean).toBeCloseTo(mean, 8);
          expect(e.tilt).toBeCloseTo(tilt, 8);
          expect(e.residual).toBeLessThan(1e-8);
        },
      ),
    );
  });

  it('does not take two angles, however many pulls', () => {
    const pulls = [
      { angle: 0, lift: 1.5 },
      { angle: 180, lift: 1.4 },
      { angle: 360, lift: 1.52 },
    ];
    expect(() => evenness(pulls)).toThrow('3 or more different');
  });
});

describe('arm, losses, retention', () => {
  it('is lightest and symmetric when square in mid-stroke', () => {
    const best = armStroke(10, 32, 30, 0).bestStart;
    const stroke = armStroke(10, 32, 30, best);
    expect(stroke.lift).toBeCloseTo(stroke.bestLift, 12);
    expect(stroke.heaviest).toBeCloseTo(stroke.bestHeaviest, 12);
    expect(stroke.bestStart).toBeCloseTo((-Math.asin(10 / 64) * 180) / Math.PI, 10);
    fc.assert(
      fc.property(number(-60, 20), (start) => {
        expect(armStroke(10, 32, 30, start).heaviest).toBeGreaterThanOrEqual(
          stroke.bestHeaviest - 1e-12,
        );
      }),
    );
    // What an arm that is set elsewhere gives away, in mm of lift.
    const square = armStroke(10, 32, 30, 0);
    expect(square.lost).toBeCloseTo(square.bestLift - square.lift, 12);
    expect(Math.abs(stroke.lost)).toBeLessThan(1e-12);
    expect(() => armStroke(40, 32, 30, 20)).toThrow('startAngle');
    // Small strokes agree with the arm taken as square: 10/32·30/2π.
    expect(armStroke(0.1, 32, 30, 0).lift).toBeCloseTo(((0.1 / 32) * 30) / (2 * Math.PI), 7);
  });

  it('shows where the lift went', () => {
    const budget = lossBudget(60, 40, [
      { name: 'Free play', atLever: 3 },
      { name: 'Stretch', atLever: 5 },
    ]);
    expect(budget.liftLost).toBeCloseTo(0.2, 12);
    expect(budget.liftLeft).toBeCloseTo(1.3, 12);
    expect(budget.lines[1]?.share).toBeCloseTo(5 / 60, 12);
    expect(reducedEffort(1.5, 1.2, 14)).toEqual({
      lift: 1.25,
      pullShare: 1 / 1.2,
      clearancePerFace: 1.25 / 14,
    });
  });

  it('counts what of a plate still holds its spline', () => {
    expect(retainedShare(36, 33, 1.5, 3)).toBeCloseTo(0.5, 12);
    expect(retainedShare(40, 33, 1.5, 3)).toBe(1);
    expect(retainedShare(34, 33, 1.5, 3)).toBeLessThan(0);
  });
});
