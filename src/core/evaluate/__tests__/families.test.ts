import { GAP_READ } from '@/core/springs/loose';
import { alternate, blankCoilGroup, blankJob, blankKind } from '../../job/blank';
import { entry } from '../../job/entry';
import { withEntry } from '../../job/paths';
import type { Job } from '../../job/types';
import { evaluate } from '../evaluate';
import type { FigureId } from '@/core/evaluate/engine/figure';
import { readSentence } from '@/core/text/sentence';

/** A pack of 8 discs and 7 steels, 34.5 mm, on which each family is put. */
function base(): Job {
  const job = blankJob('j', 'UR-0001', '2026-01-01T00:00:00.000Z');
  return {
    ...job,
    engine: {
      peakTorque: entry(60),
      primaryRatio: entry(2.8),
      peakTorqueRpm: entry(6500),
      idleRpm: entry(1500),
    },
    pack: {
      ...job.pack,
      kinds: [
        {
          ...blankKind('disc', 'friction', 'Disc'),
          thickness: entry(3),
          minThickness: entry(2.8),
          outerRadius: entry(58.5),
          innerRadius: entry(46.5),
        },
        { ...blankKind('steel', 'steel', 'Steel'), thickness: entry(1.5) },
      ],
      plates: alternate('disc', 'steel', 8, 'friction', (n) => `p${n}`),
    },
    release: {
      type: 'measured',
      liftReadings: [],
      measuredLift: entry(1.5),
      leverTravel: entry(60),
      faceClearance: entry(0.09),
    },
  };
}

const known = (job: Job, id: FigureId): number => {
  const f = evaluate(job).figures.get(id);
  if (f?.status !== 'known') throw new Error(`${id}: ${f?.reason}`);
  return f.value;
};
const verdict = (job: Job, id: string) => evaluate(job).verdicts.find((v) => v.id === id);

/** The published diaphragm, 108 × 82 × 1.8, h0 3.4, at 3.2 mm on a stack of 34.5. */
function diaphragm(): Job {
  const job = base();
  return {
    ...job,
    springs: {
      ...job.springs,
      type: 'diaphragm',
      diaphragm: {
        forceFrom: 'geometry',
        points: [],
        outerDiameter: entry(108),
        innerDiameter: entry(82),
        thickness: entry(1.8),
        coneHeight: entry(3.4),
        referenceDeflection: entry(3.2),
        referenceStack: entry(34.5),
        fingerRatio: entry(2),
        steps: [
          { id: 's1', name: '1', offset: entry(0), bandMin: entry(34.1), bandMax: entry(34.5) },
          { id: 's2', name: '2', offset: entry(0.3), bandMin: entry(34.5), bandMax: entry(34.9) },
        ],
        stepId: 's1',
      },
    },
  };
}

