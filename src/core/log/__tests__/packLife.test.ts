import { put } from '@/testing/packs';
import { crag, knoll, measured, signedOff, visitOf } from '@/testing/jobs';
import fc from 'fast-check';

import { entry } from '@/core/job/entry';
import type { Entry, Job } from '@/core/job/types';
import { arbitraryJob } from '@/testing/arbitraryJob';

import { layOut } from '@/core/evaluate/engine/layers';
import { discChanges, spreadOf } from '../discChanges';
import { machineLog, wearRates } from '../machineLog';
import { packLife } from '../packLife';
import { omit } from '@/core/omit';

/** The published wear of a pack, mm at h after it went in at 212 h. */
const PUBLISHED = [
  ['2026-05-11', 18, 0.06],
  ['2026-08-03', 41, 0.15],
  ['2026-11-16', 66, 0.23],
] as const;
const begun = signedOff(put(measured(crag(), 0.02, '2026-03-09'), { 'intake.hours': 212 }));
const job: Job = {
  ...begun,
  signOff: {
    ...begun.signOff,
    revisions: begun.signOff.revisions.map((r) => ({ ...r, signedAt: '2026-03-09T15:40:00.000Z' })),
  },
  visits: PUBLISHED.map(([date, hours, wear]) =>
    visitOf(crag(), date, 212 + hours, 0.02 + wear / 8),
  ),
};
const without = (returns: number): Job => ({ ...job, visits: job.visits.slice(0, returns) });

/** Discs all worn by the same at each return. */
function worn(losses: readonly (readonly [hours: number, date: string, loss: number])[]): Job {
  const discs = job.pack.plates.filter((p) => p.kindId.startsWith('disc'));
  return {
    ...job,
    visits: losses.map(([hours, date, loss], n) => ({
      id: `v${n}`,
      date,
      hours: entry(hours),
      readings: Object.fromEntries(discs.map((d) => [d.id, entry(2.98 - loss)])),
      note: '',
    })),
  };
}

