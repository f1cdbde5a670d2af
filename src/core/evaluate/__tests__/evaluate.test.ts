import { crag, fen, jobsOfEachKind, measured, scree } from '@/testing/jobs';
import fc from 'fast-check';

import { arbitraryJob } from '@/testing/arbitraryJob';

import { alternate, blankJob, blankKind } from '../../job/blank';
import { entry } from '../../job/entry';
import { withEntry } from '../../job/paths';
import type { Job, PlateKind } from '../../job/types';
import { evaluate } from '../evaluate';
import type { Figure, FigureId, Outcome } from '@/core/evaluate/engine/figure';
import { readSentence } from '@/core/text/sentence';

const disc: PlateKind = {
  ...blankKind('disc', 'friction', 'Disc'),
  thickness: entry(3),
  outerRadius: entry(58.5),
  innerRadius: entry(46.5),
  tangRadius: entry(61),
};
const bore: PlateKind = { ...disc, id: 'bore', name: 'Large bore', innerRadius: entry(50.5) };
const steel: PlateKind = {
  ...blankKind('steel', 'steel', 'Steel'),
  thickness: entry(1.5),
  tangRadius: entry(43),
};

/** A reason, or nothing but numbers, and a range the right way round. */
function isSound(f: Outcome): boolean {
  if (f.status === 'unknown') return f.reason !== '';
  const { low, high } = f.range ?? { low: 0, high: 0 };
  return (
    [f.value, low, high, ...f.working.inputs.map((i) => i.value)].every(Number.isFinite) &&
    low <= high
  );
}

/** The published pack, 8 discs and 7 steels under 1600 N, as a job record. */
function publishedJob(): Job {
  const job = blankJob('j', 'UR-0001', '2026-01-01T00:00:00.000Z');
  const plates = alternate('disc', 'steel', 8, 'friction', (n) => `p${n}`).map((p, i) =>
    i === 0 ? { ...p, kindId: 'bore' } : p,
  );
  // Stack 8·3 + 7·1.5 = 34.5; springs 5 × 20 N/mm, 45 free, 29 in place: 1600 N.
  return {
    ...job,
    engine: { peakTorque: entry(40), primaryRatio: entry(2.5), primaryEfficiency: entry(1) },
    pack: {
      ...job.pack,
      kinds: [disc, bore, steel],
      plates,
      windowMin: entry(34),
      windowMax: entry(35),
      tangFriction: entry(0.06),
    },
    springs: {
      ...job.springs,
      coil: {
        ring: [],
        seatDistance: entry(63.5),
        groups: [
          {
            id: 'g',
            name: 'Springs',
            count: entry(5),
            rateFrom: 'rate',
            rate: entry(20),
            freeLength: entry(45),
            solidLength: entry(22),
            testerPoints: [],
          },
        ],
      },
    },
    release: {
      type: 'hydraulic',
      liftReadings: [],
      leverTravel: entry(62),
      leverRatio: entry(5.2),
      lostTravel: entry(0.4),
      masterDiameter: entry(9.5),
      slaveDiameter: entry(27),
      efficiency: entry(0.8),
      faceClearance: entry(0.08),
    },
  };
}

function figure(job: Job, id: FigureId): Figure {
  const outcome = evaluate(job).figures.get(id);
  if (outcome?.status !== 'known') throw new Error(`${id}: ${outcome?.reason}`);
  return outcome;
}

