import { EMPTY_STOCK } from '@/core/shelf/stock';
import { watchUpdates } from '@/features/offline/useUpdate';
import { setCurrentFlush, whenWritten } from '@/storage/current';
import { keptState, rememberGone, rememberKept } from '@/storage/kept';
import { holdTab, withLock } from '@/storage/locks';
import { requestPersistence } from '@/storage/persistence';
import { openRaw } from '@/storage/raw';
import { addAppListener } from '@/state/store';
import type { RecordStore } from '@/storage/records';
import { sealedRecords } from '@/storage/records';
import { removalFound } from '@/state/storageSlice';
import { otherTabs } from '@/state/saving/tabs';
import type { FirstWorkshop } from '@/state/saving/keeper';
import { startSaving } from '@/state/saving/workshop';

import { neverOffered, offeredWorkshop } from './offered';
import type { AppStore } from '@/state/store';

/** Requests persistent storage at the first entry, not on a mere visit. */
function askForPersistenceOnce(store: AppStore, name: string): void {
  store.dispatch(
    addAppListener({
      predicate: (_action, { storage }) => storage.status === 'saving',
      effect: (_action, { unsubscribe }) => {
        unsubscribe();
        rememberKept(name);
        void requestPersistence();
      },
    }),
  );
}

/** Unreadable storage is not empty: that is reported elsewhere. */
const isEmpty = (records: RecordStore): Promise<boolean> =>
  records.keys().then(
    (keys) => keys.length === 0,
    () => false,
  );

/** The server offers a different workshop: this page switches to it and keeps all entries. */
const switchWorkshop = () => void whenWritten().then(() => location.reload());

/** The demo workshop, as the build has worked it out by the core. */
async function fetchDemo(): Promise<FirstWorkshop> {
  const answer = await fetch('/demo-workshop.json');
  if (!answer.ok) throw new Error(`The demo workshop could not be loaded: ${answer.status}.`);
  return (await answer.json()) as FirstWorkshop;
}

/** Fills the store with the workshop that is offered, and keeps it from then on. */
export async function openWorkshop(store: AppStore): Promise<void> {
  const atList = location.pathname === '/';
  // A first visit usually gets the demo workshop: it is fetched while the server is asked.
  const early = neverOffered() ? fetchDemo() : undefined;
  early?.catch(() => undefined);
  const offered = await offeredWorkshop(switchWorkshop);
  const first = async (): Promise<FirstWorkshop> => {
    if (offered !== 'demo') return { jobs: [], shelf: EMPTY_STOCK, library: [] };
    return await (early ?? fetchDemo());
  };
  const name = `under-ridge-${offered}`;
  holdTab(name);
  const records = sealedRecords(openRaw(name), name);
  const before = keptState(name);
  const gone = before === 'gone' || (before === 'kept' && (await isEmpty(records)));
  // The list needs rows only.
  const atFirst = atList ? 0 : undefined;
  // Two tabs opened at once must not both run a first visit.
  setCurrentFlush(
    await withLock(`${name}-open`, () =>
      startSaving(store, records, first, otherTabs(name), atFirst, name),
    ),
  );
  if (gone) {
    rememberGone(name);
    store.dispatch(removalFound(name));
  }
  watchUpdates(name);
  askForPersistenceOnce(store, name);
}
