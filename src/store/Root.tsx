import type { ReactNode } from 'react';
import { useEffect } from 'react';
import type { FallbackProps } from 'react-error-boundary';
import { ErrorBoundary } from 'react-error-boundary';
import { Pressable, Text, View } from 'react-native';
import { PaperProvider } from 'react-native-paper';
import { Provider } from 'react-redux';

import { EMPTY_STOCK } from '@/core/shelf/stock';
import { watchUpdates } from '@/features/offline/useUpdate';
import { UnitsProvider } from '@/features/display/useUnits';
import { download } from '@/files/share';
import { setCurrentFlush, whenWritten } from '@/storage/current';
import { keptState, rememberGone, rememberKept } from '@/storage/kept';
import { holdTab, withLock } from '@/storage/locks';
import { askForPromise } from '@/storage/persistence';
import { openRaw } from '@/storage/raw';
import type { RecordStore } from '@/storage/records';
import { sealedRecords } from '@/storage/records';
import { dumpNow } from '@/storage/rescue';
import { StorageNotice } from '@/storage/StorageNotice';
import { goneFound } from '@/storage/storageSlice';
import { otherTabs } from '@/storage/tabs';
import type { FirstWorkshop } from '@/storage/workshop';
import { keepWorkshop } from '@/storage/workshop';
import { demoInWorker } from '@/workers/demoClient';
import { Action } from '@/ui/Action';
import { Fault } from '@/ui/Fault';
import { useOwnFonts } from '@/ui/fonts';
import '@/ui/print.css';
import { useThemeFor } from '@/ui/theme';
import { Words } from '@/ui/Words';

import { makeStore, useAppSelector } from './store';

const store = makeStore();

/** Everything that all screens stand on: the store, the stored workshop, theme and fonts. */
export function Root({ children }: { readonly children: ReactNode }) {
  useEffect(writeWhenHidden, []);
  return (
    <ErrorBoundary FallbackComponent={LastResort}>
      <Provider store={store}>
        <Themed>{children}</Themed>
      </Provider>
    </ErrorBoundary>
  );
}

function Themed({ children }: { readonly children: ReactNode }) {
  const theme = useThemeFor(useAppSelector((state) => state.display.theme));
  const loaded = useAppSelector((state) => state.jobs.loaded);
  const fonts = useOwnFonts();
  return (
    <PaperProvider theme={theme}>
      <View style={{ flex: 1, backgroundColor: theme.strata.ground }}>
        {loaded && fonts ? (
          <UnitsProvider>
            <StorageNotice />
            <Fault what="Under Ridge" ways={<Rescue />}>
              {children}
            </Fault>
          </UnitsProvider>
        ) : (
          <Words soft style={{ padding: 24 }}>
            Opening the workshop …
          </Words>
        )}
      </View>
    </PaperProvider>
  );
}

/** Where not even theme and units could be had: plain, and with the same two ways out. */
function LastResort({ error }: FallbackProps) {
  return (
    <View role="alert" style={{ padding: 24, gap: 16 }}>
      <Text role="heading">Under Ridge can’t be shown</Text>
      <Text>{`A fault of the program: ${error instanceof Error ? error.message : 'no reason given'}. What is stored is left as it is.`}</Text>
      <Pressable role="button" onPress={() => void saveAll()}>
        <Text>Save all that is stored</Text>
      </Pressable>
      <Pressable role="button" onPress={() => location.assign('/')}>
        <Text>Load the page anew</Text>
      </Pressable>
    </View>
  );
}

const saveAll = async () =>
  download('under-ridge-records.json', JSON.stringify(await dumpNow(), null, 1));

/** Where nothing can be shown any more, what is stored can still be taken away. */
function Rescue() {
  return (
    <>
      <Action icon="download" onPress={() => void saveAll()}>
        Save all that is stored
      </Action>
      <Action onPress={() => location.assign('/')}>Load the page anew</Action>
    </>
  );
}

/** Which workshop the server offers; the demo and an empty one never share records. */
async function offeredWorkshop(): Promise<'demo' | 'empty'> {
  const remembered = localStorage.getItem(REMEMBERED) === 'empty' ? 'empty' : 'demo';
  try {
    const answer = await fetch('/api/workshop');
    const told: unknown = answer.ok ? await answer.json() : undefined;
    const kind =
      typeof told === 'object' && told !== null && 'workshop' in told ? told.workshop : remembered;
    const offered = kind === 'empty' ? 'empty' : 'demo';
    localStorage.setItem(REMEMBERED, offered);
    return offered;
  } catch {
    // The development server answers no such question, and offline nobody does.
    return remembered;
  }
}

const REMEMBERED = 'under-ridge-workshop';

/** With the first thing that is entered, the browser is asked to keep it; a mere visit asks for nothing. */
function askOnce(name: string): void {
  const end = store.subscribe(() => {
    if (store.getState().storage.status !== 'saving') return;
    end();
    rememberKept(name);
    void askForPromise();
  });
}

/** Storage that can't be read is not empty: that is said elsewhere. */
const isEmpty = (records: RecordStore): Promise<boolean> =>
  records.keys().then(
    (keys) => keys.length === 0,
    () => false,
  );

/** @returns the name under which the workshop is kept */
async function openWorkshop(): Promise<string> {
  // A first visit is most likely to the demo workshop: it is made while the server is still asked.
  const early = localStorage.getItem(REMEMBERED) === null ? demoInWorker() : undefined;
  early?.catch(() => undefined);
  const offered = await offeredWorkshop();
  const first = async (): Promise<FirstWorkshop> => {
    if (offered !== 'demo') return { jobs: [], shelf: EMPTY_STOCK, library: [] };
    return await (early ?? demoInWorker());
  };
  const name = `under-ridge-${offered}`;
  holdTab(name);
  const records = sealedRecords(openRaw(name), name);
  const before = keptState(name);
  const gone = before === 'gone' || (before === 'kept' && (await isEmpty(records)));
  // Two tabs opened at once must not both make a first visit of it.
  setCurrentFlush(
    await withLock(`${name}-open`, () => keepWorkshop(store, records, first, otherTabs(name))),
  );
  if (gone) {
    rememberGone(name);
    store.dispatch(goneFound(name));
  }
  watchUpdates(name);
  return name;
}

// It opens while the first screen is still being drawn: worker, server and storage answer meanwhile.
void openWorkshop().then(askOnce);

function writeWhenHidden(): () => void {
  const writeNow = () => {
    if (document.visibilityState === 'hidden') void whenWritten();
  };
  document.addEventListener('visibilitychange', writeNow);
  return () => document.removeEventListener('visibilitychange', writeNow);
}
