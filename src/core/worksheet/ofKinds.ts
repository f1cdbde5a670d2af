import { fittedKinds } from '../clutch/fitted';
import type { Job } from '../job/types';
import type { ChecklistPlace, ChecklistLine } from './line';

/**
 * The lines that the kinds of clutch of a job have at one place of the checklists.
 * @example checklistAt(job, 'springs')[0].key // "springs"
 */
export const checklistAt = (job: Job, place: ChecklistPlace): readonly ChecklistLine[] =>
  fittedKinds(job).flatMap((kind) => kind.checklist?.(job)[place] ?? []);
