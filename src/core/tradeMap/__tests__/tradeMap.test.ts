import fc from 'fast-check';

import { autoPack, coilPack, diaphragmPack, loosePack, put } from '@/testing/packs';

import { assistSlip } from '../../clutch/assistSlip/kind';
import { evaluate } from '../../evaluate/evaluate';
import { packModel } from '../../evaluate/states';
import { blankCoilGroup } from '../../job/blank';
import { entry } from '../../job/entry';
import type { CoilGroup, Job } from '../../job/types';
import type { ShelfPlate } from '../../shelf/solver';
import type { Measured } from '../measures';
import { frontOf, isLessBetter, PAIRS } from '../measures';
import { discOptions, springOptions, trainOptions } from '../options';
import { steelSets } from '../steelSets';
import type { MapPack, MapRequest } from '../pack';
import { jobOfPack } from '../pack';
import { tradeMap } from '../tradeMap';

const NOTHING: MapRequest = { vary: [], steels: [], springs: [], discs: [] };

/** A pack of three discs on two steels, so that all of its neighbours can be tried one by one. */
function small(torque: number): Job {
  const job = coilPack();
  const plates = job.pack.plates.slice(0, 7);
  const height = plates.reduce(
    (sum, p) => sum + (job.pack.kinds.find((k) => k.id === p.kindId)?.thickness?.value ?? 0),
    0,
  );
  const old = job.pack.plates.reduce(
    (sum, p) => sum + (job.pack.kinds.find((k) => k.id === p.kindId)?.thickness?.value ?? 0),
    0,
  );
  return put(
    { ...job, pack: { ...job.pack, plates } },
    {
      'pack.windowMin': height - 0.25,
      'pack.windowMax': height + 0.25,
      'engine.peakTorque': torque,
      // The springs are as far compressed as with all plates.
      'springs.coil.seatDistance': (job.springs.coil.seatDistance?.value ?? 0) - (old - height),
    },
  );
}

const measuredOf = (job: Job, newParts: number): Measured | undefined => {
  const { verdicts, figures } = evaluate(job);
  const must = ['order', 'holds', 'releases', 'coils', 'stack', 'retention', 'ramps:drive'];
  if (verdicts.some((v) => v.state === 'stop' && must.includes(v.id))) return undefined;
  const of = (id: 'leverPull' | 'clearancePerFace' | 'stackMargin' | 'reserveWithTangs') => {
    const figure = figures.get(id);
    if (figure?.status !== 'known') throw new Error(`${id} is not known`);
    return figure;
  };
  const wears = packModel(job).wearReserve();
  const life = Math.min(...wears.filter((w) => w.kind !== 'pack').map((w) => w.wear));
  const margin = of('stackMargin').value;
  if (margin < 0) return undefined;
  const reserve = of('reserveWithTangs');
  return {
    pull: of('leverPull').value,
    reserve: reserve.range?.low ?? reserve.value,
    clearance: of('clearancePerFace').value,
    life,
    margin,
    newParts,
  };
};

/** Every choice of so many from a list. */
function choices<T>(items: readonly T[], choose: number): (readonly T[])[] {
  if (choose === 0) return [[]];
  return items.flatMap((item, i) =>
    choices(items.slice(i + 1), choose - 1).map((c) => [item, ...c]),
  );
}

/** Every pack there is, each evaluated whole: nothing is pruned. */
function plainly(job: Job, request: MapRequest): readonly Measured[] {
  const found: Measured[] = [];
  for (const s of springOptions(job, request.springs, request.vary))
    for (const d of discOptions(job, request.discs, request.vary))
      for (const t of trainOptions(job, request.vary)) {
        const count = d.apply(job).pack.plates.filter((p) => p.kindId.startsWith('steel')).length;
        const sets = request.vary.includes('steels') ? choices(request.steels, count) : [];
        for (const picks of [undefined, ...sets]) {
          const pack: MapPack = {
            springs: s.id,
            discs: d.id,
            train: t.id,
            name: '',
            measured: {} as Measured,
            steels: { height: 0, outOfFlat: 0, newParts: 0, picks: picks?.map((p) => p.id) ?? [] },
          };
          const extra = picks ? picks.filter((p) => p.isNew).length : d.id === 'more' ? 1 : 0;
          const of = measuredOf(
            jobOfPack(job, request, pack),
            s.newParts + d.newParts + t.newParts + extra,
          );
          if (of) found.push(of);
        }
      }
  return found;
}

const springs = (id: string, rate: number): CoilGroup => ({
  ...blankCoilGroup(id, id),
  rate: entry(rate),
  freeLength: entry(44),
  solidLength: entry(20),
});

