import fc from 'fast-check';

import { inTurn, placeEvenly, springResultant } from '../circle';

describe('kinds laid in turn', () => {
  it('alternates two even kinds, and spreads uneven ones', () => {
    expect(
      inTurn([
        { id: 'a', count: 3 },
        { id: 'b', count: 3 },
      ]),
    ).toEqual(['a', 'b', 'a', 'b', 'a', 'b']);
    expect(inTurn([])).toEqual([]);
  });

  it('lays every spring, and leaves two kinds of equal count in the middle', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 12 }),
        fc.double({ min: 1, max: 9, noNaN: true }),
        (n, k) => {
          const ring = inTurn([
            { id: 'a', count: n },
            { id: 'b', count: n },
          ]);
          expect(ring.filter((id) => id === 'a')).toHaveLength(n);
          const forces = ring.map((id) => (id === 'a' ? 100 : 100 * k));
          expect(springResultant(placeEvenly(forces, 40)).offset).toBeLessThan(1e-9);
        },
      ),
    );
  });
});
