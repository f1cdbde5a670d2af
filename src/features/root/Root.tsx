import type { ReactNode } from 'react';
import { Suspense } from 'react';
import { router, usePathname } from 'expo-router';
import type { FallbackProps } from 'react-error-boundary';
import { ErrorBoundary as BareBoundary } from 'react-error-boundary';
import { Pressable, StyleSheet, Text, View } from 'react-native';
import { Provider } from 'react-redux';

import { UnitsProvider } from '@/features/display/useUnits';
import { KeyHelp } from '@/features/keys/KeyHelp';
import { WordHost } from '@/features/words/WordHost';
import { download } from '@/files/share';
import { dumpStored } from '@/storage/rescue';
import { StorageNotice } from '@/features/storage/StorageNotice';
import { Action } from '@/ui/Action';
import { ErrorBoundary } from '@/ui/ErrorBoundary';
import '@/ui/print.css';
import { SPACE, useBrowserParts, useThemeFor } from '@/ui/theme';
import { Words } from '@/ui/Words';

import { Ground } from './Ground';
import { openWorkshop } from './opening';
import { makeStore, useAppSelector } from '@/state/store';

const store = makeStore();

// It opens while the first screen is still being drawn: worker, server and storage answer meanwhile.
void openWorkshop(store);

/** The root of all screens: store, stored workshop, theme and fonts. */
export function Root({ children }: { readonly children: ReactNode }) {
  return (
    <BareBoundary FallbackComponent={RootError}>
      <Provider store={store}>
        <Themed>{children}</Themed>
      </Provider>
    </BareBoundary>
  );
}

function Themed({ children }: { readonly children: ReactNode }) {
  const theme = useThemeFor(useAppSelector((state) => state.display.theme));
  useBrowserParts(theme);
  const loaded = useAppSelector((state) => state.jobs.loaded);
  return (
    // Outside the frame: overlays are rendered there, and show units as well.
    <UnitsProvider>
      <Ground theme={theme}>
        {loaded ? (
          <>
            <StorageNotice />
            <ErrorBoundary what="Under Ridge" ways={<Rescue />}>
              <Screen>{children}</Screen>
            </ErrorBoundary>
          </>
        ) : (
          <Opening>Opening the workshop …</Opening>
        )}
      </Ground>
    </UnitsProvider>
  );
}

const Opening = ({ children }: { readonly children: string }) => (
  <Words soft style={styles.text}>
    {children}
  </Words>
);

/** A screen that fails leaves the way to the others; the words are explained over all of them. */
function Screen({ children }: { readonly children: ReactNode }) {
  return (
    <ErrorBoundary
      what="This screen"
      resetKeys={[usePathname()]}
      ways={
        <Action icon="arrow-left" onPress={() => router.replace('/')}>
          Go to jobs
        </Action>
      }
    >
      <Suspense fallback={<Opening>Opening …</Opening>}>
        <WordHost>{children}</WordHost>
      </Suspense>
      <KeyHelp />
    </ErrorBoundary>
  );
}

/** Where not even theme and units could be had: plain, and with the same two ways out. */
function RootError({ error }: FallbackProps) {
  return (
    <View role="alert" style={styles.padded}>
      <Text role="heading">Under Ridge can’t be shown</Text>
      <Text>{`Program error: ${error instanceof Error ? error.message : 'no reason given'}. Stored data is unchanged.`}</Text>
      <Pressable role="button" onPress={() => void saveAllStored()}>
        <Text>Save all stored data</Text>
      </Pressable>
      <Pressable role="button" onPress={() => location.assign('/')}>
        <Text>Reload the page</Text>
      </Pressable>
    </View>
  );
}

const saveAllStored = async () =>
  download('under-ridge-records.json', JSON.stringify(await dumpStored(), null, 1));

/** When no screen can be shown, the stored data can still be saved. */
function Rescue() {
  return (
    <>
      <Action icon="download" onPress={() => void saveAllStored()}>
        Save all stored data
      </Action>
      <Action onPress={() => location.assign('/')}>Reload the page</Action>
    </>
  );
}

const styles = StyleSheet.create({
  text: { padding: SPACE.wide },
  padded: { padding: SPACE.wide, gap: SPACE.margin },
});
