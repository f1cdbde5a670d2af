import { MAX_TESTER_POINTS } from '@/core/job/fields';
import type { Entry, Job } from '@/core/job/types';

/** A pull of the spring tester as a point of a kind of spring; what is no number changes nothing. */
export function withTesterPoint(
  job: Job,
  groupId: string,
  reading: { readonly length: string; readonly force: string },
  id: string,
  day: string,
): Job {
  const length = Number(reading.length);
  const force = Number(reading.force);
  if (!(length > 0) || !(force >= 0)) return job;
  const source: Entry['source'] = { kind: 'tested', date: day };
  return {
    ...job,
    springs: {
      ...job.springs,
      coil: {
        ...job.springs.coil,
        groups: job.springs.coil.groups.map((g) =>
          g.id === groupId && g.testerPoints.length < MAX_TESTER_POINTS
            ? {
                ...g,
                testerPoints: [
                  ...g.testerPoints,
                  { id, length: { value: length, source }, force: { value: force, source } },
                ],
              }
            : g,
        ),
      },
    },
  };
}
