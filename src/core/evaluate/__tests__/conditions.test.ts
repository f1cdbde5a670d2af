import { crag } from '@/testing/jobs';
import { put } from '@/testing/packs';

import { blankJob } from '../../job/blank';
import { entry } from '../../job/entry';
import type { Job } from '../../job/types';
import { armStroke } from '../../release/arm';
import { hydraulicLift } from '../../release/train';
import { evaluate } from '../evaluate';
import type { FigureId } from '@/core/evaluate/engine/figure';
import { releaseBudget } from '@/core/evaluate/figures/lossFigures';
import { readSentence } from '@/core/text/sentence';
import { packModel } from '../states';
import { torqueAt } from '../reserveCurve';

const cable = crag();

function known(job: Job, id: FigureId): number {
  const f = evaluate(job).figures.get(id);
  if (f?.status !== 'known') throw new Error(`${id}: ${f?.reason ?? 'absent'}`);
  return f.value;
}
const verdict = (job: Job, id: string) => evaluate(job).verdicts.find((v) => v.id === id);
const sentence = (job: Job, id: string) => readSentence(verdict(job, id)?.sentence ?? []);

describe('oil', () => {
  it('leaves seven tenths of the friction when it is friction-modified, and says so', () => {
    const plain = put(cable, { 'pack.tangFriction': 0 });
    const wrong: Job = { ...plain, intake: { ...plain.intake, oil: 'frictionModified' } };
    expect(known(wrong, 'reserve') / known(plain, 'reserve')).toBeCloseTo(0.7, 12);
    expect(verdict(wrong, 'oil')?.state).toBe('watch');
    expect(verdict(plain, 'oil')).toBeUndefined();
    const inputs = evaluate(wrong).figures.get('capacity');
    expect(inputs?.status === 'known' && inputs.estimated).toBe(true);
  });
});

describe('caliper over the pack', () => {
  it('agrees, reads more, or reads less than the plates', () => {
    const stack = known(cable, 'stack');
    expect(verdict(cable, 'caliper')).toBeUndefined();
    for (const [off, state, title] of [
      [0.15, 'good', 'agree'],
      [0.16, 'watch', 'above'],
      [-0.16, 'watch', 'below'],
    ] as const) {
      const job = put(cable, { 'pack.caliper': stack + off });
      expect(verdict(job, 'caliper')).toMatchObject({ state });
      expect(verdict(job, 'caliper')?.title).toContain(title);
    }
    expect(
      verdict(put(cable, { 'pack.caliper': stack + 0.3, 'pack.caliperAllowance': 0.4 }), 'caliper')
        ?.state,
    ).toBe('good');
  });
});

/** The published hydraulic train: 62 mm, 5.2, lost 0.4, 9.5 and 27 mm lift 1.4266 mm. */
const hydraulic: Job = put(
  { ...cable, release: { type: 'hydraulic', liftReadings: [] } },
  {
    'release.leverTravel': 62,
    'release.leverRatio': 5.2,
    'release.lostTravel': 0.4,
    'release.masterDiameter': 9.5,
    'release.slaveDiameter': 27,
  },
);

