// Cuts the icon font to the glyphs in use and packs the text fonts as WOFF2.
// The results are committed, so this runs only when an icon or a font weight is added: npm run assets
import { readFile, writeFile, mkdir } from 'node:fs/promises';
import { createRequire } from 'node:module';
import path from 'node:path';
import subsetFont from 'subset-font';

const require = createRequire(import.meta.url);
const root = path.resolve(import.meta.dirname, '..');
const fontsDir = path.join(root, 'public/fonts');
await mkdir(fontsDir, { recursive: true });

const vectorIcons = path.dirname(require.resolve('@expo/vector-icons/package.json'));
const vendor = path.join(vectorIcons, 'build/vendor/react-native-vector-icons');
const glyphMap = JSON.parse(
  await readFile(path.join(vendor, 'glyphmaps/MaterialCommunityIcons.json'), 'utf8'),
);
const names = JSON.parse(await readFile(path.join(root, 'src/ui/icons/names.json'), 'utf8')).sort();
const unknown = names.filter((name) => !(name in glyphMap));
if (unknown.length > 0) throw new Error(`No such icon: ${unknown.join(', ')}`);

const glyphs = Object.fromEntries(names.map((name) => [name, glyphMap[name]]));
const icons = await subsetFont(
  await readFile(path.join(vendor, 'Fonts/MaterialCommunityIcons.ttf')),
  Object.values(glyphs)
    .map((code) => String.fromCodePoint(code))
    .join(''),
  { targetFormat: 'woff2' },
);
await writeFile(path.join(fontsDir, 'icons.woff2'), icons);
await writeFile(
  path.join(root, 'src/ui/icons/glyphs.json'),
  JSON.stringify(glyphs, null, 2) + '\n',
);

const fontFile = (family, weight, name) =>
  path.join(
    path.dirname(require.resolve(`@expo-google-fonts/${family}/package.json`)),
    weight,
    `${name}_${weight}.ttf`,
  );

// Every character the fonts have below U+FB10 stays: names in any Latin script must show.
const allText = Array.from({ length: 0xfb10 - 0x20 }, (_, i) => i + 0x20)
  .filter((code) => code < 0xd800 || code > 0xdfff)
  .map((code) => String.fromCodePoint(code))
  .join('');
for (const [family, face, to] of [
  ['next', '400Regular', 'text'],
  ['next', '700Bold', 'text-bold'],
  ['mono', '400Regular', 'mono'],
  ['mono', '700Bold', 'mono-bold'],
]) {
  const name = `AtkinsonHyperlegible${family === 'next' ? 'Next' : 'Mono'}`;
  const file = fontFile(`atkinson-hyperlegible-${family}`, face, name);
  const font = await subsetFont(await readFile(file), allText, { targetFormat: 'woff2' });
  await writeFile(path.join(fontsDir, `${to}.woff2`), font);
  console.log(`${to}.woff2 ${font.length} bytes`);
}
console.log(`icons.woff2 ${icons.length} bytes, ${names.length} glyphs`);

// Extra fonts for the sheets: Cyrillic and Greek, arrows and symbols.
const paperDir = path.join(root, 'assets/paper');
await mkdir(paperDir, { recursive: true });
const chars = (...ranges) =>
  ranges
    .flatMap(([from, to]) => Array.from({ length: to - from + 1 }, (_, i) => from + i))
    .map((code) => String.fromCodePoint(code))
    .join('');
const LETTERS = chars(
  [0x20, 0x7e],
  [0xa0, 0x24f],
  [0x300, 0x52f],
  [0x1e00, 0x1eff],
  [0x2000, 0x206f],
);
const SIGNS = chars(
  [0x2190, 0x21ff],
  [0x2200, 0x22ff],
  [0x2300, 0x2300],
  [0x25a0, 0x25ff],
  [0x2713, 0x2717],
);
for (const [to, file, text] of [
  ['letters', fontFile('noto-sans', '400Regular', 'NotoSans'), LETTERS],
  ['signs', fontFile('noto-sans-math', '400Regular', 'NotoSansMath'), SIGNS],
]) {
  const font = await subsetFont(await readFile(file), text, { targetFormat: 'truetype' });
  await writeFile(path.join(paperDir, `${to}.ttf`), font);
  console.log(`${to}.ttf ${font.length} bytes`);
}

// Character ranges of each font: a missing character is marked on the sheet and reported before printing.
const { openSync } = await import('fontkit');
const setOf = (file) => new Set(openSync(file).characterSet);
const common = (sets) => [...sets[0]].filter((code) => sets.every((set) => set.has(code)));
const rangesOf = (codes) => {
  const ranges = [];
  for (const code of [...codes].sort((a, b) => a - b)) {
    const last = ranges.at(-1);
    if (last && last[1] === code - 1) last[1] = code;
    else ranges.push([code, code]);
  }
  return ranges;
};
const own = ['next', 'mono'].flatMap((family) =>
  ['400Regular', '700Bold'].map((weight) =>
    setOf(
      fontFile(
        `atkinson-hyperlegible-${family}`,
        weight,
        `AtkinsonHyperlegible${family === 'next' ? 'Next' : 'Mono'}`,
      ),
    ),
  ),
);
await writeFile(
  path.join(root, 'src/files/pdf/coverage.json'),
  `${JSON.stringify({
    own: rangesOf(common(own)),
    letters: rangesOf(setOf(path.join(paperDir, 'letters.ttf'))),
    signs: rangesOf(setOf(path.join(paperDir, 'signs.ttf'))),
  })}\n`,
);
