import type { FieldPath } from '../job/fieldPath';
import { entryAt } from '../job/entryAt';
import type { Job } from '../job/types';

/**
 * Where a limit comes from, in words for beside the reason.
 * @example limitSource(job, 'inspection.taperLimit') // "assumed limit"
 */
export function limitSource(job: Job, path: FieldPath): string {
  const entry = entryAt(job, path);
  if (!entry) return 'assumed limit';
  const { kind = 'entered', date, note } = entry.source ?? {};
  const said =
    kind === 'manual'
      ? 'limit from the manual'
      : kind === 'estimate'
        ? 'assumed limit'
        : 'limit entered';
  return [said, note, date].filter(Boolean).join(', ');
}
