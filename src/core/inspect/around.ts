import type { Amount } from '../evaluate/sentence';
import { length, say } from '../evaluate/sentence';
import type { FieldPath } from '../job/fields';
import { fieldAt, fieldPath } from '../job/fields';
import { entryAt } from '../job/paths';
import type { CoilGroup, Fixture, Job } from '../job/types';
import type { Decision, Reason } from './decisions';
import { limitSource } from './plates';
import { limitAt } from './run';
import { SIGHT_NAME, sightRule } from './sights';

const EDGE = 1e-6;
/** Share of a limit from which a notch is watched. Design estimate. */
const NEARLY = 0.6;
/** Springs of one set that differ by more than this, mm, press unevenly. Design estimate. */
const UNEVEN_SPRINGS = 0.6;

/** What a measured value that must not exceed its limit says. Nothing while it is not measured. */
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

function seenOn(job: Job, fixture: Fixture): Reason[] {
  return (job.inspection.seen[fixture] ?? []).map((sight) => {
    const { decision, because } = sightRule(fixture, sight);
    return {
      decision,
      sentence: say`${SIGHT_NAME[sight]}: ${because.charAt(0).toLowerCase() + because.slice(1)}`,
    };
  });
}

/**
 * What the readings and the eye say of a part around the plates; empty while nothing was looked at.
 * @example judgeFixture(withEntry(job, 'inspection.basketNotch', entry(0.8)), 'basket').map((r) => r.decision) // ["change"]
 */
export function judgeFixture(job: Job, fixture: Fixture): Reason[] {
  return [...MEASURED[fixture](job), ...seenOn(job, fixture)];
}

const nothing = (): Reason[] => [];

const MEASURED: Readonly<Record<Fixture, (job: Job) => Reason[]>> = {
  basket: (job) =>
    judgeMost(
      job,
      'inspection.basketNotch',
      'inspection.notchLimit',
      'change',
      'Fingers notched',
      'they hold the discs and make take-up grabby',
    ),
  hub: (job) => [
    ...judgeMost(
      job,
      'inspection.hubNotch',
      'inspection.notchLimit',
      'change',
      'Splines notched',
      'they hold the steels',
    ),
    ...judgeMost(
      job,
      'inspection.damperPlay',
      'inspection.damperPlayLimit',
      'change',
      'Dampers turn by',
      'they are worn out',
    ),
  ],
  pressurePlate: (job) => [...judgeFace(job), ...judgeSeat(job)],
  springs: judgeSprings,
  bearing: nothing,
  release: nothing,
  cover: nothing,
};

function judgeFace(job: Job): Reason[] {
  const flat = job.inspection.pressurePlateFlatness?.value;
  const thick = job.inspection.pressurePlateThickness?.value;
  const least = job.inspection.pressurePlateMinThickness?.value;
  const left = thick === undefined || flat === undefined ? undefined : thick - flat;
  const mend: Decision =
    left !== undefined && least !== undefined && left >= least ? 'grind' : 'change';
  const thin: Reason[] =
    thick !== undefined && least !== undefined && thick < least - EDGE
      ? [
          {
            decision: 'change',
            limitFrom: limitSource(job, 'inspection.pressurePlateMinThickness'),
            sentence: say`${length(thick)} thick, below its least of ${length(least)}.`,
          },
        ]
      : [];
  return [
    ...judgeMost(
      job,
      'inspection.pressurePlateFlatness',
      'inspection.pressurePlateFlatnessLimit',
      mend,
      'Out of flat by',
      mend === 'grind' ? 'there is enough thickness to grind it' : 'it presses unevenly',
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
    'the plate lifts on one side and drags however much it lifts on average',
  );
}

function judgeSprings(job: Job): Reason[] {
  if (job.springs.type === 'diaphragm') return judgeCone(job);
  return job.springs.coil.groups.flatMap((g) => judgeGroup(job, g));
}

function judgeCone(job: Job): Reason[] {
  const cone = job.springs.diaphragm.measuredCone?.value;
  const least = limitAt(job, 'inspection.coneMin');
  const fresh = job.springs.diaphragm.coneHeight?.value;
  if (cone === undefined) return [];
  if (least === undefined)
    return [
      {
        decision: 'watch',
        sentence:
          fresh === undefined
            ? say`Free height of the cone ${length(cone)}.`
            : say`Free height of the cone ${length(cone)}, new ${length(fresh)}; the clamp is worked out with it.`,
      },
    ];
  const limitFrom = limitSource(job, 'inspection.coneMin');
  return cone < least - EDGE
    ? [
        {
          decision: 'change',
          limitFrom,
          sentence: say`Free height of the cone ${length(cone)}, below ${length(least)}: a flattened spring clamps less.`,
        },
      ]
    : [{ decision: 'keep', limitFrom, sentence: say`Free height of the cone ${length(cone)}.` }];
}

function judgeGroup(job: Job, group: CoilGroup): Reason[] {
  const lengths = job.inspection.springLengths.flatMap((r) =>
    r.groupId === group.id && r.length ? [r.length.value] : [],
  );
  if (lengths.length === 0) return [];
  const least = Math.min(...lengths);
  const spread = Math.max(...lengths) - least;
  const limit = group.minFreeLength?.value;
  const name =
    job.springs.coil.groups.length > 1 && group.name ? `${group.name}: shortest` : 'Shortest';
  const limitFrom = limitSource(job, fieldPath('springs.coil.groups.*.minFreeLength', group.id));
  if (limit !== undefined && least < limit - EDGE) {
    return [
      {
        decision: 'change',
        limitFrom,
        sentence: say`${name} ${length(least)}, below ${length(limit)}: change the whole set.`,
      },
    ];
  }
  const uneven: Reason[] =
    spread > UNEVEN_SPRINGS + EDGE
      ? [
          {
            decision: 'watch',
            sentence: say`The set differs by ${length(spread)}: let long and short alternate evenly, or the plate tilts.`,
          },
        ]
      : [];
  return [
    limit === undefined
      ? {
          decision: 'watch',
          sentence: say`${name} ${length(least)}; a least free length from the manual is needed to judge it.`,
        }
      : {
          decision: 'keep',
          limitFrom,
          sentence: say`${name} ${length(least)}, least ${length(limit)}.`,
        },
    ...uneven,
  ];
}