describe('what is lost on the way', () => {
  it('takes losses off the lever, then divides by a reduced-effort part', () => {
    expect(known(hydraulic, 'liftHad')).toBeCloseTo(1.4266, 4);
    const lossy = put(hydraulic, {
      'release.freePlay': 4,
      'release.air': 2.5,
      'release.reducedEffort': 1.25,
    });
    expect(known(lossy, 'liftHad')).toBeCloseTo(hydraulicLift(55.5, 5.2, 0.4, 9.5, 27) / 1.25, 12);
    expect(known(lossy, 'liftLost')).toBeCloseTo(
      hydraulicLift(62, 5.2, 0, 9.5, 27) - known(lossy, 'liftHad'),
      12,
    );
  });

  it('lists each loss, and the losses add up', () => {
    const lossy = put(hydraulic, {
      'release.freePlay': 4,
      'release.stretch': 1,
      'release.pivotWear': 1.5,
      'release.air': 2.5,
      'release.reducedEffort': 1.2,
    });
    const budget = releaseBudget(lossy);
    expect(budget?.lines.map((l) => l.name)).toEqual([
      'Free play',
      'Stretch',
      'Worn pivots',
      'Air in the line',
      'Lost piston travel',
      'Reduced-effort part',
    ]);
    const lost = budget?.lines.reduce((sum, l) => sum + l.liftLost, 0) ?? 0;
    expect(lost).toBeCloseTo((budget?.whole ?? 0) - (budget?.left ?? 0), 12);
    expect(budget?.left).toBeCloseTo(known(lossy, 'liftHad'), 12);
    // By this train as it is, the reduced-effort part of 1.2 in it.
    expect(budget?.lines[0]?.liftLost).toBeCloseTo(((4 / 5.2) * (9.5 / 27) ** 2) / 1.2, 12);
    expect(releaseBudget({ ...hydraulic, release: { type: 'measured', liftReadings: [] } })).toBe(
      undefined,
    );
  });

  it('counts the arm’s angle, and names the best start', () => {
    const job = put(
      { ...cable, release: { type: 'cable', liftReadings: [] } },
      {
        'release.leverTravel': 60,
        'release.leverRatio': 5,
        'release.cableSlack': 2,
        'release.armLength': 32,
        'release.lead': 30,
      },
    );
    expect(known(job, 'liftHad')).toBeCloseTo(1.4921, 4);
    const turned = put(job, { 'release.armStart': 20 });
    expect(known(turned, 'liftHad')).toBeCloseTo(armStroke(10, 32, 30, 20).lift, 12);
    expect(known(turned, 'armBestStart')).toBeCloseTo((-Math.asin(10 / 64) * 180) / Math.PI, 10);
    // What is lost at the lever never comes to the cable.
    const loose = put(turned, { 'release.freePlay': 5 });
    expect(known(loose, 'armBestStart')).toBeCloseTo((-Math.asin(9 / 64) * 180) / Math.PI, 10);
    expect(releaseBudget(turned)?.lines.map((l) => l.name)).toEqual([
      'Cable slack',
      'Angle of the arm',
    ]);
  });
});

describe('dial readings round the plate', () => {
  const dial = (...readings: readonly (readonly [number, number])[]): Job => ({
    ...hydraulic,
    release: {
      ...hydraulic.release,
      type: 'measured',
      liftReadings: readings.map(([angle, lift], i) => ({
        id: `r${i}`,
        angle: entry(angle),
        lift: entry(lift),
      })),
    },
  });

  it('give mean, tilt and least lift of the published plane', () => {
    const job = dial([0, 1.62], [120, 1.21], [240, 1.49]);
    expect(known(job, 'liftHad')).toBeCloseTo(1.44, 12);
    expect(known(job, 'liftTilt')).toBeCloseTo(0.2419, 4);
    expect(known(job, 'liftLeast')).toBeCloseTo(1.44 - 0.2419, 4);
  });

  it('tell a plate that lifts on one side although it lifts enough on average', () => {
    const job = put(dial([0, 2.3], [120, 1.6], [240, 1.6]), { 'release.faceClearance': 0.1 });
    expect(verdict(job, 'releases')?.state).toBe('good');
    expect(verdict(job, 'even')).toMatchObject({ state: 'stop', title: 'Lifts unevenly' });
    expect(sentence(job, 'even')).toContain('Remove the springs');
  });

  it('call no lift uneven that is short all round, and one that is both by its own share', () => {
    const short = put(dial([0, 1.42], [120, 1.4], [240, 1.41]), { 'release.requiredLift': 1.7 });
    expect(verdict(short, 'releases')?.state).not.toBe('good');
    expect(verdict(short, 'even')).toMatchObject({ state: 'good', title: 'Lifts evenly' });
    // Two hundredths are no tilt, wherever the required lift is.
    const near = put(dial([0, 1.2], [120, 1.22], [240, 1.21]), { 'release.requiredLift': 1.2 });
    expect(verdict(near, 'even')?.state).toBe('good');
    const both = put(dial([0, 1.6], [120, 1], [240, 1.1]), { 'release.requiredLift': 1.7 });
    expect(verdict(both, 'even')).toMatchObject({ state: 'watch', title: 'Lifts unevenly' });
  });

  it('say that two angles fix no plane', () => {
    const job = dial([0, 1.6], [180, 1.5]);
    expect(verdict(job, 'even')?.state).toBe('unknown');
    expect(sentence(job, 'even')).toContain('two do not define a plane');
    expect(evaluate(job).figures.get('liftHad')?.status).toBe('unknown');
    // One reading in the middle serves until the plane is there.
    expect(known(put(job, { 'release.measuredLift': 1.55 }), 'liftHad')).toBe(1.55);
  });
});

