import fc from 'fast-check';

import { shapeCircle } from '../boltCircle';

describe('a circle of bolts', () => {
  it('begins at the top and goes on clockwise', () => {
    const { bolts, centre, radius } = shapeCircle(4, 200);
    const at = (bolt: number) => bolts.find((b) => b.bolt === bolt);
    expect(at(1)).toMatchObject({ turn: 1 });
    expect(at(1)?.x).toBeCloseTo(centre, 9);
    expect(at(1)?.y).toBeCloseTo(centre - radius, 9);
    expect(at(2)?.x).toBeCloseTo(centre + radius, 9);
    expect(at(3)?.y).toBeCloseTo(centre + radius, 9);
    expect(at(4)?.x).toBeCloseTo(centre - radius, 9);
    expect(at(3)?.turn).toBe(2);
  });

  it('shows every bolt once, evenly, whole and clear of the next', () => {
    fc.assert(
      fc.property(fc.integer({ min: 3, max: 30 }), (n) => {
        const size = 320;
        const { bolts, head } = shapeCircle(n, size);
        expect(bolts.map((b) => b.turn)).toEqual(Array.from({ length: n }, (_, i) => i + 1));
        const round = [...bolts].sort((a, b) => a.bolt - b.bolt);
        round.forEach((b, i) => {
          for (const at of [b.x, b.y]) {
            expect(at - head).toBeGreaterThanOrEqual(0);
            expect(at + head).toBeLessThanOrEqual(size);
          }
          const next = round[(i + 1) % n] ?? b;
          const apart = Math.hypot(next.x - b.x, next.y - b.y);
          expect(apart).toBeCloseTo(
            2 * Math.sin(Math.PI / n) * Math.hypot(b.x - size / 2, b.y - size / 2),
            6,
          );
          expect(apart).toBeGreaterThan(2 * head);
        });
      }),
    );
  });
});
