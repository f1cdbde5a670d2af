import fc from 'fast-check';

import type { Judge, ShelfPlate, ShelfQuestion } from '../solver';
import { solveShelf } from '../solver';

const fine: Judge = () => ({ reserve: 1, fails: [] });
const plate = (id: string, thickness: number, isNew = false, count = 1): ShelfPlate => ({
  id,
  thickness,
  isNew,
  count,
});
const question = (
  plates: readonly ShelfPlate[],
  choose: number,
  target: number,
  min: number,
  max: number,
  best = 10,
): ShelfQuestion => ({
  plates,
  best,
  options: [{ id: 'o', choose, fixedHeight: 20, target, min, max }],
});

interface Slow {
  readonly off: number;
  readonly newParts: number;
  readonly warp: number;
}

/** Every set there is, the slow way: nearness first, then new parts, then flatness; what the best ones come to. */
function bruteForce({ plates, options, best }: ShelfQuestion): Slow[] {
  const option = options[0]!;
  const sets = new Map<string, Slow>();
  const walk = (from: number, chosen: ShelfPlate[]) => {
    if (chosen.length === option.choose) {
      const height =
        option.fixedHeight + chosen.reduce((s, p) => s + Math.round(p.thickness * 1000), 0) / 1000;
      if (height < option.min - 1e-9 || height > option.max + 1e-9) return;
      const key = chosen
        .map((p) => `${Math.round(p.thickness * 1000)}${p.isNew}`)
        .sort()
        .join();
      const warp = chosen.reduce((sum, p) => sum + Math.round((p.outOfFlat ?? 0) * 100), 0);
      if (warp < (sets.get(key)?.warp ?? Infinity))
        sets.set(key, {
          off: Math.abs(height - option.target),
          newParts: chosen.filter((p) => p.isNew).length,
          warp,
        });
      return;
    }
    for (let i = from; i < plates.length; i++) walk(i + 1, [...chosen, plates[i]!]);
  };
  walk(0, []);
  return [...sets.values()]
    .sort((a, b) => Math.round((a.off - b.off) * 1e6) || a.newParts - b.newParts || a.warp - b.warp)
    .slice(0, best);
}

