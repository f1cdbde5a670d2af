import fc from 'fast-check';

import { arrangeEvenly, placeEvenly, springResultant } from '../circle';

describe('kinds laid in turn', () => {
  it('alternates two even kinds, and spreads uneven ones', () => {
    expect(
      arrangeEvenly([
        { id: 'a', count: 3 },
        { id: 'b', count: 3 },
      ]),
    ).toEqual(['a', 'b', 'a', 'b', 'a', 'b']);
    expect(arrangeEvenly([])).toEqual([]);
  });

  it('keeps every kind near its share all the way round', () => {
    const counts = fc.array(fc.integer({ min: 0, max: 12 }), { minLength: 1, maxLength: 4 });
    fc.assert(
      fc.property(counts, (all) => {
        const kinds = all.map((count, i) => ({ id: `k${i}`, count }));
        const total = all.reduce((sum, c) => sum + c, 0);
        const ring = arrangeEvenly(kinds);
        expect(ring).toHaveLength(total);
        for (let i = 1; i <= total; i++)
          for (const { id, count } of kinds) {
            const laid = ring.slice(0, i).filter((x) => x === id).length;
            // With two kinds never a whole spring away; with more a little over.
            expect(Math.abs(laid - (count * i) / total)).toBeLessThan(kinds.length > 2 ? 2 : 1);
          }
        for (const { id, count } of kinds) expect(ring.filter((x) => x === id)).toHaveLength(count);
      }),
    );
    const three = arrangeEvenly([
      { id: 'a', count: 4 },
      { id: 'b', count: 2 },
    ]);
    expect(three).toEqual(['a', 'b', 'a', 'a', 'b', 'a']);
  });

  it('lays every spring, and leaves two kinds of equal count in the middle', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 12 }),
        fc.double({ min: 1, max: 9, noNaN: true }),
        (n, k) => {
          const ring = arrangeEvenly([
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
