import fc from 'fast-check';

import { DomainError } from '../../errors';
import { placeEvenly, springResultant } from '../circle';
import type { DiscSpring } from '../diaphragm';
import {
  discSpringForce,
  discSpringRate,
  sideOf,
  turningPoints,
  workingDeflection,
} from '../diaphragm';
import { looseSpringLength, plateGap } from '../loose';
import { monotoneCurve } from '../monotoneCurve';

const disc = (
  outerDiameter: number,
  innerDiameter: number,
  thickness: number,
  coneHeight: number,
): DiscSpring => ({
  outerDiameter,
  innerDiameter,
  thickness,
  coneHeight,
});
const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const anySpring = fc
  .record({
    outerDiameter: number(40, 200),
    ratio: number(1.2, 2.5),
    thickness: number(0.8, 4),
    cone: number(0.1, 2.6),
  })
  .map(({ outerDiameter, ratio, thickness, cone }) =>
    disc(outerDiameter, outerDiameter / ratio, thickness, thickness * cone),
  );

describe('disc and diaphragm springs', () => {
  it('meets the published forces', () => {
    expect(discSpringForce(disc(50, 25.4, 3, 1.1), 0.825) / 11976).toBeCloseTo(1, 3);
    expect(discSpringForce(disc(100, 51, 2.7, 3.5), 2.625) / 8609).toBeCloseTo(1, 3);
    expect(discSpringForce(disc(108, 82, 1.8, 3.4), 3.2)).toBeCloseTo(4000.3, 1);
  });

  it('meets the published peak and dip', () => {
    const points = turningPoints(disc(108, 82, 1.8, 3.4));
    expect(points?.peak.deflection).toBeCloseTo(2.0987, 4);
    expect(points?.peak.force).toBeCloseTo(4590.5, 1);
    expect(points?.dip.deflection).toBeCloseTo(4.7013, 4);
    expect(points?.dip.force).toBeCloseTo(3060.2, 1);
    expect(sideOf(1, points)).toBe('rising');
    expect(sideOf(3.2, points)).toBe('falling');
    expect(sideOf(5, points)).toBe('rising again');
    expect(turningPoints(disc(50, 25.4, 3, 1.1))).toBeUndefined();
  });

  it('has a force that is the integral of its rate, and turns where the formula says', () => {
    fc.assert(
      fc.property(anySpring, number(0.05, 1.95), (spring, share) => {
        const s = share * spring.coneHeight;
        // Simpson's rule is exact for the rate, which is a parabola.
        const integral =
          (s / 6) *
          (discSpringRate(spring, 0) +
            4 * discSpringRate(spring, s / 2) +
            discSpringRate(spring, s));
        const force = discSpringForce(spring, s);
        expect(Math.abs(integral - force)).toBeLessThan(
          1e-9 * (Math.abs(force) + discSpringRate(spring, 0) * s),
        );
        const points = turningPoints(spring);
        if (!points) return;
        for (const p of [points.peak, points.dip]) {
          expect(
            Math.abs(discSpringRate(spring, Math.min(p.deflection, 2 * spring.coneHeight))),
          ).toBeLessThan(1e-6 * discSpringRate(spring, 0));
        }
        expect(points.peak.force).toBeGreaterThanOrEqual(points.dip.force);
      }),
    );
  });

  it('works further in with a taller pack, a step and lift, and less with wear', () => {
    expect(workingDeflection(3.2, 34.5, 34.5)).toBe(3.2);
    expect(workingDeflection(3.2, 34.1, 34.5, 0.3, 1.5)).toBeCloseTo(4.6, 12);
    expect(() => discSpringForce(disc(108, 82, 1.8, 3.4), 6.9)).toThrow('deflection');
    expect(() => discSpringForce(disc(82, 108, 1.8, 3.4), 1)).toThrow(
      'less than the outer diameter',
    );
  });
});

