// Cuts the icon font to the glyphs in use and packs the text fonts as WOFF2.
// The results are committed, so this runs only when an icon or a font weight is added: npm run assets
import { readFile, writeFile, mkdir } from 'node:fs/promises';
import { createRequire } from 'node:module';
import path from 'node:path';
import subsetFont from 'subset-font';

const require = createRequire(import.meta.url);
const root = path.resolve(import.meta.dirname, '..');
const fontsDir = path.join(root, 'assets/fonts');
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

// Every character the fonts have below U+FB10 stays: names in any Latin script must show.
const allText = Array.from({ length: 0xfb10 - 0x20 }, (_, i) => i + 0x20)
  .filter((code) => code < 0xd800 || code > 0xdfff)
  .map((code) => String.fromCodePoint(code))
  .join('');
for (const [family, weights] of [
  ['next', ['400Regular', '700Bold']],
  ['mono', ['400Regular', '700Bold']],
]) {
  for (const weight of weights) {
    const dir = path.dirname(
      require.resolve(`@expo-google-fonts/atkinson-hyperlegible-${family}/package.json`),
    );
    const name = `AtkinsonHyperlegible${family === 'next' ? 'Next' : 'Mono'}_${weight}`;
    const font = await subsetFont(await readFile(path.join(dir, weight, `${name}.ttf`)), allText, {
      targetFormat: 'woff2',
    });
    await writeFile(path.join(fontsDir, `${name}.woff2`), font);
    console.log(`${name}.woff2 ${font.length} bytes`);
  }
}
console.log(`icons.woff2 ${icons.length} bytes, ${names.length} glyphs`);