describe('expanding disc', () => {
  const auto: Job = put(
    { ...hydraulic, expanding: { fitted: true } },
    {
      'engine.idleRpm': 1500,
      'engine.peakTorqueRpm': 6000,
      'engine.primaryRatio': 2.5,
      'expanding.count': 8,
      'expanding.mass': 0.02,
      'expanding.radius': 50,
      'expanding.advantage': 2,
      'expanding.returnForce': 60,
      'expanding.returnRate': 20,
      'expanding.growth': 1.4,
      'setting.installGap': 1,
      'setting.gapMin': 0.8,
      'setting.gapMax': 1.1,
      'setting.pitch': 1,
      'setting.marksPerTurn': 8,
    },
  );

  it('touches where its weights meet the return springs, worked out by hand', () => {
    // 8·0.02·0.05·2 = 0.016 N·s²; 80 N at ω = √5000 = 70.71 rad/s = 675.2 rpm; engine 1688 rpm.
    expect(known(auto, 'expandContact')).toBeCloseTo((Math.sqrt(5000) * 30 * 2.5) / Math.PI, 8);
    expect(verdict(auto, 'auto')?.state).toBe('watch');
    expect(known(auto, 'leverGain')).toBeCloseTo(known(auto, 'overallRatio') * 0.4, 12);
    expect(known(auto, 'gapPerMark')).toBe(0.125);
    expect(verdict(auto, 'installGap')?.state).toBe('good');
  });

  it('counts as fully out where nothing is known of its weights, and says so', () => {
    const bought: Job = {
      ...auto,
      expanding: { fitted: true, growth: entry(1.4) },
    };
    // Fully out the pack is taller by 1.4 mm, and its springs stand there.
    expect(known(bought, 'clampAtPeak')).toBeCloseTo(
      known(auto, 'clamp') + 1.4 * known(auto, 'springRate'),
      9,
    );
    const clamp = evaluate(bought).figures.get('clampAtPeak');
    expect(clamp?.status === 'known' && clamp.estimated).toBe(true);
    expect(clamp?.status === 'known' && clamp.working.notes.join()).toContain(
      'assumed fully expanded',
    );
    // Holding is judged, when it takes up is not.
    expect(verdict(bought, 'holds')?.state).not.toBe('unknown');
    expect(verdict(bought, 'auto')?.state).toBe('unknown');
    expect(packModel(bought).at({ rpm: 3000 }).clamp).toBeUndefined();
    // One weight named, and all of them are asked for.
    const begun = put(bought, { 'expanding.count': 8 });
    const open = evaluate(begun).figures.get('clampAtPeak');
    expect(open?.status === 'unknown' && open.needs.map((n) => n.path)).toEqual([
      'expanding.mass',
      'expanding.radius',
      'expanding.advantage',
      'expanding.returnForce',
      'expanding.returnRate',
    ]);
  });

  it('says when it is the disc that presses too little, and when it takes all of the lever', () => {
    const light = put(auto, { 'expanding.mass': 0.004, 'engine.idleRpm': 1000 });
    expect(known(light, 'clampAtPeak')).toBeLessThan(known(light, 'clamp'));
    expect(verdict(light, 'holds')?.state).toBe('stop');
    expect(sentence(light, 'holds')).toContain('The expanding disc is not locked up');
    const heavy = put(auto, { 'expanding.mass': 0.08 });
    expect(known(heavy, 'clampAtPeak')).toBeCloseTo(
      known(heavy, 'clamp') + 1.4 * known(heavy, 'springRate'),
      9,
    );
    expect(sentence(heavy, 'holds')).not.toContain('The expanding disc is not locked up');
    const grown = put(auto, { 'expanding.growth': 9 });
    expect(known(grown, 'leverGain')).toBeGreaterThan(grown.release.leverTravel?.value ?? 0);
    expect(verdict(grown, 'gain')).toMatchObject({
      state: 'watch',
      title: 'Disc growth uses all lever travel',
    });
    expect(verdict(auto, 'gain')).toBeUndefined();
  });

  it('creeps, never takes up, or misses its gap', () => {
    expect(verdict(put(auto, { 'engine.idleRpm': 1700 }), 'auto')).toMatchObject({
      state: 'stop',
      title: 'Creeps at idle',
    });
    const wide = put(auto, { 'setting.installGap': 1.5 });
    expect(verdict(wide, 'auto')).toMatchObject({
      state: 'stop',
      title: 'The disc never engages',
    });
    expect(verdict(wide, 'installGap')).toMatchObject({
      state: 'stop',
      title: 'Install gap too wide',
    });
    expect(known(wide, 'clampAtPeak')).toBe(0);
    const late = put(auto, { 'engine.peakTorqueRpm': 3000, 'engine.idleRpm': 1000 });
    expect(verdict(late, 'auto')).toMatchObject({ state: 'watch', title: 'Locks up late' });
  });

  it('presses no harder than the springs, and less at low speed', () => {
    const model = packModel(auto);
    expect(model.at({ rpm: 25_000 }).clamp).toBeCloseTo(
      known(auto, 'clamp') + 1.4 * known(auto, 'springRate'),
      9,
    );
    expect(model.at({ rpm: 1000 }).clamp).toBe(0);
  });

  it('is turned by the train’s ratio first, then by the machine’s own', () => {
    const one: Job = put(
      {
        ...auto,
        setting: {
          ...auto.setting,
          targetGain: entry(10),
          readings: [{ id: 'a', turns: entry(2), gain: entry(22) }],
        },
      },
      {},
    );
    expect(sentence(one, 'gain')).toContain('by the train’s ratio');
    // A turn out took 8 mm off: 4 mm more ask for half a turn, 4 marks of 8.
    const two: Job = {
      ...one,
      setting: {
        ...one.setting,
        readings: [...one.setting.readings, { id: 'b', turns: entry(3), gain: entry(14) }],
      },
    };
    expect(sentence(two, 'gain')).toContain('open the gap by 4 marks, by this machine’s own ratio');
    const none: Job = {
      ...one,
      setting: { ...one.setting, readings: [{ id: 'a', turns: entry(2), gain: entry(0) }] },
    };
    expect(sentence(none, 'gain')).toContain('or more');
    const there: Job = {
      ...one,
      setting: { ...one.setting, readings: [{ id: 'a', turns: entry(2), gain: entry(10.2) }] },
    };
    // A reading on target that growth, gap and ratio do not give is no good one: 16.8 mm are worked out.
    expect(verdict(there, 'gain')?.state).toBe('watch');
    expect(sentence(there, 'gain')).toContain('Check these three and the reading');
    const gap = 1.4 - 10.2 / known(there, 'overallRatio');
    expect(verdict(put(there, { 'setting.installGap': gap }), 'gain')?.state).toBe('good');
  });
});

