import type { FieldPath } from '@/core/job/fieldPath';
import { fieldAt } from '@/core/job/fields';
import type { Job } from '@/core/job/types';
import { lowerFirst } from '@/core/text/sentence';
import type { PartVerdict } from './partVerdict';

/**
 * The missing limits for measured plates, by plate type.
 * @param job the record
 * @param parts its parts, as they were judged
 * Never throws. Source: workshop practice; `docs/mechanics.md`, inspection.
 * @example missingLimits(job, inspect(job, evaluate(job)).parts) // []
 */
export function missingLimits(
  job: Job,
  parts: readonly PartVerdict[],
): readonly { readonly path: FieldPath; readonly name: string }[] {
  const paths = new Set(parts.flatMap((p) => p.reasons.flatMap((r) => r.missing ?? [])));
  return [...paths].map((path) => {
    const kind = job.pack.kinds.find((k) => path.includes(`.${k.id}.`));
    return {
      path,
      name: kind
        ? `the minimum thickness of ${kind.name || 'the plates'}`
        : `the limit “${lowerFirst(fieldAt(path).across ?? fieldAt(path).label)}”`,
    };
  });
}