describe('the life of a pack', () => {
  it('fits the published wear: 0, 0.06, 0.15 and 0.23 mm at 0, 18, 41 and 66 h', () => {
    const { line, points } = packLife(job).pack;
    const [first] = points;
    expect(line?.slope).toBeCloseTo(0.00352785, 8);
    // The pack went in at 212 h, worn by what its discs had lost before.
    expect(
      (line?.intercept ?? NaN) + (line?.slope ?? NaN) * 212 - (first?.wear ?? NaN),
    ).toBeCloseTo(-0.000245, 6);
  });

  it('names the first limit with its interval, in hours and by the machine’s own hours per week', () => {
    const { foreseen, perWeek, caution } = packLife(job);
    const [first, ...rest] = foreseen;
    expect(first?.name).toBe('stack below its limits');
    expect(first?.run).toBeGreaterThan(first?.earliest ?? Infinity);
    expect(first?.run).toBeLessThan(first?.latest ?? 0);
    expect(rest.every((f) => f.run >= (first?.run ?? Infinity))).toBe(true);
    // 66 h from 9 March to 16 November.
    expect(perWeek).toBeCloseTo(66 / 36, 6);
    const weeks = ((first?.run ?? NaN) - 278) / (66 / 36);
    expect(first?.date).toBe(
      new Date(Date.UTC(2026, 10, 16) + Math.round(weeks * 7) * 86_400_000)
        .toISOString()
        .slice(0, 10),
    );
    expect(caution).toBeUndefined();
  });

  it('meets the window where the line says the stack is at its least', () => {
    const { foreseen, pack } = packLife(job);
    const window = foreseen.find((f) => f.kind === 'stackLimits');
    const { slope = NaN, intercept = NaN } = pack.line ?? {};
    const wornSince = intercept + slope * (window?.run ?? NaN) - (pack.points[0]?.wear ?? NaN);
    // 34.2 mm as it went in: every plate 0.02 mm under its nominal.
    expect(34.2 - wornSince).toBeCloseTo(34, 6);
  });

  it('restarts where discs were replaced, with a message', () => {
    const twice = worn([
      [230, '2026-05-01', 0.05],
      [260, '2026-06-01', 0.14],
      // New ones went in, without a job of their own.
      [280, '2026-07-01', 0],
      [300, '2026-08-01', 0.06],
      [320, '2026-09-01', 0.12],
    ]);
    const { pack, discs, foreseen, caution, perWeek } = packLife(twice);
    expect(pack.points.map((p) => p.run)).toEqual([280, 300, 320]);
    expect(pack.line?.slope).toBeCloseTo(0.003 * discs.length, 9);
    expect(discs.every((d) => d.otherFrom === 280)).toBe(true);
    expect(discs[0]?.line?.slope).toBeCloseTo(0.003, 9);
    expect(foreseen.length).toBeGreaterThan(0);
    expect(caution).toMatch(
      /^All discs were thicker at a later visit.*different discs, or a reading/,
    );
    // The machine's pace is that of its meter, whatever discs are in it.
    expect(perWeek).toBeCloseTo(packLife(worn([[320, '2026-09-01', 0.1]])).perWeek ?? NaN, 9);
  });

  it('names the one disc that is another, and foresees nothing from its first date', () => {
    const two = worn([
      [230, '2026-05-01', 0.05],
      [260, '2026-06-01', 0.14],
    ]);
    const [v0, v1] = two.visits;
    const id = packLife(two).discs[2]?.plateId ?? '';
    if (!v0 || !v1) throw new Error('two returns');
    const one = { ...two, visits: [v0, { ...v1, readings: { ...v1.readings, [id]: entry(3) } }] };
    const { caution, foreseen, discs } = packLife(one);
    expect(caution).toMatch(/^Plate 5 was thicker at a later visit.*No prediction from one/s);
    expect(foreseen).toEqual([]);
    expect(discs.filter((d) => d.line === undefined).map((d) => d.name)).toEqual(['plate 5']);
  });

  it('foresees nothing while the meter is said to have run back', () => {
    const { caution, perWeek, foreseen, pack } = packLife(
      worn([
        [240, '2026-09-01', 0.05],
        [260, '2026-05-01', 0.1],
      ]),
    );
    expect(caution).toMatch(/^No prediction: the meter reading was higher at an earlier date/);
    expect(perWeek).toBeUndefined();
    expect(foreseen).toEqual([]);
    expect(pack.line).toBeUndefined();
  });

  it('says why nothing can be foreseen, or how little it rests on', () => {
    expect(packLife({ ...without(0), intake: omit(job.intake, 'hours') }).caution).toMatch(
      /no disc was measured at a known meter reading/,
    );
    expect(packLife(without(1)).caution).toMatch(/Two dates/);
    expect(packLife(without(1)).foreseen[0]?.earliest).toBeUndefined();
    expect(packLife(without(0)).caution).toMatch(/fitted new/);
    expect(packLife(worn([[240, '2026-06-01', -0.03]])).caution).toMatch(
      /no wear between the dates/,
    );
    const barelyWorn = { ...worn([]), intake: { ...job.intake, hours: entry(0) } };
    expect(packLife(barelyWorn).caution).toMatch(/from one date/);
    expect(packLife(barelyWorn).foreseen).toEqual([]);
  });

  it('counts new discs from the reading at which they went in, measured or not', () => {
    const fresh: Job = {
      ...job,
      pack: {
        ...job.pack,
        plates: job.pack.plates.map(({ id, kindId }) => ({ id, kindId, isNew: true })),
      },
      visits: [],
    };
    expect(packLife(fresh).foreseen).toEqual([]);
    // Fitted at 212 h; 38 h later every disc has lost 0.02 mm.
    const back: Job = {
      ...fresh,
      visits: [
        {
          id: 'v1',
          date: '2026-06-01',
          hours: entry(250),
          readings: Object.fromEntries(
            layOut(fresh)
              .layers.filter((l) => l.lined !== 'none')
              .map((l) => [l.plate.id, entry((l.kind.thickness?.value ?? NaN) - 0.02)]),
          ),
          note: '',
        },
      ],
    };
    const { pack, discs, foreseen } = packLife(back);
    expect(pack.points.map((p) => p.run)).toEqual([212, 250]);
    expect(pack.points[0]?.wear).toBeCloseTo(0, 12);
    expect(pack.line?.slope).toBeCloseTo((0.02 * discs.length) / 38, 9);
    // Not 0.02 mm in 250 h, which would foresee its limit more than six times too late.
    const [first] = foreseen;
    expect(first?.run).toBeGreaterThan(250);
    const least = discs.map((d) => d.limit ?? Infinity).reduce((a, b) => Math.min(a, b));
    expect(first?.run).toBeLessThanOrEqual(212 + (least / 0.02) * 38 + 1e-6);
    // A disc that nobody measured and nobody called new says nothing.
    const unknown: Job = {
      ...back,
      pack: {
        ...back.pack,
        plates: back.pack.plates.map(({ id, kindId }) => ({ id, kindId })),
      },
    };
    expect(packLife(unknown).pack.points.map((p) => p.run)).toEqual([250]);
    expect(packLife(unknown).caution).toMatch(/fitted new/);
  });

  it('counts distance where the machine does, and never mixes it with hours', () => {
    const KM_AN_HOUR = 42;
    const far = (hours?: Entry) => (hours ? { distance: entry(hours.value * KM_AN_HOUR) } : {});
    // The hours stay on the record of a machine whose meter was changed; they count no more.
    const onRoad: Job = {
      ...job,
      machine: { ...job.machine, meter: 'distance' },
      intake: { ...job.intake, hours: entry(5), ...far(job.intake.hours) },
      visits: job.visits.map((v) => ({ ...v, ...far(v.hours) })),
    };
    const [inHours, inKm] = [packLife(job), packLife(onRoad)];
    expect(inKm.foreseen.map((f) => f.name)).toEqual(inHours.foreseen.map((f) => f.name));
    inKm.foreseen.forEach((f, i) => {
      expect(f.run).toBeCloseTo((inHours.foreseen[i]?.run ?? NaN) * KM_AN_HOUR, 4);
      expect(f.date).toBe(inHours.foreseen[i]?.date);
    });
    expect(inKm.perWeek).toBeCloseTo((inHours.perWeek ?? NaN) * KM_AN_HOUR, 6);
    const rates = wearRates([job, onRoad]);
    expect(rates.map((r) => [r.meter, r.packs]).sort()).toEqual([
      ['distance', 1],
      ['hours', 1],
    ]);
    expect(machineLog([onRoad])[0]).toMatchObject({ meter: 'distance', run: 212 * KM_AN_HOUR });
    const unread = { ...onRoad, visits: [], intake: { ...job.intake } };
    expect(packLife(unread).caution).toMatch(/no disc was measured at a known meter reading/);
  });

  it('takes the disc that is thin first, not the mean', () => {
    const even = worn([
      [230, '2026-05-01', 0.02],
      [260, '2026-08-01', 0.05],
    ]);
    const thin = job.pack.plates[2]?.id ?? '';
    const uneven: Job = {
      ...even,
      pack: omit(even.pack, 'windowMin'),
      visits: even.visits.map((v, i) => ({
        ...v,
        readings: { ...v.readings, [thin]: entry(2.98 - 0.06 * (i + 1)) },
      })),
    };
    const [first] = packLife(uneven).foreseen;
    expect(first?.name).toBe('plate 3 too thin');
    expect(first?.kind).toBe('disc');
  });

  it('counts the same discs at each date: one that nobody measured is in no total', () => {
    const discs = job.pack.plates.filter((p) => p.kindId.startsWith('disc'));
    const [fresh, ...rest] = discs.map((d) => d.id);
    const half = rest.slice(0, 4);
    const partly: Job = {
      ...job,
      pack: {
        ...job.pack,
        // New, and never under a gauge: its nominal thickness is no measurement.
        plates: job.pack.plates.map((p) =>
          p.id === fresh ? { ...omit(p, 'readings'), isNew: true } : p,
        ),
      },
      visits: [0.1, 0.2].map((loss, n) => ({
        id: `v${n}`,
        date: `2026-0${n + 5}-01`,
        hours: entry(262 + 50 * n),
        readings: Object.fromEntries(half.map((id) => [id, entry(2.98 - loss)])),
        note: '',
      })),
    };
    const { pack, discs: lives, caution } = packLife(partly);
    expect(pack.discs).toBe(lives.length - 1);
    // Each of the four lost 0.1 mm in 50 h; the other three that were measured are taken to wear as they do.
    const own = lives.filter((d) => half.includes(d.plateId)).map((d) => d.line?.slope ?? NaN);
    expect(pack.line?.slope).toBeCloseTo((own.reduce((a, b) => a + b, 0) / 4) * 7, 9);
    expect(caution).toContain('Plate 1 was never measured');
  });

  it('foresees nothing from one reading where a limit is already passed, and says which', () => {
    const once: Job = {
      ...job,
      intake: omit(job.intake, 'hours'),
      pack: {
        ...job.pack,
        plates: job.pack.plates.map((p) => omit(p, 'readings')),
      },
      visits: worn([[400, '2026-05-01', 0.6]]).visits,
    };
    const { foreseen, caution } = packLife(once);
    expect(foreseen).toEqual([]);
    expect(caution).toMatch(/^No prediction from one date: a limit is already passed \(/);
  });

  it('foresees a limit sooner, never later, when a last reading shows more wear', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 0.05, noNaN: true }),
        fc.double({ min: 0.001, max: 0.05, noNaN: true }),
        (loss, more) => {
          const at = (last: number) =>
            packLife(
              worn([
                [240, '2026-06-01', loss / 2],
                [270, '2026-09-01', last],
              ]),
            ).foreseen.find((f) => f.kind === 'stackLimits')?.run ?? Infinity;
          expect(at(loss + more)).toBeLessThanOrEqual(at(loss) + 1e-9);
        },
      ),
    );
  });

  it('never throws and never says what is no number, whatever was entered', () => {
    fc.assert(
      fc.property(arbitraryJob, (any) => {
        for (const f of packLife(any).foreseen)
          expect([f.run, f.left, f.at].every(Number.isFinite)).toBe(true);
        machineLog([any]);
        for (const rate of wearRates([any])) expect(rate.perRun).toBeGreaterThan(0);
      }),
      { numRuns: 200 },
    );
  });
});