describe('a curve through tester points', () => {
  const points = [
    { x: 0, y: 0 },
    { x: 1, y: 1900 },
    { x: 2, y: 2300 },
    { x: 3, y: 2100 },
    { x: 4, y: 1500 },
    { x: 5, y: 1700 },
  ];

  it('goes through its points and makes no peak that was not measured', () => {
    const curve = monotoneCurve(points);
    for (const p of points) expect(curve.value(p.x)).toBeCloseTo(p.y, 9);
    // A bend that stays within its neighbours keeps the mean slope of both sides.
    const square = monotoneCurve([1, 2, 3, 4].map((x) => ({ x, y: x * x })));
    expect(square.slope(2)).toBeCloseTo(4, 9);
    expect(square.slope(3)).toBeCloseTo(6, 9);
    // A tester's points may come in any order.
    const mixed = monotoneCurve([3, 0, 5, 1, 4, 2].flatMap((i) => points[i] ?? []));
    for (const x of [0, 0.4, 1.7, 3.3, 5]) expect(mixed.value(x)).toBe(curve.value(x));
    for (let i = 0; i < 5; i++) {
      const low = Math.min(points[i]?.y ?? 0, points[i + 1]?.y ?? 0);
      const high = Math.max(points[i]?.y ?? 0, points[i + 1]?.y ?? 0);
      for (let t = 0; t <= 1; t += 0.05) {
        const v = curve.value(Math.min(5, i + t));
        if (i + t <= i + 1) {
          expect(v).toBeGreaterThanOrEqual(low - 1e-9);
          expect(v).toBeLessThanOrEqual(high + 1e-9);
        }
      }
    }
  });

  it('stays monotone wherever the points are, has the slope of its value, and never extrapolates', () => {
    fc.assert(
      fc.property(
        fc.array(number(0.1, 100), { minLength: 2, maxLength: 12 }),
        number(0, 1),
        (rises, share) => {
          let y = 0;
          const curve = monotoneCurve(rises.map((r, i) => ({ x: i, y: (y += r) })));
          const x = share * (rises.length - 1);
          expect(curve.slope(x)).toBeGreaterThanOrEqual(-1e-9);
          const h = 1e-6;
          if (x > h && x < curve.to - h && Math.abs(x - Math.round(x)) > 2 * h) {
            expect((curve.value(x + h) - curve.value(x - h)) / (2 * h)).toBeCloseTo(
              curve.slope(x),
              3,
            );
          }
          expect(() => curve.value(curve.to + 0.01)).toThrow('measured range, 0 to');
          expect(() => curve.value(-0.01)).toThrow(DomainError);
        },
      ),
    );
    expect(() =>
      monotoneCurve([
        { x: 1, y: 1 },
        { x: 1, y: 2 },
      ]),
    ).toThrow('each position once');
    expect(() => monotoneCurve([{ x: 1, y: 1 }])).toThrow('two points or more');
  });
});

describe('rings and loose springs', () => {
  it('meets the published resultant of a set fitted unevenly', () => {
    const ring = placeEvenly([260, 260, 260, 230, 230, 230], 38);
    const { offset, direction, total } = springResultant(ring);
    expect(offset).toBeCloseTo(1.551, 3);
    expect(direction).toBeCloseTo(60, 9);
    expect(total).toBe(1470);
  });

  it('is centred for any even set, whatever alternates', () => {
    fc.assert(
      fc.property(
        number(50, 500),
        number(50, 500),
        fc.integer({ min: 2, max: 8 }),
        (a, b, pairs) => {
          const ring = placeEvenly(
            Array.from({ length: 2 * pairs }, (_, i) => (i % 2 ? a : b)),
            40,
          );
          expect(springResultant(ring).offset).toBeLessThan(1e-9);
        },
      ),
    );
    expect(() => springResultant([])).toThrow('at least one spring');
  });

  it('lengthens loose springs with the gap', () => {
    expect(plateGap(40, 36.5)).toBe(3.5);
    expect(looseSpringLength(3.5, 9, 8)).toBe(20.5);
    expect(() => plateGap(36, 36.5)).toThrow('at least the stack');
  });
});
