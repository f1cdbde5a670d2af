import { EDGE } from '../../inspect/decisions';
import type { Reason } from '../../inspect/decisions';
import { limitSource } from '../../inspect/limitSource';
import type { RunStep } from '../../inspect/runStep';
import { entryAt } from '../../job/entryAt';
import type { Job } from '../../job/types';
import { length, say } from '../../text/sentence';

/* How a diaphragm is measured and judged: by the height of its cone. */

const LEAST = 'inspection.coneMin';

/**
 * The free height of the cone.
 * @example coneReading(quad).path // "springs.diaphragm.measuredCone"
 */
export const coneReading = (job: Job): RunStep => ({
  path: 'springs.diaphragm.measuredCone',
  part: 'springs',
  fixture: 'springs',
  title: 'Diaphragm spring',
  what: 'free cone height',
  siblings: ['springs.diaphragm.measuredCone'],
  nominal: job.springs.diaphragm.coneHeight?.value,
  limit: entryAt(job, LEAST)?.value,
  limitIs: 'min',
  onlyWears: true,
});

/**
 * Judges the cone height.
 * @example judgeCone(quad).length // 0
 */
export function judgeCone(job: Job): readonly Reason[] {
  const cone = job.springs.diaphragm.measuredCone?.value;
  const least = entryAt(job, LEAST)?.value;
  const fresh = job.springs.diaphragm.coneHeight?.value;
  if (cone === undefined) return [];
  if (least === undefined)
    return [
      {
        decision: 'watch',
        sentence:
          fresh === undefined
            ? say`Free cone height ${length(cone)}.`
            : say`Free cone height ${length(cone)}, new ${length(fresh)}; included in the clamp.`,
      },
    ];
  const limitFrom = limitSource(job, LEAST);
  return cone < least - EDGE
    ? [
        {
          decision: 'change',
          limitFrom,
          sentence: say`Free cone height ${length(cone)}, below ${length(least)}: a flattened spring clamps less.`,
        },
      ]
    : [{ decision: 'keep', limitFrom, sentence: say`Free cone height ${length(cone)}.` }];
}
