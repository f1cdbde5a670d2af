import { jobActions } from '@/features/jobs/jobsSlice';
import type { AppStore } from '@/store/store';

import { DRAFTS_KEY } from './contents';
import { PARTS } from './parts';
import { JOB_KEY } from './readJobs';
import { ROWS_KEY } from './rowRecords';
import { isDrafts, storedJob } from './storedJob';
import { threeWay } from './threeWay';

/**
 * Takes over what another tab has stored. A job that was edited here and is not stored yet stays, as a job of its own
 * beside the other's; of everything else both changes are kept.
 * @param keys that the other tab has written or taken away
 * @param theirs what stands in them now; one that is not there was taken away
 * @param written what this tab last read or wrote; brought up to what is stored now
 */
export function takeOver(
  store: AppStore,
  keys: readonly string[],
  theirs: ReadonlyMap<string, unknown>,
  written: Map<string, unknown>,
  contentsNow: () => ReadonlyMap<string, unknown>,
): void {
  const mine = contentsNow();
  const asStored = (key: string) => mine.get(key) === written.get(key);
  const taken: string[] = [];
  for (const key of keys) {
    const value = theirs.get(key);
    if (key.startsWith(JOB_KEY)) {
      const id = key.slice(JOB_KEY.length);
      const job = storedJob(value);
      if (job) {
        const edited = asStored(key) ? undefined : store.getState().jobs.entities[job.id];
        store.dispatch(jobActions.jobSynced({ job, ...(edited ? { edited } : {}) }));
        taken.push(key);
      } else if (value === undefined) {
        if (asStored(key)) store.dispatch(jobActions.jobGone(id));
        // One that was edited here meanwhile is stored anew.
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
      const part = PARTS.find((p) => p.key === key);
      if (!part || value === undefined) continue;
      const untouched = asStored(key);
      const merged = untouched ? value : threeWay(written.get(key), mine.get(key), value);
      if (!part.take(store.dispatch, merged)) continue;
      if (untouched) taken.push(key);
      else written.set(key, value);
    }
  }
  // As it stands in the store now, so that it counts as stored.
  const now = contentsNow();
  for (const key of taken) setOrDelete(written, key, now.get(key));
}

function setOrDelete(map: Map<string, unknown>, key: string, value: unknown): void {
  if (value === undefined) map.delete(key);
  else map.set(key, value);
}
