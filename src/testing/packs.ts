import { expandingDisc } from '@/core/clutch/expandingDisc/kind';
import { loose } from '@/core/clutch/loose/kind';
import { startClutch } from '@/core/clutch/startClutch/kind';
import { alternate, blankCoilGroup, blankJob, blankKind } from '@/core/job/blank';
import { entry } from '@/core/job/entry';
import type { FieldPath } from '@/core/job/fieldPath';
import { withEntry } from '@/core/job/paths';
import type { Job } from '@/core/job/types';
import { evaluate } from '@/core/evaluate/evaluate';
import type { FigureId } from '@/core/evaluate/engine/figure';
import { readSentence } from '@/core/text/sentence';
import type { UnitChoice } from '@/core/units/format';

/* Small records for tests: one pack with one spring type and one train. */

/** Values by the paths of their fields. */
export type Values = Readonly<Partial<Record<FieldPath, number>>>;

/** Values put at their paths. */
export const put = (job: Job, values: Values): Job =>
  (Object.entries(values) as [FieldPath, number][]).reduce(
    (j, [path, value]) => withEntry(j, path, entry(value)),
    job,
  );

/** Eight discs of 3 mm and seven steels of 1.5 mm, 34.5 mm, under five springs of 20 N/mm and 45 mm: 1600 N in place. */
export function coilPack(): Job {
  const job = blankJob('j', 'UR-0001', '2026-01-01T00:00:00.000Z');
  return {
    ...job,
    engine: {
      peakTorque: entry(40),
      peakTorqueRpm: entry(6500),
      idleRpm: entry(1500),
      primaryRatio: entry(2.5),
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
          tangRadius: entry(61),
        },
        {
          ...blankKind('steel', 'steel', 'Steel'),
          thickness: entry(1.5),
          tangRadius: entry(43),
        },
      ],
      plates: alternate('disc', 'steel', 8, 'friction', (n) => `p${n}`),
      windowMin: entry(34),
      windowMax: entry(35),
    },
    springs: {
      ...job.springs,
      coil: {
        ...job.springs.coil,
        seatDistance: entry(63.5),
        groups: [
          {
            ...blankCoilGroup('g', 'Springs'),
            count: entry(5),
            rate: entry(20),
            freeLength: entry(45),
            solidLength: entry(22),
          },
        ],
      },
    },
    release: {
      type: 'hydraulic',
      liftReadings: [],
      leverTravel: entry(62),
      leverRatio: entry(5.2),
      masterDiameter: entry(10),
      slaveDiameter: entry(27),
      faceClearance: entry(0.08),
    },
  };
}

/** The same pack under the diaphragm of 108 × 82 × 1.8 and cone 3.4, pressed 3.2 mm at its stack of 34.5. */
export function diaphragmPack(): Job {
  const job = coilPack();
  return {
    ...job,
    springs: {
      ...job.springs,
      type: 'diaphragm',
      diaphragm: {
        ...job.springs.diaphragm,
        forceFrom: 'geometry',
        outerDiameter: entry(108),
        innerDiameter: entry(82),
        thickness: entry(1.8),
        coneHeight: entry(3.4),
        referenceDeflection: entry(3.2),
        referenceStack: entry(34.5),
      },
    },
  };
}

/** The same pack under loose springs between two plates. */
export const loosePack = (): Job => loose.example(coilPack());

/** The same pack with an expanding disc, worked by a cable. */
export const autoPack = (): Job => {
  const job = expandingDisc.example(coilPack());
  return {
    ...job,
    machine: { ...job.machine, layout: 'pack' },
    release: {
      type: 'cable',
      liftReadings: [],
      leverTravel: entry(62),
      leverRatio: entry(5.2),
      armLength: entry(30),
      lead: entry(32),
      faceClearance: entry(0.08),
    },
  };
};

/** The same pack behind a start clutch on the crank, opened by the shift pedal. */
export const pedalPack = (): Job => {
  const job = startClutch.example(coilPack());
  return {
    ...job,
    machine: { ...job.machine, layout: 'startAndPack' },
    release: { type: 'measured', liftReadings: [], measuredLift: entry(1.6) },
  };
};

/** The value of a figure. @throws when it is not known, with its reason */
export function figureOf(job: Job, id: FigureId): number {
  const figure = evaluate(job).figures.get(id);
  if (figure?.status !== 'known') throw new Error(`${id}: ${figure?.reason ?? 'not worked out'}`);
  return figure.value;
}

/** A verdict with its sentence as text; undefined where it does not apply. */
export function verdictOf(job: Job, id: string, units: UnitChoice = {}) {
  const verdict = evaluate(job).verdicts.find((v) => v.id === id);
  return verdict && { ...verdict, text: readSentence(verdict.sentence, units) };
}

/** Problems at a field, each as its state and its text. */
export const problemsAt = (job: Job, path: string): readonly string[] =>
  evaluate(job)
    .problems.filter((p) => p.path === path)
    .map((p) => `${p.state}: ${readSentence(p.sentence)}`);