describe('diaphragm with stepped retainer', () => {
  it('clamps by the published curve, and needs the force of the load edge to release', () => {
    expect(known(diaphragm(), 'deflection')).toBeCloseTo(3.2, 10);
    expect(known(diaphragm(), 'clamp')).toBeCloseTo(4000.3, 1);
    // 3.2 + 1.5 is at the dip, 4.7013; the ratio of the fingers is in that of the train.
    expect(known(diaphragm(), 'releaseForce')).toBeCloseTo(3060.2, 1);
  });

  it('says how much too low a stack is for the spring to touch', () => {
    const far = withEntry(diaphragm(), 'springs.diaphragm.referenceStack', entry(60));
    const off = known(far, 'deflection') ?? 0;
    expect(off).toBeLessThan(0);
    const holds = evaluate(far).verdicts.find((v) => v.id === 'holds');
    expect(holds).toMatchObject({ state: 'stop', title: 'No clamp' });
    expect(readSentence(holds?.sentence ?? [])).toContain(`${(-off).toFixed(3)} mm taller`);
  });

  it('clamps less on the next step past the peak, and more again once worn', () => {
    const stepped: Job = {
      ...diaphragm(),
      springs: {
        ...diaphragm().springs,
        diaphragm: { ...diaphragm().springs.diaphragm, stepId: 's2' },
      },
    };
    expect(known(stepped, 'clamp')).toBeLessThan(known(diaphragm(), 'clamp'));
    const worn = withEntry(stepped, 'pack.kinds.disc.thickness', entry(3 - 0.4 / 8));
    expect(known(worn, 'clamp')).toBeGreaterThan(known(stepped, 'clamp'));
    const clamp = evaluate(diaphragm()).figures.get('clamp');
    expect(clamp?.status === 'known' && readSentence(clamp.working.notes[0] ?? [])).toContain(
      'Past the peak',
    );
  });

  it('allows both steps on the edge of two bands and refuses a step that is neither', () => {
    expect(readSentence(verdict(diaphragm(), 'step')?.sentence ?? [])).toContain(
      'steps 1 and 2 are both allowed',
    );
    const low = withEntry(diaphragm(), 'pack.kinds.steel.thickness', entry(1.53));
    expect(verdict(low, 'step')).toMatchObject({ state: 'stop', title: 'Wrong retainer step' });
    const out = withEntry(diaphragm(), 'pack.kinds.steel.thickness', entry(1.8));
    expect(verdict(out, 'step')).toMatchObject({ state: 'stop', title: 'No step for this stack' });
  });

  it('counts the cone that is measured, and tester points only within their range', () => {
    expect(
      known(withEntry(diaphragm(), 'springs.diaphragm.measuredCone', entry(3.1)), 'clamp'),
    ).toBeLessThan(4000);
    const tested: Job = {
      ...diaphragm(),
      springs: {
        ...diaphragm().springs,
        diaphragm: {
          ...diaphragm().springs.diaphragm,
          forceFrom: 'tester',
          points: [
            [3, 2000],
            [3.4, 1800],
            [4, 1500],
          ].map(([s, f], i) => ({ id: `t${i}`, deflection: entry(s!), force: entry(f!) })),
        },
      },
    };
    expect(known(tested, 'clamp')).toBeCloseTo(1900, -1);
    const lifted = evaluate(tested).figures.get('releaseForce');
    expect(lifted).toMatchObject({ status: 'unknown' });
    expect(lifted?.status === 'unknown' && lifted.reason).toContain('measured range, 3 to 4');
  });
});

describe('loose springs between two plates', () => {
  const job = base();
  const loose: Job = {
    ...job,
    springs: {
      ...job.springs,
      type: 'loose',
      loose: {
        span: entry(38),
        pocketInner: entry(9),
        pocketOuter: entry(8),
        gapMin: entry(3),
        gapMax: entry(4),
      },
      coil: {
        ringRadius: entry(38),
        ring: ['a', 'a', 'a', 'b', 'b', 'b'],
        groups: [
          ['a', 30.83],
          ['b', 29.71],
        ].map(([id, free]) => ({
          ...blankCoilGroup(String(id), String(id)),
          count: entry(3),
          rate: entry(25.2),
          freeLength: entry(Number(free)),
          solidLength: entry(16),
        })),
      },
    },
  };

  it('stand as long as gap and pockets let them', () => {
    expect(known(loose, 'plateGap')).toBeCloseTo(3.5, 10);
    expect(known(loose, 'installedLength')).toBeCloseTo(20.5, 10);
    expect(known(loose, 'clamp')).toBeCloseTo(3 * 25.2 * (30.83 - 20.5 + 29.71 - 20.5), 6);
    expect(verdict(loose, 'gap')).toMatchObject({ state: 'good' });
    expect(verdict(withEntry(loose, 'springs.loose.span', entry(39)), 'gap')).toMatchObject({
      state: 'stop',
      title: 'Plate gap too wide',
    });
  });

  it('are held against the gap as it was read, all round and on the mean', () => {
    const read = (...gaps: readonly number[]) =>
      gaps.reduce(
        (j, g, i) => withEntry(j, GAP_READ[i] ?? 'springs.loose.gapRead1', entry(g)),
        loose,
      );
    expect(verdict(loose, 'gapRead')).toBeUndefined();
    // Worked out it is 3.5; its window is 3 to 4.
    expect(verdict(read(3.52, 3.48, 3.55), 'gapRead')).toMatchObject({ state: 'good' });
    expect(verdict(read(3.5, 3.5, 3.61), 'gapRead')).toMatchObject({
      state: 'watch',
      title: 'Plate gap uneven',
    });
    expect(verdict(read(3.7, 3.72, 3.71), 'gapRead')).toMatchObject({
      state: 'watch',
      title: 'Measured plate gap does not match the plates',
    });
    expect(verdict(read(4.05, 4.05, 4.05), 'gapRead')).toMatchObject({
      state: 'stop',
      title: 'Measured plate gap outside limits',
    });
    // Under bolts there is no such gap, whatever was read once.
    const bolted = { ...read(9, 1, 5), springs: { ...loose.springs, type: 'coil' as const } };
    expect(verdict(bolted, 'gapRead')).toBeUndefined();
  });

  it('press off centre when two kinds stand unevenly, and not when they alternate', () => {
    expect(known(loose, 'springOffset')).toBeGreaterThan(1);
    expect(verdict(loose, 'ring')?.state).not.toBe('good');
    const even: Job = {
      ...loose,
      springs: {
        ...loose.springs,
        coil: { ...loose.springs.coil, ring: ['a', 'b', 'a', 'b', 'a', 'b'] },
      },
    };
    expect(known(even, 'springOffset')).toBeLessThan(1e-9);
  });
});