describe('judder spring', () => {
  it('needs a disc with a larger bore than the others', () => {
    const [disc] = cable.pack.kinds;
    if (!disc) throw new Error('a pack without discs');
    const bored = { ...disc, id: 'bored', innerRadius: entry(50.5) };
    const mark = (index: number): Job => ({
      ...cable,
      pack: {
        ...cable.pack,
        kinds: [...cable.pack.kinds, bored],
        plates: cable.pack.plates.map((p, i) => ({
          ...p,
          kindId: i === 0 ? bored.id : p.kindId,
          ...(i === index ? { judder: true } : {}),
        })),
      },
    });
    expect(verdict(mark(0), 'judder')?.state).toBe('good');
    expect(known(mark(0), 'stack')).toBe(known(cable, 'stack'));
    expect(verdict(mark(2), 'judder')?.state).toBe('stop');
    expect(evaluate(mark(2)).problems.map((p) => p.plateId)).toContain('p3');
    expect(sentence(mark(1), 'judder')).toContain('not a friction disc');
  });
});

describe('torque curve', () => {
  const points = [
    { rpm: 3000, torque: 30 },
    { rpm: 5000, torque: 45 },
    { rpm: 8000, torque: 40 },
  ];
  const curved: Job = { ...cable, engine: { ...cable.engine, curve: { name: 'made up', points } } };

  it('is straight between its points and nothing outside', () => {
    expect(torqueAt({ name: '', points }, 4000)).toBeCloseTo(37.5, 12);
    expect(torqueAt({ name: '', points }, 2999)).toBeUndefined();
  });

  it('gives the reserve at its worst speed, which the verdict uses', () => {
    const reserve = evaluate(curved).figures.get('reserveWithTangs');
    const low = reserve?.status === 'known' ? (reserve.range?.low ?? 0) : 0;
    const peak = cable.engine.peakTorque?.value ?? 0;
    expect(known(curved, 'leastCurveReserve')).toBeCloseTo((low * peak) / 45, 12);
    expect(known(curved, 'leastCurveSpeed')).toBe(5000);
    expect(sentence(curved, 'holds')).toContain('at 5000 rpm');
    const at = packModel(curved).at({ rpm: 8000 });
    expect((at.capacity?.low ?? 0) / (at.reserve?.low ?? 1)).toBeCloseTo(at.asked ?? 0, 9);
    expect(at.asked).toBeCloseTo(40 * (cable.engine.primaryRatio?.value ?? 0), 9);
  });
});

describe('hot oil', () => {
  it('counts the low friction of the lining', () => {
    const model = packModel(cable);
    const { reserve, reserveHere } = model.at({ oil: 'hot' });
    expect(reserveHere).toBe(reserve?.low);
    expect(model.at().reserveHere).toBe(reserve?.typical);
  });
});

describe('a worn start clutch', () => {
  it('touches by the pull of its springs and where its mass then sits', () => {
    const job: Job = put(
      { ...blankJob('s', 'UR-1', '2026-01-01T00:00:00.000Z'), startClutch: { place: 'crank' } },
      {
        'startClutch.shoes': 4,
        'startClutch.mass': 0.1,
        'startClutch.radius': 40,
        'startClutch.springPull': 100,
        'startClutch.drumRadius': 55,
        'startClutch.wear': 1,
        'startClutch.springRate': 21,
      },
    );
    // 121 N in place of 100, at 41 mm in place of 40.
    expect(known(job, 'startContactWorn') / known(job, 'startContact')).toBeCloseTo(
      Math.sqrt((121 / 100) * (40 / 41)),
      12,
    );
    expect(packModel(job).at({ rpm: 5000 }).startTorque).toBeGreaterThan(0);
  });
});
