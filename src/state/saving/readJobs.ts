import type { JobRow } from '@/core/job/row';
import type { Job } from '@/core/job/types';
import type { AppStore } from '@/state/store';

import { whenIdle } from '@/storage/whenIdle';

import type { Damage, RecordStore } from '@/storage/records';
import { storedJob } from './storedJob';

/*
 * A workshop of thousands of jobs is not read before its list shows: the jobs last worked on come first, the others follow
 * a few at a time while the builder already works.
 */

export const JOB_KEY = 'job:';

/** Jobs that are read before anything shows, about as many as a list shows; the list itself needs but their rows. */
export const FIRST_READ = 16;
/** Jobs that are read at once later: a moment of the thread, so that it stays free for the hand. */
const AT_ONCE = 10;
/** Jobs that are put into the store at once: whatever shows all jobs is drawn again at each. */
const FIRST_BATCH = 250;

/** Read jobs, ids without a readable record, and damage found. */
export interface Found {
  readonly jobs: readonly Job[];
  readonly missing: readonly string[];
  readonly damaged: readonly Damage[];
}

/** Reads jobs; a record that is not a job is moved to the damaged records. */
async function fetchJobs(records: RecordStore, ids: readonly string[]): Promise<Found> {
  const { records: found, damaged } = await records.read(ids.map((id) => JOB_KEY + id));
  const read = new Map(ids.map((id) => [id, storedJob(found.get(JOB_KEY + id))] as const));
  const odd = ids.flatMap((id) => (!read.get(id) && found.has(JOB_KEY + id) ? [JOB_KEY + id] : []));
  if (odd.length > 0) await records.moveDamaged(odd);
  return {
    jobs: [...read.values()].filter((job) => job !== undefined),
    missing: ids.filter((id) => !read.get(id)),
    damaged: [...damaged, ...odd.map((key) => ({ key, fixed: false }))],
  };
}

/** As {@link fetchJobs}; damage is reported with the number of the row. */
async function fetchRows(records: RecordStore, rows: readonly JobRow[]): Promise<Found> {
  const found = await fetchJobs(
    records,
    rows.map((row) => row.id),
  );
  const byId = new Map(rows.map((row) => [row.id, row]));
  return {
    ...found,
    damaged: found.damaged.map((damage) => {
      const number = byId.get(damage.key.slice(JOB_KEY.length))?.number;
      return number === undefined ? damage : { ...damage, number };
    }),
  };
}

/**
 * The jobs to begin with, and the rows of those that are read later.
 * @param ids of every job that has a record
 * @param rows as they are stored; a job without one is read at once
 * @param most jobs that are read before anything shows
 */
export async function firstJobs(
  records: RecordStore,
  ids: readonly string[],
  rows: readonly JobRow[],
  most: number,
): Promise<Found & { readonly later: readonly JobRow[] }> {
  const stored = new Set(ids);
  const known = rows
    .filter((row) => stored.has(row.id))
    .sort((a, b) => (a.updatedAt < b.updatedAt ? 1 : -1));
  const listed = new Set(known.map((row) => row.id));
  const first = await fetchRows(records, known.slice(0, most));
  const others = await fetchJobs(
    records,
    ids.filter((id) => !listed.has(id)),
  );
  return { ...both(first, others), later: known.slice(most) };
}

/**
 * Reads the remaining jobs into the store, requested ones first.
 * @param put called with what was read, to put it into the store
 */
export async function readUnread(
  store: AppStore,
  records: RecordStore,
  put: (found: Found) => void,
): Promise<void> {
  const wanted = () => {
    const { unread, wantedId } = store.getState().jobs;
    return wantedId === undefined ? undefined : unread[wantedId];
  };
  await whenIdle(wanted() ? 0 : AT_LATEST_MS);
  // In the present order, newest first.
  const rows = Object.values(store.getState().jobs.unread);
  let read = NOTHING;
  for (let i = 0; i < rows.length; i += AT_ONCE) {
    const waited = wanted();
    if (waited) put(await fetchRows(records, [waited]));
    read = both(read, await fetchRows(records, rows.slice(i, i + AT_ONCE)));
    if (read.jobs.length >= FIRST_BATCH) {
      put(read);
      read = NOTHING;
    }
    await whenIdle(GO_ON_MS);
  }
  put(read);
}

/** Reading pauses while the builder works, but only for a limited time. */
const AT_LATEST_MS = 3000;
const GO_ON_MS = 100;

const NOTHING: Found = { jobs: [], missing: [], damaged: [] };

const both = (a: Found, b: Found): Found => ({
  jobs: [...a.jobs, ...b.jobs],
  missing: [...a.missing, ...b.missing],
  damaged: [...a.damaged, ...b.damaged],
});
