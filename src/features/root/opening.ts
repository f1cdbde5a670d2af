import { EMPTY_STOCK } from '@/core/shelf/stock';
import { watchUpdates } from '@/features/offline/useUpdate';
import { setCurrentFlush, whenWritten } from '@/storage/current';
import { keptState, rememberGone, rememberKept } from '@/storage/kept';
import { holdTab, withLock } from '@/storage/locks';
import { askForPromise } from '@/storage/persistence';
import { openRaw } from '@/storage/raw';
import { addAppListener } from '@/state/store';
import type { RecordStore } from '@/storage/records';
import { sealedRecords } from '@/storage/records';
import { goneFound } from '@/state/storageSlice';
import { otherTabs } from '@/state/saving/tabs';
import type { FirstWorkshop } from '@/state/saving/workshop';
import { keepWorkshop } from '@/state/saving/workshop';

import { neverOffered, offeredWorkshop } from './offered';
import type { AppStore } from '@/state/store';

/** With the first thing that is entered, the browser is asked to keep it; a mere visit asks for nothing. */
function askOnce(store: AppStore, name: string): void {
  store.dispatch(
    addAppListener({
      predicate: (_action, { storage }) => storage.status === 'saving',
      effect: (_action, { unsubscribe }) => {
        unsubscribe();
        rememberKept(name);
        void askForPromise();
      },
    }),
  );
}

/** Storage that can't be read is not empty: that is said elsewhere. */
const isEmpty = (records: RecordStore): Promise<boolean> =>
  records.keys().then(
    (keys) => keys.length === 0,
    () => false,
  );

/** The server offers another workshop than before: this page goes over to it, with nothing lost of what was entered here. */
const goOver = () => void whenWritten().then(() => location.reload());

/** The demo workshop, as the build has worked it out by the core. */
async function fetchDemo(): Promise<FirstWorkshop> {
  const answer = await fetch('/demo-workshop.json');
  if (!answer.ok) throw new Error(`The demo workshop could not be loaded: ${answer.status}.`);
  return (await answer.json()) as FirstWorkshop;
}

/** Fills the store with the workshop that is offered, and keeps it from then on. */
export async function openWorkshop(store: AppStore): Promise<void> {
  const atList = location.pathname === '/';
  // A first visit is most likely to the demo workshop: it comes while the server is still asked.
  const early = neverOffered() ? fetchDemo() : undefined;
  early?.catch(() => undefined);
  const offered = await offeredWorkshop(goOver);
  const first = async (): Promise<FirstWorkshop> => {
    if (offered !== 'demo') return { jobs: [], shelf: EMPTY_STOCK, library: [] };
    return await (early ?? fetchDemo());
  };
  const name = `under-ridge-${offered}`;
  holdTab(name);
  const records = sealedRecords(openRaw(name), name);
  const before = keptState(name);
  const gone = before === 'gone' || (before === 'kept' && (await isEmpty(records)));
  // The list stands from its rows alone.
  const atFirst = atList ? 0 : undefined;
  // Two tabs opened at once must not both make a first visit of it.
  setCurrentFlush(
    await withLock(`${name}-open`, () =>
      keepWorkshop(store, records, first, otherTabs(name), atFirst, name),
    ),
  );
  if (gone) {
    rememberGone(name);
    store.dispatch(goneFound(name));
  }
  watchUpdates(name);
  askOnce(store, name);
}
