/*
 * The list as a first visit sees it, drawn by the server: nothing was seen before that could be shown while the program is
 * still on its way. It runs in Node, and draws the same components from the same workshop.
 */
import { renderToStaticMarkup } from 'react-dom/server';
import { Dimensions, StyleSheet } from 'react-native';
import { Provider } from 'react-redux';

import { displayActions } from '@/features/display/displaySlice';
import { JobListScreen } from '@/features/jobs/JobListScreen';
import type { FirstWorkshop } from '@/storage/workshop';
import { begin } from '@/storage/workshop';
import { Ground } from '@/store/Ground';
import { makeStore } from '@/store/store';
import { FONTS } from '@/ui/fonts';
import { limestone, peat } from '@/ui/theme';
import { LYING, WIDE } from '@/ui/useWide';

import type { FirstScreens } from './picture';

/** A screen as wide as nothing needs another layout below, and those from which there is another. */
const WIDTHS = [0, LYING, WIDE];
/** What a phone is wide. */
const PHONE = 390;
const HEIGHT = 844;

/** What the web's style sheets have besides those of React Native: the text of all rules that were asked for. */
interface Gathered {
  getSheet(): { readonly textContent: string };
}

/** The list of a workshop at every width that lays it out otherwise, in both themes. */
export function firstScreens(workshop: FirstWorkshop): FirstScreens {
  const screens = WIDTHS.flatMap((from) =>
    [false, true].map((dark) => ({ from, dark, html: drawn(workshop, from, dark) })),
  );
  const { textContent } = (StyleSheet as unknown as Gathered).getSheet();
  return { css: textContent, fonts: FONTS, screens };
}

function drawn(workshop: FirstWorkshop, from: number, dark: boolean): string {
  const metrics = { width: Math.max(from, PHONE), height: HEIGHT, scale: 1, fontScale: 1 };
  Dimensions.set({ window: metrics, screen: metrics });
  const store = makeStore();
  begin(store, workshop);
  store.dispatch(displayActions.themeChosen(dark ? 'peat' : 'limestone'));
  return renderToStaticMarkup(
    <Provider store={store}>
      <Ground theme={dark ? peat : limestone}>
        <JobListScreen />
      </Ground>
    </Provider>,
  );
}
