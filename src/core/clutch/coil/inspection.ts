import { EDGE } from '../../inspect/decisions';
import type { Reason } from '../../inspect/decisions';
import { limitSource } from '../../inspect/limitSource';
import type { RunStep } from '../../inspect/runStep';
import { fieldPath } from '../../job/fieldPath';
import type { CoilGroup, Job } from '../../job/types';
import { length, say } from '../../text/sentence';

/* How coil springs are measured and judged. */

/** Springs of one set that differ by more than this, mm, press unevenly. Assumed value. */
const UNEVEN_SPRINGS = 0.6;

/**
 * The free length of every spring, one after another.
 * @example coilReadings(job).length // 0
 */
export function coilReadings(job: Job): readonly RunStep[] {
  const groups = new Map(job.springs.coil.groups.map((g) => [g.id, g]));
  const all = job.inspection.springLengths;
  const siblings = all.map((r) => fieldPath('inspection.springLengths.*.length', r.id));
  return all.map((reading, i) => {
    const group = groups.get(reading.groupId);
    const name = group && groups.size > 1 ? `, ${group.name}` : '';
    return {
      path: fieldPath('inspection.springLengths.*.length', reading.id),
      part: 'springs',
      fixture: 'springs',
      title: `Spring ${i + 1} of ${all.length}${name}`,
      what: 'free length',
      siblings,
      nominal: group?.freeLength?.value,
      limit: group?.minFreeLength?.value,
      limitIs: 'min',
      onlyWears: true,
    };
  });
}

/**
 * The fields of the least free lengths.
 * @example coilLimits(job)[0].label // "Springs, minimum free length"
 */
export const coilLimits = ({ springs }: Job) =>
  springs.coil.groups.map((g) => ({
    path: fieldPath('springs.coil.groups.*.minFreeLength', g.id),
    label: `${g.name || 'Springs'}, minimum free length`,
  }));

/**
 * Judges the free lengths of each spring type.
 * @example judgeCoilLengths(job).length // 0
 */
export const judgeCoilLengths = (job: Job): readonly Reason[] =>
  job.springs.coil.groups.flatMap((g) => judgeGroup(job, g));

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
        sentence: say`${name} ${length(least)}, below ${length(limit)}: replace the whole set.`,
      },
    ];
  }
  const uneven: Reason[] =
    spread > UNEVEN_SPRINGS + EDGE
      ? [
          {
            decision: 'watch',
            sentence: say`The set differs by ${length(spread)}: alternate long and short springs evenly, or the plate tilts.`,
          },
        ]
      : [];
  return [
    limit === undefined
      ? {
          decision: 'watch',
          sentence: say`${name} ${length(least)}; a minimum free length from the manual is needed to judge it.`,
        }
      : {
          decision: 'keep',
          limitFrom,
          sentence: say`${name} ${length(least)}, minimum ${length(limit)}.`,
        },
    ...uneven,
  ];
}
