import type { JobRow } from '@/core/job/row';
import { rowOf } from '@/core/job/row';
import type { Job } from '@/core/job/types';
import { rememberRow } from '@/features/jobs/rows';
import type { AppStore } from '@/store/store';

import { whenIdle } from '@/ui/useLater';

import type { RecordStore } from './records';
import { storedJob } from './storedJob';

/*
 * A workshop of thousands of jobs is not read before its list shows: the jobs last worked on come first, the others follow
 * a few at a time while the builder already works.
 */

export const JOB_KEY = 'job:';

/** Jobs that are read before anything shows, about as many as a list shows. */
const FIRST = 16;
/** Jobs that are read at once later: a moment of the thread, so that it stays free for the hand. */
const AT_ONCE = 10;
/** Jobs that are put into the store at once: whatever shows all jobs is drawn again at each. */
const PUT_AT_ONCE = 250;

/** Jobs by their identifiers, and those of which there is no record that can be read. */
interface Found {
  readonly jobs: readonly Job[];
  readonly missing: readonly string[];
}

async function fetchJobs(records: RecordStore, rows: readonly JobRow[]): Promise<Found> {
  const { records: found, damaged } = await records.read(rows.map((row) => JOB_KEY + row.id));
  sayDamaged(damaged);
  const jobs: Job[] = [];
  const missing: string[] = [];
  for (const row of rows) {
    const job = storedJob(found.get(JOB_KEY + row.id));
    if (!job) {
      missing.push(row.id);
      continue;
    }
    jobs.push(job);
    const { verdict: _verdict, ...plain } = row;
    if (JSON.stringify(rowOf(job)) === JSON.stringify(plain)) rememberRow(job, row);
  }
  return { jobs, missing };
}

/**
 * The jobs to begin with, and the rows of those that are read later.
 * @param ids of every job that has a record
 * @param rows as they are stored; a job without one is read at once
 */
export async function firstJobs(
  records: RecordStore,
  ids: readonly string[],
  rows: readonly JobRow[],
): Promise<{ readonly jobs: readonly Job[]; readonly later: readonly JobRow[] }> {
  const stored = new Set(ids);
  const known = rows
    .filter((row) => stored.has(row.id))
    .sort((a, b) => (a.updatedAt < b.updatedAt ? 1 : -1));
  const listed = new Set(known.map((row) => row.id));
  const unlisted = ids.filter((id) => !listed.has(id)).map((id) => JOB_KEY + id);
  const { records: found, damaged } = await records.read(unlisted);
  sayDamaged(damaged);
  const { jobs } = await fetchJobs(records, known.slice(0, FIRST));
  return {
    jobs: [...jobs, ...[...found.values()].flatMap((value) => storedJob(value) ?? [])],
    later: known.slice(FIRST),
  };
}

/**
 * Reads the jobs that are still unread into the store, the one that somebody waits for first.
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
  // As they stand, which is newest first.
  const rows = Object.values(store.getState().jobs.unread);
  let read: Found = { jobs: [], missing: [] };
  for (let i = 0; i < rows.length; i += AT_ONCE) {
    const waited = wanted();
    if (waited) put(await fetchJobs(records, [waited]));
    const { jobs, missing } = await fetchJobs(records, rows.slice(i, i + AT_ONCE));
    read = { jobs: [...read.jobs, ...jobs], missing: [...read.missing, ...missing] };
    if (read.jobs.length >= PUT_AT_ONCE) {
      put(read);
      read = { jobs: [], missing: [] };
    }
    await whenIdle(GO_ON_MS);
  }
  put(read);
}

/** Reading gives way to whatever the builder does, but not for ever. */
const AT_LATEST_MS = 3000;
const GO_ON_MS = 100;

/** Where a record can't be read its text stays where it is, so that it can still be rescued. */
export function sayDamaged(keys: readonly string[]): void {
  if (keys.length > 0)
    console.warn(`Records that can’t be read were left aside: ${keys.join(', ')}`);
}
