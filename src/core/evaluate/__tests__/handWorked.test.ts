import fc from 'fast-check';

import { arbitraryJob } from '@/testing/arbitraryJob';
import { coilPack, diaphragmPack, figureOf, problemsAt, put, verdictOf } from '@/testing/packs';

import { alternate, blankCoilGroup } from '../../job/blank';
import { entry } from '../../job/entry';
import type { Job } from '../../job/types';
import { discSpringForce } from '../../springs/diaphragm';
import { hydraulicLift } from '../../release/train';
import { evaluate } from '../evaluate';
import { releaseBudget } from '@/core/evaluate/figures/lossFigures';
import { readSentence } from '@/core/text/sentence';
import { packModel } from '../states';

/* Figures of whole jobs worked out by hand beside the formulas of docs/mechanics.md. */

const SPRING = { outerDiameter: 108, innerDiameter: 82, thickness: 1.8, coneHeight: 3.4 };
/** What the train of the packs moves: 62/5.2·(10/27)². */
const TIPS = hydraulicLift(62, 5.2, 0, 10, 27);

describe('fingers of a diaphragm', () => {
  const fingered = put(diaphragmPack(), { 'springs.diaphragm.fingerRatio': 2.5 });

  it('lift the plate by the train’s travel at their tips ÷ their ratio', () => {
    // The published 1.979 mm at the tips of 2.5 is 0.792 mm at the plate.
    const published = put(fingered, {
      'release.masterDiameter': 27 * Math.sqrt(1.979 / (62 / 5.2)),
    });
    expect(figureOf(published, 'liftHad')).toBeCloseTo(0.7916, 4);
    expect(verdictOf(published, 'releases')).toMatchObject({ state: 'stop', title: 'Drags' });
    expect(figureOf(fingered, 'liftHad')).toBeCloseTo(TIPS / 2.5, 12);
  });

  it('are in the ratio only, not a second time in the lever force', () => {
    const x = TIPS / 2.5;
    expect(figureOf(fingered, 'overallRatio')).toBeCloseTo(62 / x, 10);
    expect(figureOf(fingered, 'leverPullFull')).toBeCloseTo(
      discSpringForce(SPRING, 3.2 + x) / ((62 / x) * 0.8),
      6,
    );
  });
});

describe('the tester and the rule', () => {
  it('keep apart: a free length by rule does not move the line through the tester’s points', () => {
    const job = coilPack();
    const tested: Job = {
      ...job,
      springs: {
        ...job.springs,
        coil: {
          ...job.springs.coil,
          seatDistance: entry(76),
          groups: [
            {
              ...blankCoilGroup('g', 'Springs'),
              count: entry(1),
              rateFrom: 'tester',
              testerPoints: [
                { id: 'a', length: entry(41.7), force: entry(102) },
                { id: 'b', length: entry(39.2), force: entry(184) },
              ],
            },
          ],
        },
      },
    };
    // 76 − 34.5 = 41.5 mm: 102 + 0.2·82/2.5 N.
    expect(figureOf(tested, 'clamp')).toBeCloseTo(102 + (0.2 * 82) / 2.5, 9);
    const ruled = put(tested, { 'springs.coil.groups.g.freeLength': 43 });
    expect(figureOf(ruled, 'clamp')).toBe(figureOf(tested, 'clamp'));
  });
});

describe('a diaphragm that lost cone', () => {
  it('has its measured cone and is deflected less by what is gone', () => {
    const sagged = put(diaphragmPack(), { 'springs.diaphragm.measuredCone': 3.1 });
    expect(figureOf(sagged, 'deflection')).toBeCloseTo(2.9, 12);
    expect(figureOf(sagged, 'clamp')).toBeCloseTo(
      discSpringForce({ ...SPRING, coneHeight: 3.1 }, 2.9),
      9,
    );
  });

  it('is asked about when it measures taller than new', () => {
    const grown = put(diaphragmPack(), { 'springs.diaphragm.measuredCone': 3.6 });
    expect(problemsAt(grown, 'springs.diaphragm.measuredCone')).toEqual([
      expect.stringMatching(/^watch: A spring can’t gain cone height/),
    ]);
  });
});

