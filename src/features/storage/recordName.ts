import { DRAFTS_KEY } from '@/state/saving/contents';
import { PICTURE_KEY } from '@/storage/pictures';
import { JOB_KEY } from '@/state/saving/readJobs';
import { ROWS_KEY } from '@/state/saving/rowRecords';

const PART_NAMES: Readonly<Record<string, string>> = {
  display: 'Units and theme',
  shelf: 'The shelf',
  templates: 'The shop’s checklists',
  library: 'The limits library',
  typed: 'Unfinished entries of the shelf',
  practice: 'Exercises and recorded hands',
  backup: 'The date of the last backup',
  workshop: 'The workshop’s own key',
};

/**
 * The content of a record, in words.
 * @param number of the job, where it is known
 */
export function recordName(key: string, number?: string): string {
  const after = (start: string) => (key.startsWith(start) ? key.slice(start.length) : undefined);
  const jobId = after(JOB_KEY);
  if (jobId !== undefined) return `Job ${number ?? `with the key ${jobId}`}`;
  const draftsOf = after(DRAFTS_KEY);
  if (draftsOf !== undefined) return `Unfinished entries of job ${number ?? draftsOf}`;
  if (key.startsWith(PICTURE_KEY)) return 'A photograph';
  if (key.startsWith(ROWS_KEY)) return 'A part of the list';
  return PART_NAMES[key] ?? `The record ${key}`;
}
