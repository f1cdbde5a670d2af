import { put } from '@/testing/packs';
import fc from 'fast-check';

import { arbitraryJob } from '@/testing/arbitraryJob';

import { evaluate } from '../../evaluate/evaluate';
import { readSentence } from '@/core/text/sentence';
import type { State } from '@/core/evaluate/engine/figure';
import type { VerdictId } from '@/core/evaluate/engine/verdict';
import { alternate, blankCoilGroup, blankJob, blankKind } from '../../job/blank';
import { entry } from '../../job/entry';
import type { Fixture, Job, Plate, Sight } from '../../job/types';
import { POINTS } from '../../job/types';
import type { Decision } from '../decisions';
import { inspect } from '../inspect';
import { FIXTURE_NAME } from '../sights';
import { summarize } from '../summary';
import { omit } from '@/core/omit';

const MANUAL = { kind: 'manual', note: 'page 12' } as const;

/** Three discs and two steels; discs new 3.0 and least 2.8, steels 1.6 and least 1.5. */
function job(readings: Readonly<Record<string, readonly number[]>> = {}, flat = 0.02): Job {
  const blank = blankJob('j', 'UR-0001', '2026-01-01T00:00:00.000Z');
  const plates = alternate('disc', 'steel', 3, 'friction', (n) => `p${n}`).map((p): Plate => {
    const isSteel = p.kindId === 'steel';
    const values = readings[p.id] ?? (isSteel ? [1.6] : [2.95, 2.95, 2.94, 2.95]);
    return {
      ...p,
      readings: Object.fromEntries(values.map((v, i) => [POINTS[i], entry(v)])),
      ...(isSteel ? { outOfFlat: entry(flat) } : {}),
    };
  });
  return {
    ...blank,
    pack: {
      ...blank.pack,
      plates,
      kinds: [
        {
          ...blankKind('disc', 'friction', 'Disc'),
          thickness: entry(3, MANUAL),
          minThickness: entry(2.8, MANUAL),
        },
        {
          ...blankKind('steel', 'steel', 'Steel'),
          thickness: entry(1.6, MANUAL),
          minThickness: entry(1.5, MANUAL),
        },
      ],
    },
  };
}

const found = (j: Job) => inspect(j, evaluate(j));
const decision = (j: Job, id: string) => found(j).parts.find((p) => p.id === id)?.decision;
const reasons = (j: Job, id: string) =>
  found(j)
    .parts.find((p) => p.id === id)
    ?.reasons.map((r) => readSentence(r.sentence))
    .join(' ') ?? '';
const plateWith = (
  j: Job,
  id: string,
  part: Partial<Plate>,
  ...without: readonly ('readings' | 'outOfFlat')[]
): Job => ({
  ...j,
  pack: {
    ...j.pack,
    plates: j.pack.plates.map((p) => (p.id === id ? { ...omit(p, ...without), ...part } : p)),
  },
});

describe('a disc', () => {
  it.each<[readonly number[], Decision, string]>([
    [[2.95, 2.95, 2.94, 2.95], 'keep', '0.140 mm above its limit'],
    [[2.8, 2.85, 2.84, 2.85], 'watch', 'only 0.000 mm above'],
    [[2.799, 2.85, 2.84, 2.85], 'change', 'below its limit of 2.800 mm'],
    [[2.95, 2.95, 2.84, 2.95], 'change', 'Taper 0.110 mm'],
    [[2.95], 'watch', 'Measured at 1 point only'],
    [[], 'open', 'not measured yet'],
  ])('of readings %j is to %s', (values, want, words) => {
    expect(decision(job({ p3: values }), 'p3')).toBe(want);
    expect(reasons(job({ p3: values }), 'p3')).toContain(words);
  });

  it('names where the limit comes from', () => {
    const part = found(job()).parts.find((p) => p.id === 'p1');
    expect(part?.reasons[0]?.limitFrom).toBe('limit from the manual, page 12');
    const uneven = found(job({ p3: [2.95, 2.95, 2.84] })).parts.find((p) => p.id === 'p3');
    expect(uneven?.reasons[0]?.limitFrom).toBe('assumed limit');
  });

  it.each<[Sight, Decision]>([
    ['glazed', 'change'],
    ['burnt', 'change'],
    ['cracked', 'scrap'],
    ['tangsWorn', 'watch'],
  ])('that looks %s is to %s however thick', (sight, want) => {
    expect(decision(plateWith(job(), 'p3', { seen: [sight] }), 'p3')).toBe(want);
  });

  it('binds or rattles in its slots', () => {
    const limits = put(job(), {
      'inspection.tangClearanceMin': 0.1,
      'inspection.tangClearanceMax': 0.5,
    });
    for (const [play, want] of [
      [0.09, 'change'],
      [0.1, 'keep'],
      [0.5, 'keep'],
      [0.51, 'change'],
    ] as const) {
      expect(decision(plateWith(limits, 'p3', { tangClearance: entry(play) }), 'p3')).toBe(want);
    }
  });
});

