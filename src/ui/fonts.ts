import { useEffect, useState } from 'react';

import textRegular from '../../assets/fonts/AtkinsonHyperlegibleNext_400Regular.woff2';
import textBold from '../../assets/fonts/AtkinsonHyperlegibleNext_700Bold.woff2';
import monoRegular from '../../assets/fonts/AtkinsonHyperlegibleMono_400Regular.woff2';
import monoBold from '../../assets/fonts/AtkinsonHyperlegibleMono_700Bold.woff2';
import icons from '../../assets/fonts/icons.woff2';

import { ICON_FONT } from './icons/PaperIcon';
import { FONT } from './theme';

/** The fonts that ship with the application: the name of each, and where its file lies. */
export const FONTS: readonly (readonly [name: string, url: string])[] = [
  [FONT.text, textRegular],
  [FONT.textBold, textBold],
  [FONT.mono, monoRegular],
  [FONT.monoBold, monoBold],
  [ICON_FONT, icons],
];

// By the browser's own means: the platform's package measures letters in the page to hear what the browser knows.
async function load(): Promise<void> {
  // What is shown before the program has them already.
  const there = new Map([...document.fonts].map((face) => [face.family, face]));
  const faces = FONTS.map(([name, file]) => there.get(name) ?? new FontFace(name, `url(${file})`));
  for (const face of faces) document.fonts.add(face);
  await Promise.all(faces.map((face) => face.load()));
}

let settled = false;
// They are on their way before anything is drawn. Without them the words are still there: better plain letters than none.
const settling = load()
  .catch(() => undefined)
  .then(() => {
    settled = true;
  });

/** The fonts that ship with the application; true when text and icons can be drawn. */
export function useOwnFonts(): boolean {
  const [there, setThere] = useState(settled);
  useEffect(() => {
    if (!there) void settling.then(() => setThere(true));
  }, [there]);
  return there;
}
