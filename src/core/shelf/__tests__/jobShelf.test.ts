import { cairn, crag } from '@/testing/jobs';
import fc from 'fast-check';

import { coilPack, figureOf } from '@/testing/packs';

import { evaluate } from '../../evaluate/evaluate';
import { entry } from '../../job/entry';
import { withEntry } from '../../job/paths';
import type { Job } from '../../job/types';
import { toleranceOf } from '../../pack/jobTolerance';
import { simulateTolerance } from '../../pack/tolerance';
import { chooseSteels } from '../jobShelf';
import type { ShelfPlate } from '../solver';
import { solveShelf } from '../solver';
import { omit } from '@/core/omit';

const job = crag();
const box: ShelfPlate[] = Array.from({ length: 40 }, (_, i) => ({
  id: `s${i}`,
  thickness: (i % 2 ? 1.52 : 1.47) + (i % 7) / 500,
  count: 1,
  isNew: i % 3 === 0,
}));

describe('steels for a job', () => {
  it('come nearest to the middle of its window, and hold and release', () => {
    const { sets } = chooseSteels(job, { plates: box });
    expect(sets).toHaveLength(10);
    expect(sets[0]?.picks.reduce((n, p) => n + p.count, 0)).toBe(7);
    expect(Math.abs(sets[0]?.off ?? 1)).toBeLessThan(0.01);
    for (const set of sets) {
      expect(set.height).toBeGreaterThanOrEqual(34);
      expect(set.height).toBeLessThanOrEqual(35);
      expect(set.reserve).toBeGreaterThanOrEqual(1);
    }
  });

  it('are refused with the condition to blame and by how much', () => {
    const strong = withEntry(job, 'engine.peakTorque', entry(60));
    const { sets, misses } = chooseSteels(strong, { plates: box });
    expect(sets).toEqual([]);
    expect(misses[0]?.condition).toBe('holds');
    expect(misses[0]?.by).toBeGreaterThan(0.1);
    // Lift asked is 1 mm more than the train gives: that is what every set misses by.
    const short = withEntry(job, 'release.requiredLift', entry(2.636));
    const release = chooseSteels(short, { plates: box }).misses.find(
      (m) => m.condition === 'releases',
    );
    expect(release?.by).toBeCloseTo(1, 1);
    // A pull that no set keeps under: each misses by what it is above.
    const pull = chooseSteels(job, { plates: box, maxPull: 10 });
    expect(pull.sets).toEqual([]);
    const heaviest = evaluate(job).figures.get('leverPull');
    const now = heaviest?.status === 'known' ? heaviest.value : Number.NaN;
    const miss = pull.misses.find((m) => m.condition === 'pull')?.by ?? Number.NaN;
    expect(Math.abs(miss - (now - 10))).toBeLessThan(8);
    const open = withEntry(job, 'pack.windowMin', undefined);
    expect(() => chooseSteels(open, { plates: box })).toThrow('stack limits');
  });
});

describe('steels between two plates that nuts draw together', () => {
  const restored = cairn();
  const twin = {
    ...restored,
    pack: omit(restored.pack, 'splineLength'),
    release: { ...restored.release, liftReadings: [] },
  };
  // The gap is the span less the stack, so a window for one is a window for the other.
  const asked = (gapMin: number, gapMax: number, thickness: number) =>
    chooseSteels(
      withEntry(
        withEntry(twin, 'springs.loose.gapMin', entry(gapMin)),
        'springs.loose.gapMax',
        entry(gapMax),
      ),
      { plates: [{ id: 'a', thickness, count: 7, isNew: true }] },
    );

  it('miss the gap by what it is too small, or too great', () => {
    const by = (answer: ReturnType<typeof asked>) =>
      answer.misses.find((m) => m.condition === 'gap')?.by;
    // Eight discs of 3.0 and seven steels of 1.5 leave 50 less 34.5.
    expect(by(asked(15.8, 17, 1.5))).toBeCloseTo(0.3, 9);
    expect(by(asked(14, 14.9, 1.5))).toBeCloseTo(0.6, 9);
    expect(by(asked(15, 16, 1.5))).toBeUndefined();
  });
});

describe('the tolerance of a job', () => {
  it('takes each plate as new, in the band of its kind', () => {
    const question = toleranceOf(
      withEntry(job, 'pack.kinds.steel.tolerance', entry(0.01)),
      5000,
      1,
    );
    expect(question.plates).toHaveLength(15);
    expect(question.plates.filter((p) => p.tolerance === 0.01)).toHaveLength(7);
    expect(question.plates.filter((p) => p.tolerance === 0.03)).toHaveLength(8);
    expect(simulateTolerance(question).mean).toBeCloseTo(34.5, 2);
  });
});