describe('a steel', () => {
  it('is changed when warped, ground where that leaves it thick enough', () => {
    const warped = plateWith(put(job(), { 'inspection.steelWarpLimit': 0.05 }), 'p2', {
      outOfFlat: entry(0.08),
    });
    expect(decision(warped, 'p2')).toBe('change');
    const grindable: Job = {
      ...warped,
      pack: {
        ...warped.pack,
        kinds: warped.pack.kinds.map((k) => (k.id === 'steel' ? { ...k, grindable: true } : k)),
      },
    };
    expect(decision(grindable, 'p2')).toBe('grind');
    expect(reasons(grindable, 'p2')).toContain('keeps about 1.520 mm');
    expect(decision(plateWith(grindable, 'p2', { outOfFlat: entry(0.11) }), 'p2')).toBe('change');
    // 1.6 less 0.1 is exactly its minimum: a value on a limit is within it.
    expect(decision(plateWith(grindable, 'p2', { outOfFlat: entry(0.1) }), 'p2')).toBe('grind');
    expect(decision(plateWith(grindable, 'p2', { outOfFlat: entry(0.05) }), 'p2')).toBe('keep');
  });

  it('is kept for hot spots alone, and watched for blueing', () => {
    expect(decision(plateWith(job(), 'p2', { seen: ['hotSpots'] }), 'p2')).toBe('keep');
    expect(decision(plateWith(job(), 'p2', { seen: ['blued'] }), 'p2')).toBe('watch');
    expect(decision(plateWith(job(), 'p2', {}, 'outOfFlat'), 'p2')).toBe('open');
  });
});

