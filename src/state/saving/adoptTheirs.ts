import { nanoid } from '@reduxjs/toolkit';

import { changedFields } from '@/core/job/changed';
import { copyOfEdit } from '@/core/job/derive';
import { entryAt } from '@/core/job/entryAt';
import type { Job } from '@/core/job/types';
import { jobActions } from '@/state/jobs/jobsSlice';
import type { AppStore } from '@/state/store';

import type { Clash } from './clashes';
import { DRAFTS_KEY } from './contents';
import { STORED_PARTS } from './parts';
import { JOB_KEY } from './readJobs';
import { ROWS_KEY } from './rowRecords';
import { isDrafts, isPlainRecord, storedJob } from './storedJob';
import { threeWay } from '@/storage/threeWay';

/**
 * Adopts records stored by another tab. A job with unsaved edits here is kept beside the other's; of all other records both
 * changes are merged.
 * @param keys that the other tab has written or taken away
 * @param theirs their present records; a missing one was deleted
 * @param written what this tab last read or wrote; brought up to what is stored now
 * @returns what both tabs had changed
 */
export function adoptTheirs(
  store: AppStore,
  keys: readonly string[],
  theirs: ReadonlyMap<string, unknown>,
  written: Map<string, unknown>,
  contentsNow: () => ReadonlyMap<string, unknown>,
): readonly Clash[] {
  const mine = contentsNow();
  const asStored = (key: string) => mine.get(key) === written.get(key);
  const taken: string[] = [];
  const clashes: Clash[] = [];
  for (const key of keys) {
    const value = theirs.get(key);
    if (key.startsWith(JOB_KEY)) {
      const id = key.slice(JOB_KEY.length);
      const job = storedJob(value);
      if (job) {
        const own = asStored(key) ? undefined : store.getState().jobs.entities[job.id];
        const edited = own && sameEdit(own, job) ? undefined : own;
        const newId = nanoid(10);
        store.dispatch(jobActions.jobSynced({ job, newId, ...(edited ? { edited } : {}) }));
        if (edited) clashes.push(jobClash(job, edited, newId));
        taken.push(key);
      } else if (value === undefined) {
        if (asStored(key)) store.dispatch(jobActions.jobGone(id));
        // A job edited here meanwhile is saved again.
        written.delete(key);
      }
    } else if (key.startsWith(DRAFTS_KEY)) {
      const jobId = key.slice(DRAFTS_KEY.length);
      const drafts = threeWay(written.get(key) ?? {}, mine.get(key) ?? {}, value ?? {});
      if (!isDrafts(drafts)) continue;
      store.dispatch(jobActions.draftsSynced({ jobId, drafts }));
      if (asStored(key) && value !== undefined) taken.push(key);
      else setOrDelete(written, key, value);
    } else if (key.startsWith(ROWS_KEY)) {
      // Both tabs make the same rows of the same jobs: the other's need no writing here.
      if (asStored(key)) taken.push(key);
    } else {
      const part = STORED_PARTS.find((p) => p.key === key);
      if (!part || value === undefined) continue;
      const untouched = asStored(key);
      const merged = untouched
        ? value
        : threeWay(written.get(key), mine.get(key), value, (path, kept, replaced) =>
            clashes.push(...valueClash(path, kept, replaced)),
          );
      if (!part.take(store.dispatch, merged)) continue;
      if (untouched) taken.push(key);
      else written.set(key, value);
    }
  }
  // Marked as stored in its present state.
  const now = contentsNow();
  for (const key of taken) setOrDelete(written, key, now.get(key));
  return clashes;
}

/** Whether both tabs made the same of a job, at whatever moment. */
const sameEdit = ({ updatedAt: _mine, ...a }: Job, { updatedAt: _theirs, ...b }: Job): boolean =>
  JSON.stringify(a) === JSON.stringify(b);

function jobClash(job: Job, edited: Job, copyId: string): Clash {
  return {
    kind: 'job',
    number: job.number,
    copyId,
    copyNumber: copyOfEdit(edited, copyId, edited.updatedAt).number,
    mine: 'copy',
    fields: changedFields(job, edited).map((path) => ({
      path,
      job: entryAt(job, path),
      copy: entryAt(edited, path),
    })),
  };
}

/** Only shelf and library conflicts are reported: a changed theme is visible. */
function valueClash(path: readonly unknown[], kept: unknown, replaced: unknown): readonly Clash[] {
  const item = path.findLast(isPlainRecord);
  const field = path.at(-1);
  if (!item || typeof field !== 'string') return [];
  const name = [item.label, item.name].find((text) => typeof text === 'string') ?? 'an entry';
  return [
    { kind: 'value', where: `${name}, ${field}`, kept: String(kept), replaced: String(replaced) },
  ];
}

function setOrDelete(map: Map<string, unknown>, key: string, value: unknown): void {
  if (value === undefined) map.delete(key);
  else map.set(key, value);
}