describe('the overall ratio', () => {
  const lossy = put(coilPack(), {
    'release.freePlay': 3,
    'release.stretch': 1.5,
    'release.lostTravel': 0.4,
  });
  const lost = 3 + 1.5 + 0.4 * 5.2;

  it('leaves out what is lost at the lever, so that slack makes no lever lighter', () => {
    const bare = coilPack();
    expect(figureOf(lossy, 'overallRatio')).toBeCloseTo(
      (62 - lost) / figureOf(lossy, 'liftHad'),
      10,
    );
    expect(figureOf(lossy, 'overallRatio')).toBeCloseTo(figureOf(bare, 'overallRatio'), 10);
  });

  it('turns each loss into lift, and the lines of the budget add up', () => {
    const budget = releaseBudget(lossy);
    const R = figureOf(lossy, 'overallRatio');
    expect(budget?.lines.map((l) => l.liftLost)).toEqual(
      [3, 1.5, 0.4 * 5.2].map((mm) => expect.closeTo(mm / R, 10) as number),
    );
    const sum = (budget?.lines ?? []).reduce((s, l) => s + l.liftLost, 0);
    expect(sum).toBeCloseTo((budget?.whole ?? 0) - (budget?.left ?? 0), 10);
  });

  it('changes over the stroke of an arm, with the mean over it', () => {
    const cable: Job = {
      ...coilPack(),
      release: {
        ...coilPack().release,
        type: 'cable',
        armLength: entry(32),
        lead: entry(30),
        armStart: entry(-25),
      },
    };
    expect(figureOf(cable, 'armLost')).toBeCloseTo(
      Math.cos(Math.asin(62 / 5.2 / 64)) / Math.cos((25 * Math.PI) / 180) - 1,
      9,
    );
    const at = (lift: number) => packModel(cable).at({ lift });
    const full = figureOf(cable, 'liftHad');
    expect(at(full).leverPull).toBeCloseTo(figureOf(cable, 'leverPullFull'), 9);
    // Work of the hand is that of the springs ÷ efficiency, whatever the arm does on the way.
    const steps = 4000;
    let springs = 0;
    for (let i = 0; i < steps; i++)
      springs += ((at(((i + 0.5) * full) / steps).springForce ?? 0) * full) / steps;
    const R = (lift: number) => (at(lift).springForce ?? 0) / (at(lift).leverPull ?? 1) / 0.8;
    let travel = 0;
    for (let i = 0; i < steps; i++) travel += (R(((i + 0.5) * full) / steps) * full) / steps;
    expect(springs).toBeGreaterThan(0);
    expect(travel).toBeCloseTo(62, 4);
  });
});