describe('rules across parts', () => {
  const across = (j: Job) => found(j).across.map((f) => f.id);
  const limit = (j: Job) => put(j, { 'inspection.steelWarpLimit': 0.05 });

  it('send the discs on both sides of a warped steel with it', () => {
    const warped = plateWith(limit(job()), 'p2', { outOfFlat: entry(0.08) });
    expect(across(warped)).toContain('warpedTakesNeighbours');
    expect([decision(warped, 'p1'), decision(warped, 'p3'), decision(warped, 'p5')]).toEqual([
      'change',
      'change',
      'watch',
    ]);
  });

  it('doubt a plate that is unlike the others of its kind, and no kind of two', () => {
    const mistyped = job({
      p1: [2.95, 2.95, 2.95],
      p3: [1.95, 1.95, 1.95],
      p5: [2.94, 2.95, 2.95],
    });
    expect(reasons(mistyped, 'p3')).toContain('from the other plates of its kind');
    expect(reasons(mistyped, 'p1')).not.toContain('other plates');
    // With two readings it is unknown which one is wrong.
    const steels = job({ p2: [1.6], p4: [2.6] });
    expect(reasons(steels, 'p4')).not.toContain('other plates');
  });

  it('let no new disc run against a warped steel', () => {
    const thin = limit(job({ p5: [2.7, 2.7, 2.7, 2.7] }));
    expect(across(thin)).not.toContain('newAgainstWarped');
    expect(across(plateWith(thin, 'p2', { outOfFlat: entry(0.08) }))).toContain('newAgainstWarped');
    const fresh = plateWith(plateWith(limit(job()), 'p1', { isNew: true }, 'readings'), 'p2', {
      outOfFlat: entry(0.08),
    });
    expect(across(fresh)).toContain('newAgainstWarped');
  });

  it('warn of new steels on discs worn to the old ones', () => {
    const worn = job({ p1: [2.9, 2.9, 2.9], p3: [2.9, 2.9, 2.9], p5: [2.9, 2.9, 2.9], p2: [1.4] });
    expect(across(worn)).toContain('newSteelsOnOldDiscs');
    const nearlyNew = [2.97, 2.97, 2.97];
    expect(across(job({ p2: [1.4], p1: nearlyNew, p3: nearlyNew, p5: nearlyNew }))).not.toContain(
      'newSteelsOnOldDiscs',
    );
  });

  it('send all discs when the pack is worn past its limit though each passes', () => {
    const worn = job({ p1: [2.85, 2.85, 2.85], p3: [2.85, 2.85, 2.85], p5: [2.85, 2.85, 2.85] });
    expect(decision(put(worn, { 'pack.maxWear': 0.46 }), 'p1')).toBe('keep');
    const past = put(worn, { 'pack.maxWear': 0.44 });
    expect(['p1', 'p3', 'p5'].map((id) => decision(past, id))).toEqual([
      'change',
      'change',
      'change',
    ]);
    expect(reasons(past, 'p1')).toContain('more than 0.440 mm');
  });

  it('warn of a set that mixes discs that go and discs that stay, and not of one that goes whole', () => {
    const mixed = (j: Job) => found(j).across.find((f) => f.id === 'mixedSet');
    expect(mixed(job())).toBeUndefined();
    const one = mixed(job({ p3: [2.7, 2.7, 2.7] }));
    expect(one?.partIds).toEqual(['p1', 'p5']);
    expect(readSentence(one?.sentence ?? [])).toMatch(
      /^1 of 3 discs must be replaced; the 2 that pass/,
    );
    // A warped steel takes the discs on both sides: they are counted with those that are too thin.
    const bent = plateWith(limit(job()), 'p2', { outOfFlat: entry(0.08) });
    expect(
      found(bent)
        .parts.filter((p) => p.decision === 'change')
        .map((p) => p.id),
    ).toEqual(expect.arrayContaining(['p1', 'p3']));
    expect(readSentence(mixed(bent)?.sentence ?? [])).toMatch(/^2 of 3 discs must be replaced/);
    const low = [2.7, 2.7, 2.7];
    expect(mixed(job({ p1: low, p3: low, p5: low }))).toBeUndefined();
    // What goes to the scrap for what was seen goes as well; what is new already is no worn one that stays.
    expect(mixed(plateWith(job(), 'p3', { seen: ['cracked'] }))?.partIds).toHaveLength(2);
    const fresh = ['p1', 'p5'].reduce(
      (j, id) => plateWith(j, id, { isNew: true }, 'readings'),
      job({ p3: low }),
    );
    expect(mixed(fresh)).toBeUndefined();
  });

  it('names other causes that damage points to', () => {
    const hub: Job = {
      ...job(),
      inspection: { ...job().inspection, seen: { hub: ['splinesWorn'], cover: ['grooved'] } },
    };
    const says = found(hub)
      .across.map((f) => readSentence(f.sentence))
      .join(' ');
    expect(says).toContain('misalignment');
    expect(says).toContain('pilot bearing');
    expect(decision(hub, 'hub')).toBe('change');
  });
});

describe('parts around the plates', () => {
  it('are judged by their limits, estimates where none is entered', () => {
    const j = put(job(), {
      'inspection.basketNotch': 0.4,
      'inspection.hubNotch': 0.51,
      'inspection.pressurePlateFlatness': 0.12,
      'inspection.pressurePlateThickness': 5,
      'inspection.pressurePlateMinThickness': 4.9,
      'inspection.seatSquareness': 0.06,
    });
    expect(decision(j, 'basket')).toBe('watch');
    expect(decision(j, 'hub')).toBe('change');
    expect(decision(j, 'pressurePlate')).toBe('change');
    expect(reasons(j, 'pressurePlate')).toContain('lifts unevenly');
    // 5.0 less 0.12 leaves 4.88: too thin to grind.
    expect(decision(put(j, { 'inspection.seatSquareness': 0.01 }), 'pressurePlate')).toBe('change');
    expect(
      decision(
        put(j, { 'inspection.seatSquareness': 0.01, 'inspection.pressurePlateMinThickness': 4.8 }),
        'pressurePlate',
      ),
    ).toBe('grind');
  });

  it('judge springs by the shortest of the set, and by how they differ', () => {
    const springs = (lengths: readonly number[]): Job => {
      const base = job();
      return {
        ...base,
        springs: {
          ...base.springs,
          coil: {
            ...base.springs.coil,
            groups: [{ ...blankCoilGroup('g', 'Set'), minFreeLength: entry(40) }],
          },
        },
        inspection: {
          ...base.inspection,
          springLengths: lengths.map((l, i) => ({ id: `s${i}`, groupId: 'g', length: entry(l) })),
        },
      };
    };
    expect(decision(springs([41, 41.1, 40.9]), 'springs')).toBe('keep');
    expect(decision(springs([41, 40.3, 41]), 'springs')).toBe('watch');
    expect(decision(springs([41, 39.9, 41]), 'springs')).toBe('change');
  });
});