describe('evaluate', () => {
  it('works the published pack out, from plates to reserve', () => {
    const job = publishedJob();
    expect(figure(job, 'stack').value).toBeCloseTo(34.5, 10);
    expect(figure(job, 'faces').value).toBe(16);
    expect(figure(job, 'installedLength').value).toBeCloseTo(29, 10);
    expect(figure(job, 'clamp').value).toBeCloseTo(1600, 8);
    expect(figure(job, 'torqueAtClutch').value).toBe(100);
    expect(figure(job, 'capacity').value).toBeCloseTo(162.048, 3);
    expect(figure(job, 'capacityWithTangs').value).toBeCloseTo(145.272, 3);
    expect(figure(job, 'reserveWithTangs').value).toBeCloseTo(1.45272, 5);
    expect(figure(job, 'liftHad').value).toBeCloseTo(1.4266, 4);
    expect(figure(job, 'liftNeeded').value).toBeCloseTo(1.28, 10);
    expect(figure(job, 'clearancePerFace').value).toBeCloseTo(1.4266 / 16, 5);
    // 100 N/mm · (45 − 29 + 1.4266) = 1742.66 N over a ratio of 62/1.4266 and 0.8
    expect(figure(job, 'releaseForce').value).toBeCloseTo(1742.66, 1);
    // Lost travel moves nothing: 62 − 0.4·5.2 = 59.92 mm of the lever do.
    expect(figure(job, 'overallRatio').value).toBeCloseTo(59.92 / 1.426611, 2);
    expect(figure(job, 'leverPull').value).toBeCloseTo(1742.66 / (59.92 / 1.42661) / 0.8, 2);
    expect(figure(job, 'leverPullFull').value).toBeCloseTo(figure(job, 'leverPull').value, 9);
    expect(figure(job, 'coilClearance').value).toBeCloseTo(29 - 1.4266 - 22, 4);
    expect(evaluate(job).overall).toMatchObject({ state: 'good', title: 'Holds and releases' });
  });

  it('ranges from low to high friction and takes the weakest for the verdict', () => {
    const reserve = figure(publishedJob(), 'reserve');
    expect(reserve.range?.low).toBeCloseTo((1.62048 * 0.1) / 0.12, 5);
    expect(reserve.range?.high).toBeCloseTo((1.62048 * 0.14) / 0.12, 5);
    const weak = evaluate(withEntry(publishedJob(), 'engine.peakTorque', entry(46)));
    expect(weak.overall).toMatchObject({ state: 'watch', title: 'Low torque reserve' });
    expect(readSentence(weak.overall.sentence)).toMatch(
      /^1\.07 × peak torque at worst-case friction/,
    );
    const slips = evaluate(withEntry(publishedJob(), 'engine.peakTorque', entry(60)));
    expect(slips.overall).toMatchObject({ state: 'stop', title: 'Slips' });
  });

  it('names what is missing and still works out the rest', () => {
    const { figures, overall } = evaluate(
      withEntry(publishedJob(), 'release.leverRatio', undefined),
    );
    const lift = figures.get('liftHad');
    expect(lift).toMatchObject({ status: 'unknown', reason: 'Lever ratio is needed for lift.' });
    expect(lift?.status === 'unknown' && lift.needs[0]?.path).toBe('release.leverRatio');
    expect(figures.get('reserveWithTangs')?.status).toBe('known');
    expect(overall).toMatchObject({ state: 'unknown', title: 'Not judged' });
  });

  it('marks assumed values at any depth, and nothing else', () => {
    const job = publishedJob();
    expect(figure(job, 'stack').estimated).toBe(false);
    expect(figure(job, 'clamp').estimated).toBe(false);
    expect(figure(job, 'capacity').estimated).toBe(true);
    const inputs = figure(withEntry(job, 'pack.tangFriction', undefined), 'capacityWithTangs')
      .working.inputs;
    expect(inputs.find((i) => i.symbol === 'μ_t')).toMatchObject({
      value: 0.06,
      source: { kind: 'estimate' },
    });
  });

  it('explains every figure by inputs with a unit and a source', () => {
    for (const outcome of evaluate(publishedJob()).figures.values()) {
      if (outcome.status !== 'known') continue;
      expect(outcome.working.formula).not.toBe('');
      expect(outcome.working.section).toBeGreaterThan(0);
      for (const input of outcome.working.inputs) {
        expect(input.label).not.toBe('');
        expect(Number.isFinite(input.value)).toBe(true);
      }
    }
  });

  it.each(jobsOfEachKind().map((job) => [job.number, job] as const))(
    'lists for %s what each figure rests on, every row another',
    (_number, job) => {
      for (const [id, outcome] of evaluate(job).figures) {
        if (outcome.status !== 'known' || id === 'faces') continue;
        const rows = outcome.working.inputs.map((i) => `${id}: ${i.symbol} ${i.label}`);
        expect(rows.length).toBeGreaterThan(0);
        expect(new Set(rows).size).toBe(rows.length);
      }
    },
  );

  it('distinguishes assumed from entered values', () => {
    const inputs = figure(scree(), 'liftHad').working.inputs;
    const absent = inputs.filter((i) => i.absent).map((i) => i.symbol);
    expect(absent.sort()).toEqual(['q', 's_a', 's_e', 's_f', 's_p']);
    expect(inputs.find((i) => i.symbol === 's_L')).not.toHaveProperty('absent');
  });

  it('works the thinnest disc and the wear out of what was measured', () => {
    const thin = figure(measured(crag(), 0.02), 'thinnestLeft');
    const by = (symbol: string) => thin.working.inputs.find((i) => i.symbol === symbol)?.value;
    expect(thin.value).toBeCloseTo((by('t') ?? NaN) - (by('t_min') ?? NaN), 12);
    const wear = figure(measured(crag(), 0.02), 'packWear');
    const rows = wear.working.inputs;
    const worn = rows
      .filter((i) => /^t\d/.test(i.symbol))
      .map((i) => {
        const kind = rows.find(
          (r) => r.symbol === 't_new' && i.label.includes(r.label.slice(0, -5)),
        );
        return (kind?.value ?? NaN) - i.value;
      });
    expect(worn).toHaveLength(15);
    expect(wear.value).toBeCloseTo(
      worn.reduce((a, b) => a + b, 0),
      9,
    );
  });

  it('counts a steel without radii as wide as the widest lining it rubs on, whichever disc comes first', () => {
    const job = withEntry(crag(), 'pack.tangFriction', entry(0));
    const turned: Job = {
      ...job,
      pack: { ...job.pack, plates: [...job.pack.plates].reverse() },
    };
    // Seven steels of 1.5 mm between 58.5 and 46.5 mm, 7850 kg/m³: 0.3262 kg of 490 J/(kg·K).
    const mass = (7 * 1.5 * Math.PI * (58.5 ** 2 - 46.5 ** 2) * 7850) / 1e9;
    expect(figure(job, 'steelRise').value).toBeCloseTo(
      figure(job, 'startHeat').value / (mass * 490),
      1,
    );
    // What the tangs hold back makes the start longer and hotter.
    const held = figure(job, 'steelRise').value;
    expect(figure(crag(), 'steelRise').value).toBeGreaterThan(held);
    expect(figure(turned, 'steelRise').value).toBeCloseTo(figure(job, 'steelRise').value, 6);
  });

  it('knows when shoes and a disc touch from what that rests on alone', () => {
    const farm = fen();
    const shoes = withEntry(
      withEntry(farm, 'startClutch.drumRadius', undefined),
      'startClutch.shoes',
      undefined,
    );
    expect(figure(shoes, 'startContact')).toMatchObject({
      value: figure(farm, 'startContact').value,
      estimated: false,
    });
    expect(evaluate(shoes).figures.get('startHolding')?.status).toBe('unknown');
    const quad = scree();
    const loose: Job = { ...quad, springs: blankJob('j', 'UR-1', quad.createdAt).springs };
    expect(figure(loose, 'expandContact').value).toBe(figure(quad, 'expandContact').value);
    expect(evaluate(loose).figures.get('expandLockUp')?.status).toBe('unknown');
  });

  it('shows a contradiction at its field and leaves the other figures alone', () => {
    const job = withEntry(publishedJob(), 'pack.kinds.disc.innerRadius', entry(60));
    const { figures, problems } = evaluate(job);
    expect(problems).toContainEqual(
      expect.objectContaining({ path: 'pack.kinds.disc.innerRadius', state: 'stop' }),
    );
    expect(figures.get('capacity')?.status).toBe('unknown');
    expect(figures.get('clamp')?.status).toBe('known');
    expect(figures.get('leverPull')?.status).toBe('known');
  });

  it('finds a stack outside its window, springs that go solid, springs that stand loose', () => {
    const tall = evaluate(withEntry(publishedJob(), 'pack.windowMax', entry(34.2)));
    expect(tall.overall).toMatchObject({ state: 'stop', title: 'Stack too tall' });
    expect(readSentence(tall.overall.sentence)).toContain('0.300 mm');
    expect(readSentence(tall.overall.sentence, { length: 'thou' })).toContain('11.8 thou');
    const solid = evaluate(
      withEntry(publishedJob(), 'springs.coil.groups.g.solidLength', entry(28)),
    );
    expect(solid.overall).toMatchObject({ state: 'stop', title: 'Coil bind' });
    const loose = evaluate(withEntry(publishedJob(), 'springs.coil.seatDistance', entry(90)));
    expect(loose.verdicts.find((v) => v.id === 'holds')).toMatchObject({
      state: 'stop',
      title: 'No clamp',
    });
  });

  it('takes the means of measured plates and the worn spring length they leave', () => {
    const job = publishedJob();
    const worn: Job = {
      ...job,
      pack: {
        ...job.pack,
        plates: job.pack.plates.map((p) =>
          p.kindId === 'steel' ? p : { ...p, readings: { '1': entry(2.89), '2': entry(2.91) } },
        ),
      },
    };
    expect(figure(worn, 'stack').value).toBeCloseTo(34.5 - 0.8, 10);
    expect(figure(worn, 'clamp').value).toBeCloseTo(1600 - 80, 8);
  });

  it('lets the demo jobs of this slice hold and release', () => {
    for (const job of [crag(), crag()])
      expect([job.number, evaluate(job).overall.state]).toEqual([job.number, 'good']);
  });

  it('never throws and never gives NaN or infinity for any job that the schema takes, and is pure', () => {
    fc.assert(
      fc.property(arbitraryJob, (job) => {
        const before = JSON.stringify(job);
        const first = evaluate(job);
        // Gathered and expected once: an expectation for each number takes longer than the evaluation.
        expect([...first.figures].filter(([, f]) => !isSound(f))).toEqual([]);
        for (const v of [first.overall, ...first.verdicts])
          expect(readSentence(v.sentence)).not.toMatch(/NaN|Infinity|undefined/);
        expect(JSON.stringify([...evaluate(job).figures])).toBe(JSON.stringify([...first.figures]));
        expect(JSON.stringify(job)).toBe(before);
      }),
      { numRuns: 300 },
    );
  });

  it('says so for a pack without plates', () => {
    const { overall, figures } = evaluate(blankJob('b', 'UR-1', '2026-01-01T00:00:00.000Z'));
    expect(overall).toMatchObject({ state: 'unknown', title: 'Not judged' });
    expect(figures.get('stack')).toMatchObject({
      status: 'unknown',
      reason: 'A plate is needed for stack height.',
    });
  });
});