describe('the log of a machine', () => {
  it('is sorted by time over jobs and visits, with the settings', () => {
    const later: Job = {
      ...job,
      id: 'later',
      number: 'UR-0199',
      visits: [],
      createdAt: '2027-01-04T08:00:00.000Z',
      signOff: { overrides: [], revisions: [] },
    };
    const log = machineLog([later, job]);
    expect(log.map((l) => [l.kind, l.run])).toEqual([
      ['job', 212],
      ['visit', 230],
      ['visit', 253],
      ['visit', 278],
      ['job', 212],
    ]);
    expect(log[0]?.settings.freePlay).toBe(2.5);
    expect(log[3]?.settings.freePlay).toBeUndefined();
    expect(log[0]?.settings.stack).toBeCloseTo(34.2, 6);
  });

  it('compares linings by use, and says when it rests on little', () => {
    const other: Job = { ...job, id: 'other', machine: { ...job.machine, id: 'm2' } };
    const rate = wearRates([job, other, knoll()]).find((r) => r.group === 'test bench');
    expect(rate).toMatchObject({
      lining: 'paper',
      packs: 2,
      meter: 'hours',
      run: 132,
      few: false,
    });
    expect(rate?.perRun).toBeCloseTo(0.00352785 / 8, 8);
    expect(wearRates([job])[0]?.few).toBe(true);
    // Two packs are still little while both are only compared with new.
    const once = (j: Job): Job => ({ ...j, visits: [] });
    expect(wearRates([once(job), once(other)])).toMatchObject([{ packs: 2, few: true }]);
    expect(wearRates([once(job), other])).toMatchObject([{ packs: 2, few: false }]);
    // Readings of a lining on a steel do not count for the discs.
    const steelsToo = {
      ...job,
      pack: {
        ...job.pack,
        kinds: job.pack.kinds.map((k) =>
          k.lined === 'none' ? { ...k, lining: 'sintered' as const } : k,
        ),
      },
    };
    expect(wearRates([steelsToo]).map((r) => r.lining)).toEqual(['paper']);
    const mixed = {
      ...job,
      pack: {
        ...job.pack,
        kinds: job.pack.kinds.flatMap((k) =>
          k.lined === 'none' ? [k] : [k, { ...k, id: 'cork', lining: 'cork' as const }],
        ),
        plates: job.pack.plates.map((p, i) => (i === 0 ? { ...p, kindId: 'cork' } : p)),
      },
    };
    expect(wearRates([mixed])).toEqual([]);
    // Two machines of one use are two lines when machines are compared.
    const machines = wearRates([job, other], 'machine');
    expect(machines.map((r) => r.group)).toEqual(expect.arrayContaining(['Crag 400, test bench']));
    expect(machines.reduce((n, r) => n + r.packs, 0)).toBe(2);
  });
});