describe('centrifugal assist, start clutch, spline and wear', () => {
  it('adds the published force at basket speed to the clamp', () => {
    const job: Job = {
      ...diaphragm(),
      assist: {
        type: 'levers',
        count: entry(6),
        mass: entry(0.011),
        radius: entry(47),
        leverRatio: entry(2),
      },
    };
    expect(known(job, 'assistClamp')).toBeCloseTo(366.64, 1);
    expect(known(job, 'clampAtPeak')).toBeCloseTo(4366.9, 0);
    expect(known(job, 'reserve') / known(diaphragm(), 'reserve')).toBeCloseTo(4366.9 / 4000.3, 3);
    const balls = evaluate({ ...job, assist: { ...job.assist, type: 'balls' } }).figures.get(
      'assistClamp',
    );
    expect(balls?.status === 'unknown' && balls.reason).toBe(
      'Ramp angle is needed for centrifugal clamp at peak torque.',
    );
  });

  it('finds a start clutch that touches below idle', () => {
    const job: Job = {
      ...base(),
      startClutch: {
        place: 'crank',
        shoes: entry(5),
        mass: entry(0.09),
        radius: entry(45),
        springPull: entry(80),
        drumRadius: entry(57),
      },
    };
    expect(known(job, 'startContact')).toBeCloseTo(
      (Math.sqrt(80 / (0.09 * 0.045)) * 30) / Math.PI,
      6,
    );
    expect(verdict(job, 'start')).toMatchObject({ state: 'stop', title: 'Creeps at idle' });
    expect(verdict(withEntry(job, 'startClutch.springPull', entry(260)), 'start')).toMatchObject({
      state: 'good',
    });
    expect(
      known({ ...job, startClutch: { ...job.startClutch, place: 'input' } }, 'startContact'),
    ).toBeCloseTo(known(job, 'startContact') * 2.8, 6);
  });

  it('sees a plate leave its spline at full lift, and a spacer pair bring it back', () => {
    // The outermost steel begins at 7·3 + 6·1.5 = 30 mm; lifted 1.5 it ends at 33.
    const job = withEntry(base(), 'pack.splineLength', entry(32));
    expect(known(job, 'retention')).toBeCloseTo((32 - 30 - 1.5) / 1.5, 10);
    expect(verdict(job, 'retention')).toMatchObject({ state: 'stop' });
    expect(verdict(withEntry(job, 'pack.splineLength', entry(33)), 'retention')).toMatchObject({
      state: 'good',
    });
  });

  it('adds up wear and names the plate that is too thin by its least reading', () => {
    const job: Job = {
      ...base(),
      pack: {
        ...base().pack,
        maxWear: entry(0.6),
        plates: base().pack.plates.map((p) =>
          p.kindId === 'disc' ? { ...p, readings: { '1': entry(2.95), '2': entry(2.91) } } : p,
        ),
      },
    };
    expect(known(job, 'packWear')).toBeCloseTo(8 * 0.07, 10);
    expect(verdict(job, 'wear')).toMatchObject({ state: 'good' });
    const thin = withEntry(job, 'pack.plates.p5.readings.3', entry(2.79));
    expect(readSentence(verdict(thin, 'wear')?.sentence ?? [])).toContain(
      'Plate 5 measures 2.790 mm, below its limit of 2.800 mm',
    );
  });
});