describe('the summary', () => {
  it('lists replaced parts for a customer without figures, and for the shop with them', () => {
    const j = job({ p5: [2.7, 2.7, 2.7] });
    const { customer, shop } = summarize(j, found(j), evaluate(j));
    const reported = customer.map((s) => readSentence(s)).join(' ');
    expect(reported).toContain('1 of 3 friction discs needs replacing.');
    expect(reported).toContain('All 2 steel plates can stay.');
    expect(reported).not.toMatch(/\d mm/);
    expect(shop.map((s) => readSentence(s)).join(' ')).toContain('Replace: plate 5.');
  });

  it.each<[VerdictId, State, string]>([
    ['holds', 'stop', 'can slip under full power'],
    ['holds', 'watch', 'has little reserve'],
    ['releases', 'stop', 'does not release fully'],
  ])('says what %s at %s means on the road, and nothing of it otherwise', (id, state, words) => {
    const j = job({ p5: [2.7, 2.7, 2.7] });
    const evaluation = evaluate(j);
    const reported = (judged: State) =>
      summarize(j, found(j), {
        ...evaluation,
        verdicts: evaluation.verdicts.map((v) => ({ ...v, state: v.id === id ? judged : 'good' })),
      })
        .customer.map((s) => readSentence(s))
        .join(' ');
    expect(evaluation.verdicts.map((v) => v.id)).toContain(id);
    expect(reported(state)).toContain(words);
    expect(reported('good')).not.toContain(words);
  });

  it('names what is fixed in the machine, as one or as several', () => {
    const j = job({ p1: [2.99, 2.99, 2.99] });
    const reported = (fixture: Fixture, decision: Decision) => {
      const part = { id: fixture, fixture, name: FIXTURE_NAME[fixture], decision, reasons: [] };
      return summarize(j, { ...found(j), parts: [part] }, evaluate(j))
        .customer.map((s) => readSentence(s))
        .join(' ');
    };
    expect(reported('hub', 'change')).toContain('The hub needs replacing.');
    expect(reported('springs', 'change')).toContain('The springs need replacing.');
    expect(reported('pressurePlate', 'grind')).toContain('The pressure plate can be ground.');
    expect(reported('hub', 'keep')).not.toContain('The hub');
  });

  it('says so while nothing is measured', () => {
    const j = blankJob('j', 'UR-1', '2026-01-01T00:00:00.000Z');
    expect(summarize(j, found(j), evaluate(j)).customer.map((s) => readSentence(s))).toEqual([
      'Nothing measured yet.',
    ]);
  });
});

describe('any job that the schema takes', () => {
  it('is inspected without a throw, every plate once, and counts add up', () => {
    fc.assert(
      fc.property(arbitraryJob, (j) => {
        const evaluation = evaluate(j);
        const { parts, counts } = inspect(j, evaluation);
        expect(parts.filter((p) => p.plate).map((p) => p.id)).toEqual(
          evaluation.layout.layers.map((l) => l.plate.id),
        );
        expect(Object.values(counts).reduce((a, b) => a + b, 0)).toBe(parts.length);
        const { customer, shop } = summarize(
          j,
          { parts, counts, across: [], begun: true },
          evaluation,
        );
        for (const s of [...customer, ...shop])
          expect(readSentence(s)).not.toMatch(/NaN|Infinity|undefined/);
      }),
      { numRuns: 60 },
    );
  });
});