describe('lever pull', () => {
  it('is at its maximum at first lift past a diaphragm’s peak, and judged there', () => {
    const job = put(diaphragmPack(), { 'release.pullMax': 115 });
    const R = figureOf(job, 'overallRatio');
    expect(figureOf(job, 'leverPull')).toBeCloseTo(discSpringForce(SPRING, 3.2) / (R * 0.8), 6);
    expect(figureOf(job, 'pullLift')).toBe(0);
    expect(figureOf(job, 'leverPullFull')).toBeLessThan(figureOf(job, 'leverPull'));
    expect(verdictOf(job, 'pull')).toMatchObject({ state: 'watch', title: 'Heavy lever' });
    expect(verdictOf(job, 'pull')?.text).toContain('at 0.000 mm of lift');
  });

  it('is at its maximum at the peak within the stroke, otherwise at maximum deflection', () => {
    const early = put(diaphragmPack(), { 'springs.diaphragm.referenceDeflection': 1.5 });
    expect(figureOf(early, 'pullLift')).toBeCloseTo(2.0987 - 1.5, 3);
    expect(figureOf(coilPack(), 'pullLift')).toBe(figureOf(coilPack(), 'liftHad'));
    expect(figureOf(coilPack(), 'leverPull')).toBe(figureOf(coilPack(), 'leverPullFull'));
  });

  it('carries the weights of an assist as they turn, and not at rest', () => {
    const job: Job = {
      ...coilPack(),
      assist: {
        type: 'levers',
        count: entry(6),
        mass: entry(0.011),
        radius: entry(47),
        leverRatio: entry(2),
      },
    };
    const model = packModel(job);
    const lift = figureOf(job, 'liftHad');
    const weights = (rpm: number) => 6 * 0.011 * 0.047 * ((rpm / 2.5 / 30) * Math.PI) ** 2 * 2;
    const R = figureOf(job, 'overallRatio');
    expect(model.at({ lift, rpm: 5390 }).assist).toBeCloseTo(weights(5390), 9);
    expect(
      (model.at({ lift, rpm: 5390 }).leverPull ?? 0) - (model.at({ lift }).leverPull ?? 0),
    ).toBeCloseTo(weights(5390) / (R * 0.8), 9);
    // Without a curve the engine’s torque is known at its own speed alone.
    expect(model.at({ rpm: 3000 }).reserve).toBeUndefined();
    expect(model.at().reserve).toBeUndefined();
    expect(model.at({ rpm: 6500 }).reserve?.typical).toBeCloseTo(
      figureOf(job, 'reserveWithTangs'),
      9,
    );
  });
});

describe('a start', () => {
  const duty = {
    'duty.mass': 220,
    'duty.wheelRadius': 310,
    'duty.gearRatio': 9,
    'duty.startRpm': 3500,
    'duty.engineInertia': 0.006,
    'duty.throttle': 0.5,
    'duty.letOut': 1,
  };

  it('that locks is hotter by what the tangs hold back', () => {
    const job = put(coilPack(), duty);
    const free = put(job, { 'pack.tangFriction': 0 });
    expect(figureOf(job, 'startHeat')).toBeGreaterThan(figureOf(free, 'startHeat'));
    expect(verdictOf(job, 'heat')).toBeUndefined();
  });

  it('that never locks has no heat, and stops with its reason', () => {
    const hill = put(coilPack(), {
      ...duty,
      'duty.grade': 1.5,
      'duty.gearRatio': 1.2,
      'engine.peakTorque': 400,
    });
    expect(evaluate(hill).figures.get('startHeat')?.status).toBe('unknown');
    expect(evaluate(hill).figures.get('steelRise')?.status).toBe('unknown');
    expect(verdictOf(hill, 'heat')).toMatchObject({ state: 'stop' });
    expect(verdictOf(hill, 'heat')?.text).toContain('the clutch never locks');
  });

  it('that pulls the engine below idle is a stall', () => {
    const low = put(coilPack(), { ...duty, 'duty.startRpm': 1600, 'duty.throttle': 0.05 });
    expect(verdictOf(low, 'heat')?.text).toContain('below idle');
    expect(evaluate(low).overall.state).toBe('stop');
  });
});

describe('a shoe clutch on the input', () => {
  it('is asked for what the primary lets through', () => {
    const job: Job = {
      ...coilPack(),
      startClutch: {
        place: 'input',
        shoes: entry(5),
        mass: entry(0.09),
        radius: entry(45),
        springPull: entry(80),
        drumRadius: entry(57),
        friction: entry(0.12),
      },
    };
    const lossy = put(job, { 'engine.primaryEfficiency': 0.9 });
    const speed = (j: Job) => figureOf(j, 'startHolding');
    const push = (torque: number) => (torque * 1000) / (5 * 0.12 * 57) + 80;
    expect(speed(lossy) / speed(job)).toBeCloseTo(Math.sqrt(push(90) / push(100)), 9);
  });
});

