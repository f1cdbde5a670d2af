import { engagesByItself, fittedKinds } from '@/core/clutch/fitted';
import { hasPack } from '@/core/guide/layouts';
import type { Amount } from '@/core/text/sentence';
import { length, lowerFirst, say } from '@/core/text/sentence';
import type { FieldPath } from '@/core/job/fieldPath';
import { fieldAt } from '@/core/job/fields';
import { entryAt } from '@/core/job/entryAt';
import type { Fixture, Job } from '@/core/job/types';
import { FIXTURES } from '@/core/job/types';
import type { Decision, Reason } from './decisions';
import { EDGE } from './decisions';
import { limitSource } from './limitSource';
import { limitAt } from './limitAt';
import { SIGHT_NAME, sightRule } from './sights';

/** Share of a limit from which a notch is watched. Assumed value. */
const NEARLY = 0.6;

/** Judges a measured value with a maximum. Undefined while not measured. */
function judgeMost(
  job: Job,
  path: FieldPath,
  limitPath: FieldPath,
  over: Decision,
  what: string,
  why: string,
): Reason[] {
  const value = entryAt(job, path)?.value;
  const limit = limitAt(job, limitPath);
  if (value === undefined) return [];
  const { quantity } = fieldAt(path);
  const shown: Amount = { value, quantity };
  if (limit === undefined)
    return [
      {
        decision: 'watch',
        sentence: say`${what} ${shown}; a limit from the manual is needed to judge it.`,
      },
    ];
  const most: Amount = { value: limit, quantity };
  const limitFrom = limitSource(job, limitPath);
  if (value > limit + EDGE)
    return [{ decision: over, limitFrom, sentence: say`${what} ${shown}, above ${most}: ${why}.` }];
  return [
    {
      decision: value > NEARLY * limit && limit > 0 ? 'watch' : 'keep',
      limitFrom,
      sentence: say`${what} ${shown}, within ${most}.`,
    },
  ];
}

function damageOn(job: Job, fixture: Fixture): Reason[] {
  return (job.inspection.seen[fixture] ?? []).map((sight) => {
    const { decision, because } = sightRule(fixture, sight);
    return {
      decision,
      sentence: say`${SIGHT_NAME[sight]}: ${lowerFirst(because)}`,
    };
  });
}

/**
 * Judges a part around the plates by its readings and visible damage; empty without any.
 * @example judgeFixture(withEntry(job, 'inspection.basketNotch', entry(0.8)), 'basket').map((r) => r.decision) // ["change"]
 */
export function judgeFixture(job: Job, fixture: Fixture): Reason[] {
  return [...MEASURED[fixture](job), ...damageOn(job, fixture)];
}

const nothing = (): Reason[] => [];

/** The reasons that the kinds of clutch have for a part; springs where they do not say which. */
const ofKinds =
  (fixture: Fixture) =>
  (job: Job): Reason[] =>
    fittedKinds(job)
      .flatMap((kind) => kind.judge?.(job) ?? [])
      .filter((reason) => (reason.on ?? 'springs') === fixture);

const MEASURED: Readonly<Record<Fixture, (job: Job) => Reason[]>> = {
  basket: (job) =>
    judgeMost(
      job,
      'inspection.basketNotch',
      'inspection.notchLimit',
      'change',
      'Fingers notched',
      'they catch the discs and make engagement grabby',
    ),
  hub: (job) => [
    ...judgeMost(
      job,
      'inspection.hubNotch',
      'inspection.notchLimit',
      'change',
      'Splines notched',
      'they catch the steels',
    ),
    ...judgeMost(
      job,
      'inspection.damperPlay',
      'inspection.damperPlayLimit',
      'change',
      'Damper play',
      'they are worn out',
    ),
  ],
  pressurePlate: (job) => [...judgeFace(job), ...judgeSeat(job)],
  springs: ofKinds('springs'),
  bearing: nothing,
  release: nothing,
  cover: nothing,
  // The kind of clutch judges them.
  shoes: ofKinds('shoes'),
  drum: ofKinds('drum'),
  oneWay: ofKinds('oneWay'),
};

function judgeFace(job: Job): Reason[] {
  const flat = job.inspection.pressurePlateFlatness?.value;
  const thick = job.inspection.pressurePlateThickness?.value;
  const least = job.inspection.pressurePlateMinThickness?.value;
  const left = thick === undefined || flat === undefined ? undefined : thick - flat;
  const fix: Decision =
    left !== undefined && least !== undefined && left >= least ? 'grind' : 'change';
  const thin: Reason[] =
    thick !== undefined && least !== undefined && thick < least - EDGE
      ? [
          {
            decision: 'change',
            limitFrom: limitSource(job, 'inspection.pressurePlateMinThickness'),
            sentence: say`${length(thick)} thick, below its minimum of ${length(least)}.`,
          },
        ]
      : [];
  return [
    ...judgeMost(
      job,
      'inspection.pressurePlateFlatness',
      'inspection.pressurePlateFlatnessLimit',
      fix,
      'Out of flat by',
      fix === 'grind' ? 'there is enough thickness to regrind it' : 'it presses unevenly',
    ),
    ...thin,
  ];
}

function judgeSeat(job: Job): Reason[] {
  return judgeMost(
    job,
    'inspection.seatSquareness',
    'inspection.seatSquarenessLimit',
    'change',
    'Pushrod seat out of square by',
    'the plate lifts unevenly and drags, whatever its mean lift',
  );
}

const OF_START: readonly Fixture[] = ['shoes', 'drum', 'oneWay'];

/**
 * The parts around the plates that the machine of a job has.
 * @example fixturesOf(job).includes('shoes') // false
 */
export const fixturesOf = (job: Job): readonly Fixture[] =>
  FIXTURES.filter((fixture) =>
    OF_START.includes(fixture)
      ? engagesByItself(job, 'before') !== undefined
      : fixture === 'cover' || hasPack(job.machine.layout),
  );