describe('two jobs of one machine', () => {
  /** A second job of the machine, with the plates that stayed in. */
  const second: Job = {
    ...put(measured(crag(), 0.3, '2027-03-01'), { 'intake.hours': 320 }),
    id: 'second',
    createdAt: '2027-03-01T08:00:00.000Z',
    machine: job.machine,
  };

  it('share the life of the parts that stayed in', () => {
    expect(packLife(second).pack.points).toHaveLength(1);
    const { points, line } = packLife(second, [job, second]).pack;
    expect(points.map((p) => p.run)).toEqual([212, 230, 253, 278, 320]);
    expect(line?.basis).not.toBe('new');
  });

  it('share nothing of a plate that is new since, nor with another machine', () => {
    const fresh: Job = {
      ...second,
      pack: { ...second.pack, plates: second.pack.plates.map((p) => ({ ...p, isNew: true })) },
    };
    expect(packLife(fresh, [job, fresh]).pack.points).toHaveLength(1);
    const other: Job = { ...second, machine: { ...second.machine, id: 'elsewhere' } };
    expect(packLife(other, [job, other]).pack.points).toHaveLength(1);
  });
});

describe('the change of each disc', () => {
  it('is against the return before, and the spread is between the most and the least worn', () => {
    const last = job.visits[2];
    if (!last) throw new Error('no third return');
    const [one = '', ...others] = Object.keys(last.readings);
    const uneven: Job = {
      ...job,
      visits: [
        ...without(2).visits,
        { ...last, readings: { ...last.readings, [one]: entry(2.8) } },
      ],
    };
    const changes = discChanges(uneven, last.id);
    expect(changes).toHaveLength(others.length + 1);
    expect(changes.find((c) => c.plateId === others[0])?.change).toBeCloseTo(-0.08 / 8, 12);
    const thin = changes.find((c) => c.plateId === one)?.change ?? NaN;
    expect(spreadOf(changes)).toBeCloseTo(-0.01 - thin, 12);
    expect(spreadOf(discChanges(job, 'none'))).toBeUndefined();
  });

  it('is from the thinnest reading of a disc that was read at several points', () => {
    const [first] = job.visits;
    const disc = job.pack.plates.find((p) => first?.readings[p.id]);
    const now = first?.readings[disc?.id ?? '']?.value ?? NaN;
    const readings = { 1: entry(now + 0.05), 2: entry(now + 0.01), 3: entry(now + 0.03) };
    const plates = job.pack.plates.map((p) => (p.id === disc?.id ? { ...p, readings } : p));
    const [change] = discChanges({ ...job, pack: { ...job.pack, plates } }, first?.id ?? '');
    expect(change?.change).toBeCloseTo(-0.01, 12);
  });

  it('is from new where a new disc was not read, and open where an old one was not', () => {
    const bare = crag();
    const visited: Job = { ...bare, visits: [visitOf(bare, '2026-05-01', 20, 0.1)] };
    const [first] = visited.visits;
    expect(discChanges(visited, first?.id ?? '').every((c) => c.change === undefined)).toBe(true);
    const asNew: Job = {
      ...visited,
      pack: { ...visited.pack, plates: visited.pack.plates.map((p) => ({ ...p, isNew: true })) },
    };
    expect(discChanges(asNew, first?.id ?? '')[0]?.change).toBeCloseTo(-0.1, 12);
  });
});
