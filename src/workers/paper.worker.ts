import digits from '@expo-google-fonts/atkinson-hyperlegible-mono/400Regular/AtkinsonHyperlegibleMono_400Regular.ttf';
import digitsBold from '@expo-google-fonts/atkinson-hyperlegible-mono/700Bold/AtkinsonHyperlegibleMono_700Bold.ttf';
import text from '@expo-google-fonts/atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf';
import textBold from '@expo-google-fonts/atkinson-hyperlegible-next/700Bold/AtkinsonHyperlegibleNext_700Bold.ttf';
import { expose, transfer } from 'comlink';

import letters from '../../assets/paper/letters.ttf';
import signs from '../../assets/paper/signs.ttf';
import { makePdf } from '@/files/pdf/makePdf';
import type { PdfRequest } from '@/files/pdf/paperOf';

/* Makes sheets in a worker, with their fonts. Bundled separately to public/paper-worker.js. */

const FONTS = { text, textBold, digits, digitsBold, letters, signs };

const paperRuns = {
  pdf: async (request: PdfRequest): Promise<Uint8Array> => {
    const bytes = await makePdf(request, FONTS);
    return transfer(bytes, [bytes.buffer]);
  },
  /** Makes one sheet in advance, so that the first requested sheet is as quick as the second. */
  warm: async (request: PdfRequest): Promise<void> => {
    await makePdf(request, FONTS);
  },
};

export type PaperRuns = typeof paperRuns;

expose(paperRuns);