describe('what is a stop', () => {
  it('is a spring that turns through, or is pressed beyond its cone', () => {
    const thin = put(diaphragmPack(), {
      'springs.diaphragm.thickness': 1.1,
      'springs.diaphragm.referenceDeflection': 3.6,
      'release.masterDiameter': 11,
    });
    expect(problemsAt(thin, 'springs.diaphragm.referenceDeflection').join()).toContain(
      'snaps through',
    );
    const deep = put(diaphragmPack(), { 'springs.diaphragm.referenceDeflection': 6 });
    expect(problemsAt(deep, 'springs.diaphragm.referenceDeflection').join()).toContain(
      'more than its cone of 3.400 mm allows',
    );
    for (const job of [thin, deep]) expect(evaluate(job).overall.state).toBe('stop');
  });

  it('is one spring type that is loose beside others under load', () => {
    const job = coilPack();
    const [group] = job.springs.coil.groups;
    if (!group) throw new Error('no springs');
    const mixed: Job = {
      ...job,
      springs: {
        ...job.springs,
        coil: {
          ...job.springs.coil,
          groups: [group, { ...group, id: 'h', name: 'Short', freeLength: entry(28) }],
        },
      },
    };
    expect(problemsAt(mixed, 'springs.coil.groups.h.freeLength')).toEqual([
      'stop: These springs are loose in their seats: fitted length 1.000 mm longer than free.',
    ]);
    expect(verdictOf(mixed, 'holds')?.state).toBe('unknown');
    expect(evaluate(mixed).overall).toMatchObject({ state: 'stop', title: 'Do not build' });
  });

  it('is a ring that holds other springs than are counted', () => {
    const job = coilPack();
    const ringed: Job = {
      ...job,
      springs: {
        ...job.springs,
        coil: { ...job.springs.coil, ringRadius: entry(38), ring: ['g', 'g', 'g', 'g'] },
      },
    };
    expect(problemsAt(ringed, 'springs.coil.groups.g.count')).toEqual([
      expect.stringContaining('The ring has 4 of Springs, but 5 are entered'),
    ]);
  });

  it('never occurs together with an OK verdict for reserve or release, in any job', () => {
    fc.assert(
      fc.property(arbitraryJob, (job) => {
        const { problems, verdicts, overall } = evaluate(job);
        if (!problems.some((p) => p.state === 'stop')) return;
        expect(verdicts.filter((v) => v.state === 'good').map((v) => v.id)).not.toContain('holds');
        expect(verdicts.filter((v) => v.state === 'good').map((v) => v.id)).not.toContain(
          'releases',
        );
        expect(overall.state).toBe('stop');
      }),
      { numRuns: 300 },
    );
  });
});

describe('what no machine has', () => {
  it.each([
    ['engine.primaryRatio', { 'engine.primaryRatio': 0.38 }, /^watch: .*Did you mean 2\.63/],
    ['pack.windowMax', { 'pack.windowMin': 36 }, /^stop: The limits are reversed/],
    ['setting.freePlayMax', { 'setting.freePlayMin': 4, 'setting.freePlayMax': 2 }, /reversed/],
    ['pack.kinds.disc.tangRadius', { 'pack.kinds.disc.tangRadius': 50 }, /^stop: The tangs reach/],
    [
      'pack.kinds.steel.tangRadius',
      { 'pack.kinds.steel.tangRadius': 50 },
      /^stop: The tangs reach/,
    ],
  ])('is asked about or refused at %s', (path, values, words) => {
    expect(problemsAt(put(coilPack(), values), path)).toEqual([expect.stringMatching(words)]);
  });

  it('is a ramp of next to nothing, a drum inside its shoes, a pack of discs alone', () => {
    const job = coilPack();
    const balls: Job = { ...job, assist: { type: 'balls', rampAngle: entry(1e-6) } };
    expect(problemsAt(balls, 'assist.rampAngle')).toEqual([expect.stringMatching(/^stop: A ramp/)]);
    const drum: Job = {
      ...job,
      startClutch: { place: 'crank', radius: entry(45), drumRadius: entry(40) },
    };
    expect(problemsAt(drum, 'startClutch.drumRadius')).toEqual([
      expect.stringMatching(/^stop: The shoe’s centre of mass/),
    ]);
    const alone: Job = {
      ...job,
      pack: { ...job.pack, plates: job.pack.plates.filter((p) => p.kindId === 'disc') },
    };
    expect(problemsAt(alone, 'pack.plates').join()).toContain('its 8 discs turn together');
  });
});

