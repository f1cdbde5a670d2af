import { coilGroups } from '@/core/clutch/fitted';
import { runParts } from '@/core/inspect/run';
import type { FieldPath } from '@/core/job/fieldPath';
import { withEntry } from '@/core/job/paths';
import type { RunPart } from '@/core/inspect/runStep';
import { MAX_READINGS } from '@/core/job/fields';
import type { Fixture, Job, Plate, Sight } from '@/core/job/types';
import { SIGHTS } from '@/core/job/types';
import type { Reading } from '@/core/units/entrySpec';
import { toggled } from '@/core/toggled';

/** Records a reading with the gauge text and the date. An equal reading returns the same record. */
export function withReading(
  job: Job,
  path: FieldPath,
  { value, unit }: Pick<Reading, 'value' | 'unit'>,
  shown: string,
  day: string,
): Job {
  const typed = /[^\d.,\s+-]/.test(shown) ? shown.trim() : `${shown.trim()} ${unit.symbol}`.trim();
  return withEntry(job, path, { value, typed, source: { kind: 'measured', date: day } });
}

/** Springs to measure, as many as specified, unless there are some already. */
export function withSpringsToMeasure(job: Job, newId: () => string): Job {
  if (job.inspection.springLengths.length > 0) return job;
  const lengths = coilGroups(job).flatMap((g) =>
    Array.from({ length: g.count?.value ?? 0 }, () => ({ id: newId(), groupId: g.id })),
  );
  return lengths.length === 0
    ? job
    : {
        ...job,
        inspection: { ...job.inspection, springLengths: lengths.slice(0, MAX_READINGS) },
      };
}

export function withPlate(job: Job, plateId: string, part: Partial<Plate>): Job {
  return {
    ...job,
    pack: {
      ...job.pack,
      plates: job.pack.plates.map((p) => (p.id === plateId ? { ...p, ...part } : p)),
    },
  };
}

export function withPlateSight(job: Job, plateId: string, sight: Sight): Job {
  const plate = job.pack.plates.find((p) => p.id === plateId);
  if (!plate) return job;
  return withPlate(job, plateId, { seen: toggled(SIGHTS, plate.seen ?? [], sight) });
}

export function withFixtureSight(job: Job, fixture: Fixture, sight: Sight): Job {
  const { seen } = job.inspection;
  return {
    ...job,
    inspection: {
      ...job.inspection,
      seen: { ...seen, [fixture]: toggled(SIGHTS, seen[fixture] ?? [], sight) },
    },
  };
}

/** Default parts of a run: wearing parts, and the flatness of steels. */
const USUAL_RUN: readonly RunPart[] = ['discs', 'steels', 'flatness'];

/** Parts of a run before any choice: the plates, and springs already begun. */
export const usualRun = (job: Job): readonly RunPart[] =>
  [
    ...USUAL_RUN,
    ...(job.inspection.springLengths.length > 0 ? (['springs'] as const) : []),
    'start' as const,
  ].filter((part) => runParts(job).includes(part));
