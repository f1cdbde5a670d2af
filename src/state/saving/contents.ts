import type { Drafts } from '@/state/jobs/jobsSlice';
import type { RootState } from '@/state/store';

import { STORED_PARTS } from './parts';
import { JOB_KEY } from './readJobs';
import type { RowRecords } from './rowRecords';
import { isDrafts } from './storedJob';

const ABOUT_KEY = 'workshop';
export const DRAFTS_KEY = 'drafts:';

const ABOUT = { schema: 1 };

/** Every record that should be stored; values are shared with the store, so that a change is a new reference. */
export function contents(state: RootState, rows: RowRecords): Map<string, unknown> {
  const { jobs } = state;
  const all = new Map<string, unknown>();
  for (const id of jobs.ids) all.set(JOB_KEY + id, jobs.entities[id]);
  for (const [id, drafts] of Object.entries(jobs.drafts)) {
    if (Object.keys(drafts).length > 0) all.set(DRAFTS_KEY + id, drafts);
  }
  for (const { key, of } of STORED_PARTS) all.set(key, of(state));
  for (const [key, value] of rows.of(state)) all.set(key, value);
  all.set(ABOUT_KEY, ABOUT);
  return all;
}

/** The parts of the state that are stored, to see whether any changed. */
export const storedParts = (state: RootState): readonly unknown[] => [
  state.jobs,
  ...STORED_PARTS.map(({ of }) => of(state)),
];

export function draftsIn(found: ReadonlyMap<string, unknown>): Readonly<Record<string, Drafts>> {
  return Object.fromEntries(
    [...found]
      .filter(([key]) => key.startsWith(DRAFTS_KEY))
      .flatMap(([key, value]) =>
        isDrafts(value) ? [[key.slice(DRAFTS_KEY.length), value] as const] : [],
      ),
  );
}