describe('lift all round', () => {
  const dial = (...lifts: readonly number[]): Job => ({
    ...coilPack(),
    release: {
      ...coilPack().release,
      type: 'measured',
      liftReadings: lifts.map((lift, i) => ({
        id: `r${i}`,
        angle: entry((360 * i) / lifts.length),
        lift: entry(lift),
      })),
    },
  });

  it('gives the tilt as a dial shows it across, and as amplitude: the published case', () => {
    const job = dial(1.62, 1.21, 1.49);
    expect(figureOf(job, 'liftTilt')).toBeCloseTo(0.2419, 4);
    expect(figureOf(job, 'liftAcross')).toBeCloseTo(2 * 0.2419, 3);
    // Three readings lie in their plane: there is no residual to show.
    expect(evaluate(job).figures.has('liftResidual')).toBe(false);
    expect(verdictOf(job, 'even')?.text).toContain(
      'A dial shows 0.484 mm across the plate (± 0.242 mm',
    );
  });

  it('distinguishes a bent plate from a tilted one, and both from a plate that does not lift', () => {
    const bent = dial(1.7, 1.4, 1.7, 1.4);
    expect(figureOf(bent, 'liftResidual')).toBeCloseTo(0.15, 9);
    expect(verdictOf(bent, 'even')).toMatchObject({ state: 'watch', title: 'Pressure plate bent' });
    expect(verdictOf(dial(1.7, 1.55, 1.4, 1.55), 'even')?.title).toBe('Lifts evenly enough');
    expect(verdictOf(dial(0, 0, 0), 'even')).toMatchObject({
      state: 'stop',
      title: 'Does not lift',
    });
    expect(verdictOf(dial(1.5, 1.5, 1.5), 'even')?.text).toBe(
      'The plate lifts 1.500 mm all round.',
    );
  });
});

describe('hold at full lift', () => {
  it('is asked of discs in the basket’s fingers as of steels on the spline', () => {
    // The outermost disc begins at 31.5 mm and lifts by 1.635.
    const job = put(coilPack(), { 'pack.fingerLength': 35 });
    expect(figureOf(job, 'basketRetention')).toBeCloseTo((35 - 31.5 - TIPS) / 3, 9);
    expect(verdictOf(job, 'basketRetention')).toMatchObject({ state: 'good' });
    const short = put(coilPack(), { 'pack.fingerLength': 33 });
    expect(verdictOf(short, 'basketRetention')?.text).toContain('-5 %');
    expect(figureOf(short, 'basketRetention')).toBeCloseTo((33 - 31.5 - TIPS) / 3, 9);
    expect(problemsAt(short, 'pack.fingerLength').join()).toContain('off the basket’s fingers');
  });
});

