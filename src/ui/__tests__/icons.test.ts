import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';

import glyphs from '../icons/glyphs.json';

const ROOT = path.join(__dirname, '../../..');
const PAPER = 'node_modules/react-native-paper/lib/module/components';

/** Where a name means an icon: a property, a default, or the name that Paper's own parts draw. */
const AS_PROPERTY = /\b(?:icon|source|calendarIcon)=("[\w-]+"|\{[^}]*\})/g;
const AS_DEFAULT = /\b(?:icon|calendarIcon)(?::| =) ('[\w-]+'|"[\w-]+")/g;
const AS_NAME = /\bname: ([^,\n]*)/g;

const filesIn = (folder: string, end: string): string[] =>
  readdirSync(path.join(ROOT, folder), { recursive: true })
    .map(String)
    .filter((name) => name.endsWith(end) && !name.includes('__tests__'))
    .map((name) => path.join(folder, name));

function iconsIn(file: string, ...patterns: readonly RegExp[]): string[] {
  const text = readFileSync(path.join(ROOT, file), 'utf8');
  return patterns
    .flatMap((pattern) => [...text.matchAll(pattern)].map(([, names = '']) => names))
    .flatMap((names) =>
      [...names.matchAll(/['"]([a-z][a-z-]*)['"]/g)].map(([, name = '']) => name),
    );
}

describe('the cut icon font', () => {
  it('has every icon that a screen names', () => {
    const named = filesIn('src', '.tsx').flatMap((file) => iconsIn(file, AS_PROPERTY, AS_DEFAULT));
    expect(named.length).toBeGreaterThan(60);
    expect([...new Set(named)].filter((name) => !(name in glyphs)).sort()).toEqual([]);
  });

  it('has the icons that the parts in use draw by themselves', () => {
    const own = ['Chip/Chip', 'List/ListAccordion', 'Searchbar', 'Snackbar', 'TextInput/TextInput']
      .map((name) => `${PAPER}/${name}.js`)
      .flatMap((file) => iconsIn(file, AS_NAME));
    const dates = filesIn('node_modules/react-native-paper-dates/lib/module/Date', '.js').flatMap(
      (file) => iconsIn(file, AS_DEFAULT),
    );
    expect(own).toEqual(expect.arrayContaining(['check', 'chevron-up']));
    expect(dates).toContain('calendar');
    const missing = [...new Set([...own, ...dates])].filter((name) => !(name in glyphs));
    expect(missing).toEqual([]);
  });
});
