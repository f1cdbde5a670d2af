import { MAX_TESTER_POINTS } from '@/core/job/fields';
import type { Entry, Job } from '@/core/job/types';
import type { SpringReading } from '@/files/springCsv';

/** The points of a file in the place of those of a kind of spring. */
export function withTesterFile(
  job: Job,
  groupId: string,
  points: readonly SpringReading[],
  day: string,
  newId: () => string,
): Job {
  const source: Entry['source'] = { kind: 'tested', date: day };
  const testerPoints = points.map(({ at, force }) => ({
    id: newId(),
    length: { value: at, source },
    force: { value: force, source },
  }));
  const groups = job.springs.coil.groups.map((g) =>
    g.id === groupId ? { ...g, testerPoints } : g,
  );
  return { ...job, springs: { ...job.springs, coil: { ...job.springs.coil, groups } } };
}

/** The points of a file in the place of those of the diaphragm. */
export function withDiaphragmFile(
  job: Job,
  readings: readonly SpringReading[],
  day: string,
  newId: () => string,
): Job {
  const source: Entry['source'] = { kind: 'tested', date: day };
  const points = readings.map(({ at, force }) => ({
    id: newId(),
    deflection: { value: at, source },
    force: { value: force, source },
  }));
  return {
    ...job,
    springs: { ...job.springs, diaphragm: { ...job.springs.diaphragm, points } },
  };
}

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
