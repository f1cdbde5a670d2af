import { rowOf } from '@/core/job/row';
import type { Job } from '@/core/job/types';
import type { EarlierJob } from '@/core/job/upgrade';
import { upgradeJob } from '@/core/job/upgrade';
import type { Drafts } from '@/state/jobs/jobsSlice';

import { isRow } from './rowRecords';

/** The job in a record, brought up to this version; nothing where it is none, or one that can't even be listed. */
export function storedJob(value: unknown): Job | undefined {
  if (!looksLikeJob(value)) return undefined;
  try {
    const job = upgradeJob(value);
    return isRow(rowOf(job)) ? job : undefined;
  } catch {
    return undefined;
  }
}

export function isPlainRecord(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

/** Draft texts of a job's fields. */
export const isDrafts = (value: unknown): value is Drafts =>
  isPlainRecord(value) &&
  Object.values(value).every(
    (draft) => isPlainRecord(draft) && typeof draft.text === 'string' && isPlainRecord(draft.units),
  );

/** The parts that no screen could do without; files are checked by their full schema before they get here. */
function looksLikeJob(value: unknown): value is EarlierJob {
  return (
    isPlainRecord(value) &&
    typeof value.id === 'string' &&
    isPlainRecord(value.machine) &&
    isPlainRecord(value.engine) &&
    isPlainRecord(value.release) &&
    isPlainRecord(value.springs) &&
    isPlainRecord(value.springs.coil) &&
    isPlainRecord(value.springs.diaphragm) &&
    isPlainRecord(value.assist) &&
    isPlainRecord(value.startClutch) &&
    isPlainRecord(value.intake) &&
    isPlainRecord(value.strip) &&
    isPlainRecord(value.inspection) &&
    isPlainRecord(value.expanding) &&
    isPlainRecord(value.setting) &&
    Array.isArray(value.release.liftReadings) &&
    Array.isArray(value.photos) &&
    Array.isArray(value.springs.coil.groups) &&
    isPlainRecord(value.pack) &&
    Array.isArray(value.pack.kinds) &&
    Array.isArray(value.pack.plates)
  );
}
