import type { Problem } from '@/core/evaluate/engine/problem';
import { length, say } from '@/core/text/sentence';
import { fieldPath } from '@/core/job/fieldPath';
import type { Job, Visit } from '@/core/job/types';
import { byText } from '@/core/order';
import type { Mm } from '@/core/units/quantity';
import { meterOf, runRead } from './meter';

/** No lining swells by more than this in oil, and no micrometer errs by it, mm. Assumed value. */
export const GROWN: Mm = 0.05;

const byDate = ({ visits }: Job): readonly Visit[] =>
  visits.length < 2 ? visits : [...visits].sort((a, b) => byText(a.date, b.date));

/**
 * Returns at which the meter stood lower than at an earlier date. Never throws.
 * @param job the record; the meter at intake comes before all returns
 * Source: a meter counts up.
 * @example meterRanBack(job) // []
 */
export function meterRanBack(job: Job): Problem[] {
  const { meter, quantity } = meterOf(job);
  let most = runRead(job, job.intake)?.value;
  return byDate(job).flatMap((visit): Problem[] => {
    const run = runRead(job, visit)?.value;
    if (run === undefined) return [];
    const before = most;
    most = Math.max(run, before ?? run);
    if (before === undefined || run >= before) return [];
    return [
      {
        path: fieldPath(`visits.*.${meter}`, visit.id),
        state: 'watch',
        sentence: say`The meter read ${{ value: before, quantity, decimals: 0 }} before: one of the two is wrong. After a meter change, enter the total run of the machine.`,
      },
    ];
  });
}

/**
 * Readings of a disc at a return that is thicker than it was before. Never throws.
 * @param job the record; readings of plates as the pack went in come before all returns
 * Source: wear takes away.
 * @example discsGrew(job) // []
 */
export function discsGrew(job: Job): Problem[] {
  if (job.visits.length === 0) return [];
  const last = new Map<string, Mm>();
  for (const { id, readings = {} } of job.pack.plates) {
    const all = Object.values(readings);
    if (all.length > 0) last.set(id, Math.min(...all.map((r) => r.value)));
  }
  return byDate(job).flatMap((visit) =>
    Object.entries(visit.readings).flatMap(([plateId, { value }]): Problem[] => {
      const before = last.get(plateId);
      last.set(plateId, value);
      if (before === undefined || value - before <= GROWN) return [];
      return [
        {
          path: fieldPath('visits.*.readings.*', visit.id, plateId),
          state: 'watch',
          sentence: say`It measured ${length(before)} before, and a disc can’t grow: one of the two is wrong, or this is a different disc.`,
        },
      ];
    }),
  );
}
