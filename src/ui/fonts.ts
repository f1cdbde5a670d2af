import { loadAsync, useFonts } from 'expo-font';

import textRegular from '../../assets/fonts/AtkinsonHyperlegibleNext_400Regular.woff2';
import textBold from '../../assets/fonts/AtkinsonHyperlegibleNext_700Bold.woff2';
import monoRegular from '../../assets/fonts/AtkinsonHyperlegibleMono_400Regular.woff2';
import monoBold from '../../assets/fonts/AtkinsonHyperlegibleMono_700Bold.woff2';
import icons from '../../assets/fonts/icons.woff2';

import { ICON_FONT } from './icons/PaperIcon';
import { FONT } from './theme';

const FONTS = {
  [FONT.text]: textRegular,
  [FONT.textBold]: textBold,
  [FONT.mono]: monoRegular,
  [FONT.monoBold]: monoBold,
  [ICON_FONT]: icons,
};

// They are on their way before anything is drawn; the hook below hears of it, and of a failure.
loadAsync(FONTS).catch(() => undefined);

/** The fonts that ship with the application; true when text and icons can be drawn. */
export function useOwnFonts(): boolean {
  const [loaded, error] = useFonts(FONTS);
  // Without the fonts the words are still there: better plain letters than none.
  return loaded || error !== null;
}
