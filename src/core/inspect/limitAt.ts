import { entryAt } from '../job/entryAt';
import type { FieldPath } from '../job/fieldPath';
import { fieldAt } from '../job/fields';
import type { Job } from '../job/types';
import type { Mm } from '../units/quantity';

/**
 * A limit of the job: entered, else its assumed value.
 * @example limitAt(blank, 'inspection.notchLimit') // 0.5
 */
export function limitAt(job: Job, path: FieldPath): Mm | undefined {
  return entryAt(job, path)?.value ?? fieldAt(path).estimate?.value;
}
