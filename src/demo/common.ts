import { entry } from '@/core/job/entry';
import type { Entry, Job, Plate, Source } from '@/core/job/types';
import { POINTS } from '@/core/job/types';
import { cameAsNow } from '@/core/strip/asCame';
import { smallParts, stripLines } from '@/core/strip/stripList';

/* Shared parts of the invented demo workshop: only inputs, every result comes from the core. */

export const MANUAL: Source = { kind: 'manual', note: 'made-up manual of the demo machine' };
export const measuredOn = (date: string): Source => ({ kind: 'measured', date });
export const testedOn = (date: string): Source => ({ kind: 'tested', date });
export const manual = (value: number): Entry => entry(value, MANUAL);

/** Spec sheets of the shop, by machine. */
export const LIMITS_OF_TARN = 'limits-tarn-450';
export const LIMITS_OF_HOLM = 'limits-holm-700';

/** Readings put on plates in their order; a plate without a list stays unmeasured. */
export function read(
  plates: readonly Plate[],
  readings: readonly (readonly number[])[],
  date: string,
): Plate[] {
  const source = measuredOn(date);
  return plates.map((p, i) => ({
    ...p,
    readings: Object.fromEntries(
      (readings[i] ?? []).map((v, point) => [POINTS[point], entry(v, source)]),
    ),
  }));
}

/** The completed strip list of this clutch with counts; 1 for every part not named. */
export function stripped(
  job: Job,
  date: string,
  counts: Readonly<Record<string, number>>,
  notes = '',
): Job {
  const source = measuredOn(date);
  return {
    ...job,
    setting: { separatePrimary: false, ...job.setting },
    strip: {
      ...job.strip,
      hubStays: false,
      came: cameAsNow(job),
      steps: stripLines(job).map((l, i) => ({ ...l, id: `s${i}`, done: true })),
      parts: smallParts(job).map((p, i) => ({
        ...p,
        id: `n${i}`,
        out: entry(counts[p.name] ?? 1, source),
      })),
      notes,
    },
  };
}
