import type { ReactNode } from 'react';
import { useEffect } from 'react';
import type { FallbackProps } from 'react-error-boundary';
import { ErrorBoundary } from 'react-error-boundary';
import { Pressable, Text, View } from 'react-native';
import { Provider } from 'react-redux';

import { UnitsProvider } from '@/features/display/useUnits';
import { forgetPicture, keepPicture } from '@/features/lastSeen/keep';
import { download } from '@/files/share';
import { whenWritten } from '@/storage/current';
import { dumpNow } from '@/storage/rescue';
import { StorageNotice } from '@/storage/StorageNotice';
import { Action } from '@/ui/Action';
import { Fault } from '@/ui/Fault';
import { FONTS, useOwnFonts } from '@/ui/fonts';
import '@/ui/print.css';
import { useBrowserParts, useThemeFor } from '@/ui/theme';
import { Words } from '@/ui/Words';

import { Ground } from './Ground';
import { openWorkshop } from './opening';
import type { RootState } from './store';
import { makeStore, useAppSelector } from './store';

const store = makeStore();

// It opens while the first screen is still being drawn: worker, server and storage answer meanwhile.
void openWorkshop(store);

forgetOnChange();

/** Everything that all screens stand on: the store, the stored workshop, theme and fonts. */
export function Root({ children }: { readonly children: ReactNode }) {
  useEffect(keepWhenHidden, []);
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
  useBrowserParts(theme);
  const loaded = useAppSelector((state) => state.jobs.loaded);
  const fonts = useOwnFonts();
  return (
    // Around the ground: what lies over the work is drawn there, and shows units as well.
    <UnitsProvider>
      <Ground theme={theme}>
        {loaded && fonts ? (
          <>
            <StorageNotice />
            <Fault what="Under Ridge" ways={<Rescue />}>
              {children}
            </Fault>
          </>
        ) : (
          <Words soft style={{ padding: 24 }}>
            Opening the workshop …
          </Words>
        )}
      </Ground>
    </UnitsProvider>
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

/** A picture of a screen is true until anything changes but how far writing has come. */
function forgetOnChange(): void {
  const told = ({ storage: _storage, ...rest }: RootState) => Object.values(rest);
  let before = told(store.getState());
  store.subscribe(() => {
    const now = told(store.getState());
    if (now.some((part, i) => part !== before[i])) forgetPicture();
    before = now;
  });
}

/** A page that goes out of sight may never come back: what waits is written, and what is seen is kept. */
function keepWhenHidden(): () => void {
  const keepNow = () => {
    if (document.visibilityState !== 'hidden') return;
    const { jobs, storage } = store.getState();
    // What can't be stored is not there when the page is opened again.
    const kept = storage.status === 'saved' || storage.status === 'saving';
    if (jobs.loaded && kept) keepPicture(FONTS);
    void whenWritten();
  };
  document.addEventListener('visibilitychange', keepNow);
  return () => document.removeEventListener('visibilitychange', keepNow);
}
