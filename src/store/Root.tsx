import type { ReactNode } from 'react';
import { useEffect } from 'react';
import { View } from 'react-native';
import { PaperProvider } from 'react-native-paper';
import { Provider } from 'react-redux';

import { EMPTY_STOCK } from '@/core/shelf/stock';
import { loadWorkbench } from '@/features/onWorkbench';
import { UnitsProvider } from '@/features/display/useUnits';
import { openRecords } from '@/storage/records';
import { otherTabs } from '@/storage/tabs';
import type { FirstWorkshop } from '@/storage/workshop';
import { keepWorkshop } from '@/storage/workshop';
import { useOwnFonts } from '@/ui/fonts';
import '@/ui/print.css';
import { useThemeFor } from '@/ui/theme';
import { Words } from '@/ui/Words';

import { makeStore, useAppSelector } from './store';

const store = makeStore();

/** Everything that all screens stand on: the store, the stored workshop, theme and fonts. */
export function Root({ children }: { readonly children: ReactNode }) {
  useEffect(openWorkshop, []);
  return (
    <Provider store={store}>
      <Themed>{children}</Themed>
    </Provider>
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
          <UnitsProvider>{children}</UnitsProvider>
        ) : (
          <Words soft style={{ padding: 24 }}>
            Opening the workshop …
          </Words>
        )}
      </View>
    </PaperProvider>
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

function openWorkshop(): () => void {
  let flush: (() => Promise<void>) | undefined;
  const open = async () => {
    const offered = await offeredWorkshop();
    const first = async (): Promise<FirstWorkshop> => {
      if (offered !== 'demo') return { jobs: [], shelf: EMPTY_STOCK, library: [] };
      const { demoJobs, demoLibrary, demoShelf } = await loadWorkbench();
      return { jobs: demoJobs(), shelf: demoShelf(), library: demoLibrary() };
    };
    const name = `under-ridge-${offered}`;
    flush = await keepWorkshop(store, openRecords(name), first, otherTabs(name));
  };
  void open();
  const writeNow = () => {
    if (document.visibilityState === 'hidden') void flush?.();
  };
  document.addEventListener('visibilitychange', writeNow);
  return () => document.removeEventListener('visibilitychange', writeNow);
}