describe('shelf solver', () => {
  it('finds what trying every set finds, on any small shelf', () => {
    const shelf = fc.array(
      fc.record({
        // Few thicknesses, so that many sets come to one height.
        t: fc.integer({ min: 115, max: 162 }).map((n) => n * 10),
        isNew: fc.boolean(),
        warp: fc.integer({ min: 0, max: 30 }),
      }),
      { minLength: 4, maxLength: 12 },
    );
    fc.assert(
      fc.property(
        shelf,
        fc.integer({ min: 1, max: 4 }),
        fc.integer({ min: -300, max: 300 }),
        (raw, choose, shift) => {
          const plates = raw.map(({ t, isNew, warp }, i) => ({
            ...plate(`p${i}`, t / 1000, isNew),
            outOfFlat: warp / 100,
          }));
          const target = 20 + choose * 1.4 + shift / 1000;
          const q = question(plates, choose, target, target - 0.25, target + 0.2);
          const slow = bruteForce(q);
          const { sets, misses } = solveShelf(q, fine);
          expect(
            sets.map((s) => [
              Math.abs(s.off).toFixed(6),
              s.newParts,
              Math.round((s.outOfFlat ?? NaN) * 100),
            ]),
          ).toEqual(slow.map((s) => [s.off.toFixed(6), s.newParts, s.warp]));
          expect(misses.length > 0).toBe(slow.length === 0);
          for (const set of sets) {
            const used = set.picks.map((p) => p.id);
            expect(new Set(used).size).toBe(used.length);
            expect(set.picks.reduce((n, p) => n + p.count, 0)).toBe(choose);
            expect(set.picks.reduce((h, p) => h + p.count * p.thickness, 20)).toBeCloseTo(
              set.height,
              6,
            );
          }
        },
      ),
      { numRuns: 150 },
    );
  });

  it('answers nine of sixty to the exact target where there is such a set', () => {
    const plates = Array.from({ length: 60 }, (_, i) =>
      plate(`s${i}`, [1.2, 1.5, 1.6][i % 3]! + ((i * 37) % 41) / 1000 - 0.02),
    );
    const { sets } = solveShelf(question(plates, 9, 32.9, 32.6, 33.2), fine);
    expect(sets).toHaveLength(10);
    expect(sets[0]?.off).toBe(0);
    expect(
      new Set(
        sets.map((s) =>
          s.picks
            .map((p) => p.thickness)
            .sort()
            .join(),
        ),
      ).size,
    ).toBe(10);
  });

  it('takes the flattest of plates that are else alike, and says nothing of what nobody measured', () => {
    const bent = (id: string, thickness: number, outOfFlat?: number): ShelfPlate => ({
      ...plate(id, thickness),
      ...(outOfFlat === undefined ? {} : { outOfFlat }),
    });
    const shelf = [
      bent('a', 1.5, 0.09),
      bent('b', 1.5, 0.02),
      bent('c', 1.5),
      bent('d', 1.5, 0.04),
    ];
    const [two] = solveShelf(question(shelf, 2, 23, 22, 24), fine).sets;
    expect(two?.picks.map((p) => p.id)).toEqual(['b', 'd']);
    expect(two?.outOfFlat).toBeCloseTo(0.06, 9);
    // One that was never laid flat comes after all that are within the usual limit.
    const [four] = solveShelf(question(shelf, 4, 26, 25, 27), fine).sets;
    expect(four?.picks.at(-1)?.id).toBe('c');
    expect(four).not.toHaveProperty('outOfFlat');
    // Two heights with the same sum: the flatter pair is first.
    const pairs = [
      bent('e', 1.4, 0.2),
      bent('f', 1.6, 0.2),
      bent('g', 1.5, 0),
      bent('h', 1.5, 0.1),
    ];
    const { sets } = solveShelf(question(pairs, 2, 23, 22.9, 23.1), fine);
    expect(sets.slice(0, 2).map((s) => s.outOfFlat)).toEqual([0.1, 0.4]);
  });

  it('uses kinds with a count, and never more than there are', () => {
    const { sets } = solveShelf(
      question([plate('thin', 1.2, false, 3), plate('thick', 1.6, true, 5)], 4, 25.2, 24, 27),
      fine,
    );
    expect(sets[0]).toMatchObject({ height: 25.2, newParts: 1 });
    expect(sets[0]?.picks).toEqual(
      [
        { id: 'thin', count: 3, thickness: 1.2 },
        { id: 'thick', count: 1, thickness: 1.6 },
      ].map((p) => expect.objectContaining(p)),
    );
  });

  it('ranks by reserve where two options come equally near, and leaves out what the judge fails', () => {
    const plates = [plate('a', 1.5), plate('b', 1.5), plate('c', 1.4)];
    const options = ['soft', 'hard'].map((id) => ({
      id,
      choose: 2,
      fixedHeight: 20,
      target: 23,
      min: 22.5,
      max: 23.5,
    }));
    const judge: Judge = (option, height) => ({
      reserve: option.id === 'hard' ? 1.4 : 1.2,
      fails: height < 22.95 ? [{ condition: 'reserve', by: 0.1 }] : [],
    });
    const { sets } = solveShelf({ plates, options, best: 10 }, judge);
    expect(sets.map((s) => [s.option, s.height])).toEqual([
      ['hard', 23],
      ['soft', 23],
    ]);
  });

  it('says what is to blame when nothing fits, and by how much', () => {
    const plates = [plate('a', 1.2), plate('b', 1.3), plate('c', 1.4)];
    expect(solveShelf(question(plates, 2, 25, 24, 26), fine).misses).toEqual([
      { condition: 'stackLimits', heights: 3, by: 1.3 },
    ]);
    expect(solveShelf(question(plates, 2, 22, 21, 22.3), fine).misses).toEqual([
      { condition: 'stackLimits', heights: 1, by: 0.2 },
    ]);
    expect(solveShelf(question(plates, 5, 25, 24, 26), fine).misses).toEqual([
      { condition: 'plates on the shelf', heights: 1, by: 2 },
    ]);
    const weak: Judge = (_o, height) => ({
      reserve: 0.9,
      fails: [{ condition: 'reserve', by: 23 - height }],
    });
    expect(solveShelf(question(plates, 2, 22.6, 22, 23), weak).misses[0]).toMatchObject({
      condition: 'reserve',
      by: expect.closeTo(0.3, 9),
    });
  });

  it('stops on request, and refuses an invalid question', () => {
    const options = ['a', 'b'].map((id) => ({
      id,
      choose: 1,
      fixedHeight: 20,
      target: 21.5,
      min: 21,
      max: 22,
    }));
    expect(
      solveShelf({ plates: [plate('p', 1.5)], options, best: 10 }, fine, () => false),
    ).toMatchObject({ cancelled: true, sets: [{ option: 'a' }] });
    expect(() => solveShelf(question([], 1, 21, 20, 22), fine)).toThrow('at least one plate');
    expect(() => solveShelf(question([plate('a', 1)], 1, 21, 22, 20), fine)).toThrow(
      'options.0.max',
    );
  });
});
