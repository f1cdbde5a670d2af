import fc from 'fast-check';

import { pile, Reach } from '../reach';

const plate = fc.record({
  thickness: fc.integer({ min: 1400, max: 1430 }).map((t) => t / 1000),
  count: fc.integer({ min: 1, max: 3 }),
  isNew: fc.boolean(),
  outOfFlat: fc.integer({ min: 0, max: 20 }).map((w) => w / 100),
});
const shelf = fc
  .array(plate, { minLength: 2, maxLength: 5 })
  .map((plates) => plates.map((p, i) => ({ ...p, id: `p${i}` })));

/** Every choice of so many single plates, one by one. */
function choices<T>(items: readonly T[], n: number): readonly (readonly T[])[] {
  if (n === 0) return [[]];
  return items.flatMap((item, i) => choices(items.slice(i + 1), n - 1).map((c) => [item, ...c]));
}

describe('what a shelf can reach', () => {
  it('is every sum of so many plates, each with the flattest set of it', () => {
    fc.assert(
      fc.property(shelf, fc.integer({ min: 1, max: 4 }), (plates, choose) => {
        const single = plates.flatMap((p) => Array.from({ length: p.count }, () => p));
        fc.pre(single.length >= choose);
        const flattest = new Map<number, number>();
        for (const set of choices(single, choose)) {
          const sum = Math.round(set.reduce((t, p) => t + p.thickness * 1000, 0));
          const warp = Math.round(set.reduce((t, p) => t + p.outOfFlat * 1000, 0));
          flattest.set(sum, Math.min(warp, flattest.get(sum) ?? Infinity));
        }
        const reach = new Reach(pile(plates), choose, 10_000);
        expect(reach.sums()).toEqual([...flattest.keys()].sort((a, b) => a - b));
        for (const [sum, warp] of flattest) expect(reach.leastWarp(sum)).toBe(warp);
      }),
      { numRuns: 100 },
    );
  });

  it('gives sets of that sum and count, the one without new parts first', () => {
    const reach = new Reach(
      pile([
        { id: 'new', thickness: 1.5, count: 2, isNew: true, outOfFlat: 0 },
        { id: 'used', thickness: 1.5, count: 2, isNew: false, outOfFlat: 0.1 },
        { id: 'thin', thickness: 1.4, count: 1, isNew: false, outOfFlat: 0 },
      ]),
      2,
      10_000,
    );
    expect(reach.sums()).toEqual([2900, 3000]);
    const used = reach.piles.findIndex((p) => p.plates.some((plate) => plate.id === 'used'));
    const [first] = reach.sets(3000, 3);
    expect(first?.[used]).toBe(2);
    for (const counts of reach.sets(3000, 9)) expect(counts.reduce((a, b) => a + b, 0)).toBe(2);
    // No set of these is flatter than a new one.
    expect(reach.sets(3000, 9, 50).every((counts) => (counts[used] ?? 0) === 0)).toBe(true);
    expect(reach.sets(2950, 9)).toEqual([]);
  });
});