describe('the flatness of the plates that are picked', () => {
  // Seven steels of 1.5 mm in a window of 34 to 35 mm; they may be out of flat by what 1.635 mm of lift leaves.
  const pack = coilPack();
  const shelf = (outOfFlat: number, thickness: number, name: string): ShelfPlate[] =>
    Array.from({ length: 7 }, (_, i) => ({
      id: `${name}${i}`,
      thickness,
      count: 1,
      isNew: false,
      outOfFlat,
    }));

  it('keeps a set out that would drag, and offers the flat one further from the target', () => {
    const bent = shelf(0.15, 1.5, 'bent');
    const flat = shelf(0.01, 1.505, 'flat');
    const { sets } = chooseSteels(pack, { plates: [...bent, ...flat], best: 1 });
    expect(sets[0]?.picks.some((p) => p.id.startsWith('flat'))).toBe(true);
    // The nearest set of all is the bent one, and it drags once it is in.
    const taken = (plates: readonly ShelfPlate[]) => ({
      ...pack,
      pack: {
        ...pack.pack,
        plates: pack.pack.plates.map((p, i) =>
          p.kindId === 'steel'
            ? {
                ...p,
                readings: { '1': entry(plates[0]?.thickness ?? 0) },
                outOfFlat: entry(plates[i % plates.length]?.outOfFlat ?? 0),
              }
            : p,
        ),
      },
    });
    const drags = (job: Job) =>
      evaluate(job).verdicts.find((v) => v.id === 'releases')?.state === 'stop';
    expect([drags(taken(bent)), drags(taken(flat))]).toEqual([true, false]);
    expect(chooseSteels(pack, { plates: bent }).sets).toEqual([]);
    expect(chooseSteels(pack, { plates: bent }).misses[0]).toMatchObject({
      condition: 'releases',
      by: expect.closeTo(1.28 + 7 * 0.15 - figureOf(pack, 'liftHad'), 6) as number,
    });
  });

  it('does not refuse flat plates because those taken out were warped', () => {
    const warped: Job = {
      ...pack,
      pack: {
        ...pack.pack,
        plates: pack.pack.plates.map((p) =>
          p.kindId === 'steel' ? { ...p, outOfFlat: entry(0.3) } : p,
        ),
      },
    };
    expect(chooseSteels(warped, { plates: shelf(0.01, 1.5, 'flat') }).sets).toHaveLength(1);
  });

  it('is met by the best of all sets that meet it, as trying every set finds', () => {
    const plates = fc.array(
      fc.record({
        thickness: fc.integer({ min: 140, max: 160 }).map((n) => n / 100),
        outOfFlat: fc.option(
          fc.integer({ min: 0, max: 30 }).map((n) => n / 100),
          { nil: undefined },
        ),
        isNew: fc.boolean(),
      }),
      { minLength: 4, maxLength: 9 },
    );
    fc.assert(
      fc.property(plates, fc.double({ min: 0, max: 0.6, noNaN: true }), (made, most) => {
        const all = made.map((p, i): ShelfPlate => ({
          id: `p${i}`,
          thickness: p.thickness,
          isNew: p.isNew,
          count: 1,
          ...(p.outOfFlat === undefined ? {} : { outOfFlat: p.outOfFlat }),
        }));
        const option = { id: 'o', choose: 3, fixedHeight: 10, target: 14.5, min: 14, max: 15 };
        const judge = () => ({ reserve: 1, fails: [], flatness: { most, had: 1, needed: 0.5 } });
        const found = solveShelf({ plates: all, options: [option], best: 1 }, judge).sets[0];
        let best: readonly [off: number, newParts: number] | undefined;
        for (let a = 0; a < all.length; a++)
          for (let b = a + 1; b < all.length; b++)
            for (let c = b + 1; c < all.length; c++) {
              const set = [a, b, c].map((i) => all[i] as ShelfPlate);
              const height = 10 + set.reduce((s, p) => s + p.thickness, 0);
              const warp = set.reduce((s, p) => s + (p.outOfFlat ?? 0), 0);
              if (height < 14 - 1e-9 || height > 15 + 1e-9 || warp > most + 1e-9) continue;
              const off = Math.round(Math.abs(height - 14.5) * 1e6) / 1e6;
              const fresh = set.filter((p) => p.isNew).length;
              if (!best || off < best[0] || (off === best[0] && fresh < best[1]))
                best = [off, fresh];
            }
        expect(found && [Math.abs(found.off), found.newParts]).toEqual(best);
      }),
      { numRuns: 300 },
    );
  });

  it('names the condition that rules out most stack heights first', () => {
    const plates = [1.4, 1.5, 1.6].map((thickness, i) => ({
      id: `p${i}`,
      thickness,
      count: 2,
      isNew: false,
    }));
    const option = { id: 'o', choose: 2, fixedHeight: 10, target: 13, min: 12, max: 14 };
    const { misses } = solveShelf({ plates, options: [option], best: 1 }, (_o, height) => ({
      reserve: 1,
      fails: [height > 13.15 ? { condition: 'coils', by: 0.1 } : { condition: 'holds', by: 0.2 }],
    }));
    expect(misses.map((m) => [m.condition, m.heights])).toEqual([
      ['holds', 4],
      ['coils', 1],
    ]);
  });
});
