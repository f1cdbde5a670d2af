import { MAX_TESTER_POINTS } from '@/core/job/fields';
import type { Entry, Job } from '@/core/job/types';
import type { Mm } from '@/core/units/quantity';
import type { TesterRow } from '@/files/springCsv';

/** By so much a tester reads longer than where it touched, without having left the spring, mm. */
const TOUCH_SCATTER = 0.1;
/** Presses that lie no further apart are one, taken again, mm. */
const SAME_PLACE = 0.05;

/** The points of a file in the place of those of a kind of spring. */
export function withTesterFile(
  job: Job,
  groupId: string,
  points: readonly TesterRow[],
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
  readings: readonly TesterRow[],
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

/**
 * Adds a tester press of the diaphragm as a point of its curve. Deflection counts from the length at first contact. A repeated
 * press replaces the point; an invalid number, or a length above first contact, changes nothing.
 */
export function withDiaphragmPoint(
  job: Job,
  firstTouch: Mm,
  reading: { readonly length: string; readonly force: string },
  id: string,
  day: string,
): Job {
  const deflection = Math.max(0, firstTouch - Number(reading.length));
  const force = Number(reading.force);
  if (!(Number(reading.length) <= firstTouch + TOUCH_SCATTER) || !(force >= 0)) return job;
  const points = job.springs.diaphragm.points.filter(
    (p) => Math.abs((p.deflection?.value ?? Infinity) - deflection) > SAME_PLACE,
  );
  if (points.length >= MAX_TESTER_POINTS) return job;
  const source: Entry['source'] = { kind: 'tested', date: day };
  const point = {
    id,
    deflection: { value: deflection, source },
    force: { value: force, source },
  };
  return {
    ...job,
    springs: {
      ...job.springs,
      diaphragm: { ...job.springs.diaphragm, points: [...points, point] },
    },
  };
}

/** Adds a tester pull as a point of a spring type; an invalid number changes nothing. */
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