/** The values of a front in two measures, sorted and rounded for comparison. */
const valuesOf = (items: readonly Measured[], a: keyof Measured, b: keyof Measured) =>
  // The last bit of a sum must not make two of one.
  [
    ...new Set(
      frontOf(items, (m) => m, a, b).map((m) =>
        [m[a], m[b]].map((v) => Math.round(v * 1e6)).join(),
      ),
    ),
  ];

describe('the trade map', () => {
  it('is the same as plain enumeration, on small shops', () => {
    fc.assert(
      fc.property(
        fc.record({
          torque: fc.double({ min: 8, max: 30, noNaN: true }),
          rates: fc.array(fc.double({ min: 8, max: 40, noNaN: true }), { maxLength: 2 }),
          steels: fc.array(
            fc.record({
              thickness: fc.integer({ min: 1450, max: 1560 }).map((n) => n / 1000),
              isNew: fc.boolean(),
              outOfFlat: fc.integer({ min: 0, max: 8 }).map((n) => n / 100),
            }),
            { minLength: 2, maxLength: 5 },
          ),
          vary: fc.subarray(['springs', 'shims', 'discs', 'steels', 'train'] as const),
        }),
        ({ torque, rates, steels, vary }) => {
          const job = small(torque);
          const request: MapRequest = {
            ...NOTHING,
            vary,
            springs: rates.map((rate, i) => springs(`s${i}`, rate)),
            steels: steels.map((s, i): ShelfPlate => ({ ...s, id: `p${i}`, count: 1 })),
          };
          const all = plainly(job, request);
          const map = tradeMap(job, request);
          for (const [a, b] of PAIRS)
            expect(
              valuesOf(
                map.packs.map((p) => p.measured),
                a,
                b,
              ),
            ).toEqual(valuesOf(all, a, b));
        },
      ),
      { numRuns: 200 },
    );
  }, 240_000);

  it('has no pack that another beats', () => {
    const { packs } = tradeMap(small(15), { ...NOTHING, vary: ['shims', 'discs', 'train'] });
    for (const [a, b] of PAIRS) {
      const front = frontOf(packs, (p) => p.measured, a, b);
      for (const one of front)
        for (const other of packs) {
          const better = ([a, b] as const).map((m) => {
            const by = one.measured[m] - other.measured[m];
            return isLessBetter(m) ? by : -by;
          });
          expect(better.every((by) => by >= 0) && better.some((by) => by > 1e-9)).toBe(false);
        }
    }
  });

  it('gives each pack the figures that the evaluation gives its job', () => {
    for (const job of [
      small(15),
      diaphragmPack(),
      put(loosePack(), { 'engine.peakTorque': 20 }),
      assistSlip.example(coilPack()),
    ]) {
      const request: MapRequest = { ...NOTHING, vary: ['shims', 'step', 'train', 'discs'] };
      const known = put(
        job,
        job.pack.windowMin ? {} : { 'pack.windowMin': 1, 'pack.windowMax': 90 },
      );
      const { packs } = tradeMap(known, request);
      expect(packs.length).toBeGreaterThan(0);
      for (const pack of packs.slice(0, 12)) {
        const { figures } = evaluate(jobOfPack(known, request, pack));
        const pull = figures.get('leverPull');
        expect(pull?.status === 'known' ? pull.value : NaN).toBeCloseTo(pack.measured.pull, 6);
        const clear = figures.get('clearancePerFace');
        expect(clear?.status === 'known' ? clear.value : NaN).toBeCloseTo(
          pack.measured.clearance,
          9,
        );
      }
    }
  });

  it('says how many there were, and what rules out most', () => {
    const map = tradeMap(small(15), { ...NOTHING, vary: ['shims', 'train'] });
    expect(map.looked).toBe(4 * trainOptions(small(15), ['train']).length);
    const failed = Object.values(map.fails).reduce((a, b) => a + b, 0);
    expect(map.buildable + failed).toBeGreaterThanOrEqual(map.looked);
    expect(tradeMap(small(2000), { ...NOTHING, vary: ['shims'] })).toMatchObject({
      buildable: 0,
      fails: { holds: 4 },
      packs: [],
    });
  });

  it('answers what is asked, or names the nearest and the condition that costs most', () => {
    const job = small(15);
    const request: MapRequest = { ...NOTHING, vary: ['shims', 'train'] };
    const free = tradeMap(job, request);
    const lightest = frontOf(free.packs, (p) => p.measured, 'pull', 'reserve')[0]?.measured;
    const pull = lightest?.pull ?? 0;
    const met = tradeMap(job, { ...request, limits: { pull: pull * 1.5, reserve: 1 } }).answer;
    expect(met).toMatchObject({ meets: true, misses: {} });
    expect(met?.pack.measured.pull).toBeCloseTo(pull, 9);
    const not = tradeMap(job, { ...request, limits: { pull: pull / 2, reserve: 1 } }).answer;
    expect(not?.meets).toBe(false);
    expect(not?.costsMost).toBe('pull');
    expect(not?.misses.pull).toBeGreaterThan(0);
  });

  it('counts the cost of new parts where prices are entered', () => {
    const request: MapRequest = { ...NOTHING, vary: ['discs', 'train'] };
    const prices = { steel: 4, disc: 11.5, train: 80 };
    const priced = tradeMap(small(12), { ...request, prices }).packs;
    for (const pack of priced) {
      const parts = pack.discs === 'more' ? 11.5 + 4 : 0;
      expect(pack.measured.newParts).toBeCloseTo(parts + (pack.train === '' ? 0 : 80), 9);
    }
    expect(priced.some((p) => p.measured.newParts > 0)).toBe(true);
  });

  it('has what there is so far at every report', () => {
    const request: MapRequest = { ...NOTHING, vary: ['shims', 'train'] };
    const counts: number[] = [];
    const map = tradeMap(small(15), request, (_share, soFar) => {
      counts.push(soFar().looked);
      return true;
    });
    expect(counts).toEqual(counts.toSorted((a, b) => a - b));
    expect(counts.at(-1)).toBe(map.looked);
  });

  it('stops where it is asked to, and refuses what it can’t know', () => {
    expect(
      tradeMap(small(15), { ...NOTHING, vary: ['shims', 'train'] }, () => false),
    ).toMatchObject({ cancelled: true });
    expect(() => tradeMap(autoPack(), NOTHING)).toThrow('without an expanding disc');
    const { windowMin: _none, ...pack } = coilPack().pack;
    expect(() => tradeMap({ ...coilPack(), pack }, NOTHING)).toThrow('stack limits');
  });
});

