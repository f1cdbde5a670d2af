import fc from 'fast-check';

import { valueAlong } from '../points';

const along = (points: readonly (readonly [number, number])[], at: number) =>
  valueAlong(
    points,
    at,
    ([x]) => x,
    ([, y]) => y,
  );
const rising = fc
  .uniqueArray(fc.tuple(fc.integer({ min: -500, max: 500 }), fc.integer({ min: -500, max: 500 })), {
    minLength: 1,
    maxLength: 8,
    selector: ([x]) => x,
  })
  .map((points) => points.sort(([a], [b]) => a - b));

describe('the value along points', () => {
  it('is straight between them and level beyond', () => {
    const points = [
      [0, 10],
      [4, 30],
      [6, 0],
    ] as const;
    expect([-1, 0, 1, 4, 5, 6, 7].map((x) => along(points, x))).toEqual([10, 10, 15, 30, 15, 0, 0]);
    expect(along([], 3)).toBe(0);
  });

  it('passes through every point and never exceeds the maximum or minimum', () => {
    fc.assert(
      fc.property(rising, fc.integer({ min: -600, max: 600 }), (points, at) => {
        for (const [x, y] of points) expect(along(points, x)).toBeCloseTo(y, 9);
        const ys = points.map(([, y]) => y);
        expect(along(points, at)).toBeGreaterThanOrEqual(Math.min(...ys) - 1e-9);
        expect(along(points, at)).toBeLessThanOrEqual(Math.max(...ys) + 1e-9);
      }),
    );
  });
});