describe('what the lever teaches', () => {
  const auto: Job = put(
    {
      ...coilPack(),
      expanding: { fitted: true, growth: entry(1.4) },
      setting: { ...coilPack().setting, readings: [] },
    },
    {
      'setting.pitch': 1,
      'setting.marksPerTurn': 8,
      'setting.installGap': 1,
      'setting.targetGain': 10,
    },
  );
  const read = (...readings: readonly (readonly [turns: number, gain: number])[]): Job => ({
    ...auto,
    setting: {
      ...auto.setting,
      readings: readings.map(([turns, gain], i) => ({
        id: `g${i}`,
        turns: entry(turns),
        gain: entry(gain),
      })),
    },
  });

  it('is nothing from two settings closer than half a mark', () => {
    expect(evaluate(read([1, 22], [1.06, 20])).figures.has('ownRatio')).toBe(false);
    expect(figureOf(read([1, 22], [1.0625, 20]), 'ownRatio')).toBeCloseTo(32, 9);
  });

  it('is asked about where it is far from the train’s', () => {
    expect(figureOf(auto, 'overallRatio')).toBeCloseTo(62 / TIPS, 9);
    expect(verdictOf(read([1, 22], [1.5, 4]), 'ownRatio')).toBeUndefined();
    expect(verdictOf(read([1, 22], [1.25, 20]), 'ownRatio')).toMatchObject({ state: 'watch' });
  });

  it('holds the gap that was entered against the adjuster’s', () => {
    const job = put(auto, {
      'setting.installGap': 0.6,
      'setting.turnsOut': 1,
      'setting.marksOut': 1,
    });
    expect(verdictOf(job, 'gapWays')).toMatchObject({ state: 'watch' });
    expect(verdictOf(job, 'gapWays')?.text).toContain('by the value entered 0.600 mm');
  });
});

describe('workings and verdicts in the builder’s units', () => {
  it('say their amounts in inches to four decimals', () => {
    const f = evaluate(diaphragmPack()).figures.get('leverPull');
    const note = f?.status === 'known' ? (f.working.notes[0] ?? []) : [];
    expect(readSentence(note, { length: 'in' })).toBe('Highest at a lift of 0.0000 in.');
    expect(verdictOf(coilPack(), 'releases', { length: 'in' })?.text).toMatch(
      /^Lift 0\.\d{4} in, /,
    );
  });

  it('equal the figures that they name', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 20, max: 90, noNaN: true }),
        fc.double({ min: 30, max: 90, noNaN: true }),
        fc.double({ min: 60, max: 66, noNaN: true }),
        fc.boolean(),
        (peakTorque, leverTravel, seat, pressed) => {
          const job = put(pressed ? diaphragmPack() : coilPack(), {
            'engine.peakTorque': peakTorque,
            'release.leverTravel': leverTravel,
            'springs.coil.seatDistance': seat,
            'pack.splineLength': 34,
          });
          const { verdicts, figures } = evaluate(job);
          const entries = [peakTorque, leverTravel, seat, 34, 34.5, 35, 34, 140, 0.6, 1.1];
          for (const { id, sentence, figures: named } of verdicts) {
            const own = named.flatMap((name) => {
              const f = figures.get(name);
              return f?.status === 'known'
                ? [f.value, ...(f.range ? [f.range.low, f.range.high] : [])]
                : [];
            });
            const all = [...own, ...entries];
            for (const part of sentence) {
              if (typeof part === 'string' || part.quantity === 'count') continue;
              const near = (value: number) => Math.abs(Math.abs(value) - part.value) < 1e-6;
              const reported =
                all.some(near) || all.some((a) => all.some((b) => near(a - b))) || near(0.5);
              expect([id, part.value, reported || near(Math.max(0.5, 0.1 * leverTravel))]).toEqual([
                id,
                part.value,
                true,
              ]);
            }
          }
        },
      ),
      { numRuns: 100 },
    );
  });

  it('count the faces that are there, for any number of discs', () => {
    for (const n of [1, 2, 11]) {
      const job: Job = {
        ...coilPack(),
        pack: {
          ...coilPack().pack,
          plates: alternate('disc', 'steel', n, 'friction', (i) => `p${i}`),
        },
      };
      expect(figureOf(job, 'faces')).toBe(2 * n);
    }
  });
});