describe('the steels of a shelf', () => {
  it('give every height once for each number of new parts, with the flattest set', () => {
    const plates: ShelfPlate[] = [
      { id: 'a', thickness: 1.5, count: 1, isNew: false, outOfFlat: 0.05 },
      { id: 'b', thickness: 1.5, count: 1, isNew: false, outOfFlat: 0.02 },
      { id: 'c', thickness: 1.52, count: 2, isNew: true },
    ];
    expect(steelSets(plates, 2, 0, 9)).toEqual([
      { height: 3, outOfFlat: 0.07, newParts: 0, picks: ['b', 'a'] },
      { height: 3.02, outOfFlat: 0.02, newParts: 1, picks: ['c', 'b'] },
      { height: 3.04, outOfFlat: 0, newParts: 2, picks: ['c', 'c'] },
    ]);
    expect(steelSets(plates, 2, 3.01, 3.03)).toHaveLength(1);
    expect(steelSets(plates, 9, 0, 90)).toEqual([]);
  });

  it('leave out no height between the bounds', () => {
    const heightsOf = (sizes: readonly number[], choose: number): readonly number[] =>
      choose === 0
        ? [0]
        : sizes.flatMap((size, i) =>
            heightsOf(sizes.slice(i + 1), choose - 1).map((rest) => size + rest),
          );
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1000, max: 2400 }), { minLength: 3, maxLength: 7 }),
        fc.integer({ min: 1, max: 3 }),
        fc.integer({ min: 1000, max: 7000 }),
        fc.integer({ min: 0, max: 2000 }),
        (sizes, choose, from, room) => {
          const plates = sizes.map((size, i) => ({
            id: String(i),
            thickness: size / 1000,
            count: 1,
            isNew: false,
          }));
          const within = heightsOf(sizes, choose).filter((h) => h >= from && h <= from + room);
          expect(
            steelSets(plates, choose, from / 1000, (from + room) / 1000).map((s) =>
              Math.round(s.height * 1000),
            ),
          ).toEqual([...new Set(within)].sort((a, b) => a - b));
        },
      ),
    );
  });

  it('become the types that they are sold as, and no wear of the present ones', () => {
    const job = small(12);
    const steels = ['a', 'b', 'c'].map((id): ShelfPlate => ({
      id,
      thickness: 1.44,
      nominal: 1.45,
      count: 1,
      isNew: false,
    }));
    const request: MapRequest = { ...NOTHING, vary: ['steels'], steels };
    const pack = tradeMap(job, request).packs.find((p) => p.steels.picks.length > 0);
    if (!pack) throw new Error('no pack of the shelf');
    const made = jobOfPack(job, request, pack);
    const used = made.pack.plates.flatMap((p) => (p.shelfId ? [p] : []));
    expect(used).toHaveLength(3);
    for (const plate of used)
      expect(made.pack.kinds.find((k) => k.id === plate.kindId)?.thickness?.value).toBe(1.45);
  });
});
