import { backupActions } from '@/state/backupSlice';
import { jobActions } from '@/state/jobs/jobsSlice';
import { verdictsFound } from '@/state/verdictsSlice';
import type { AppStore } from '@/state/store';
import { DRAFTS_KEY, draftsIn } from './contents';
import { STORED_PARTS } from './parts';
import { setCurrentRecords } from '@/storage/current';
import { describeFailure } from '@/storage/faults';
import { PICTURE_KEY } from '@/storage/pictures';
import { Leaving, storeLeft } from './leaving';
import { FIRST_READ, firstJobs, JOB_KEY } from './readJobs';
import type { RecordStore } from '@/storage/records';
import { RowRecords } from './rowRecords';
import { damageFound, storageChanged } from '@/state/storageSlice';
import { isDrafts } from './storedJob';
import type { OtherTabs } from './tabs';
import { ALONE } from './tabs';
import { Keeper, begin } from './keeper';
import type { FirstWorkshop, Flush } from './keeper';

/**
 * Loads the store from the records, on the first visit with the demo workshop if there is one, and then saves every change.
 * Unreadable storage is never overwritten; work continues in memory.
 * @param atFirst jobs that are read before anything shows; the others follow
 * @param name of the workshop
 * @returns a function that writes at once what is still waiting
 */
export async function startSaving(
  store: AppStore,
  records: RecordStore,
  first: () => Promise<FirstWorkshop>,
  tabs: OtherTabs = ALONE,
  atFirst = FIRST_READ,
  name = 'under-ridge',
): Promise<Flush> {
  const rows = new RowRecords();
  setCurrentRecords(records);
  try {
    const damaged = await storeLeft(name, records);
    if (damaged.length > 0) store.dispatch(damageFound(damaged));
    const stored = await open(store, records, rows, first, atFirst);
    const keeper = new Keeper(store, records, rows, tabs, new Leaving(name));
    await keeper.begin(stored);
    return () => keeper.flush();
  } catch (error) {
    store.dispatch(storageChanged({ ...describeFailure(error), status: 'memory' }));
    if (!store.getState().jobs.loaded) {
      // Storage that is shut altogether is a first visit; one that is there and can't be read is not.
      const fresh = await records.keys().then(() => undefined, first);
      begin(store, fresh ?? { jobs: [], shelf: store.getState().shelf, library: [] });
    }
    return () => Promise.resolve();
  }
}

/** Fills the store. @returns whether there was anything stored */
async function open(
  store: AppStore,
  records: RecordStore,
  rows: RowRecords,
  first: () => Promise<FirstWorkshop>,
  atFirst: number,
): Promise<boolean> {
  const keys = await records.keys();
  if (keys.length === 0) {
    begin(store, await first());
    return false;
  }
  const { records: found, damaged } = await records.read(
    keys.filter((key) => !key.startsWith(JOB_KEY) && !key.startsWith(PICTURE_KEY)),
  );
  const ids = keys.filter((key) => key.startsWith(JOB_KEY)).map((k) => k.slice(JOB_KEY.length));
  store.dispatch(backupActions.backupLoaded({ since: new Date().toISOString(), made: false }));
  const odd = [
    ...STORED_PARTS.filter(
      ({ key, take }) => found.has(key) && !take(store.dispatch, found.get(key)),
    ).map(({ key }) => key),
    ...[...found.keys()].filter((key) => key.startsWith(DRAFTS_KEY) && !isDrafts(found.get(key))),
  ];
  if (odd.length > 0) await records.moveDamaged(odd);
  const listed = rows.begin(found);
  store.dispatch(verdictsFound(listed));
  const read = await firstJobs(records, ids, listed, atFirst);
  store.dispatch(
    jobActions.jobsLoaded({ jobs: read.jobs, drafts: draftsIn(found), unread: read.later }),
  );
  const all = [...damaged, ...odd.map((key) => ({ key, fixed: false })), ...read.damaged];
  if (all.length > 0) store.dispatch(damageFound(all));
  return true;
}
