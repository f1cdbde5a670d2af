import MiniSearch from 'minisearch';

import type { Findable } from '@/core/find/findables';

/** So many are put into the index before the page may draw and hear again. */
const AT_ONCE = 60;
/** Words shorter than this must be met as typed. */
const FUZZY_FROM = 4;
const FUZZY = 0.2;

export type SearchIndex = MiniSearch<Findable>;

/**
 * The words of a text, values with their units among them: "74.0 N·m", "74 Nm" and "74Nm" are 74 and nm. The end of a number
 * that only fills up is left out, so that a whole number is found before a longer one.
 */
export function wordsOf(text: string): string[] {
  return text
    .toLowerCase()
    .replace(/·/g, '')
    .replace(/(\d),(\d)/g, '$1.$2')
    .replace(/(\d)\s*([a-zµ])/g, '$1 $2')
    .split(/[^\p{L}\p{N}.]+/u)
    .map((word) =>
      word
        .replace(/^\.+|\.+$/g, '')
        .replace(/(\.\d*?)0+$/, '$1')
        .replace(/\.$/, ''),
    )
    .filter(Boolean);
}

/** Makes the index of all that can be found, a little at a time. */
export async function makeIndex(findables: readonly Findable[]): Promise<SearchIndex> {
  const index = new MiniSearch<Findable>({
    fields: ['title', 'words'],
    tokenize: wordsOf,
    storeFields: ['kind', 'title', 'about', 'href'],
    searchOptions: {
      prefix: true,
      fuzzy: (term) => (term.length >= FUZZY_FROM ? FUZZY : false),
      combineWith: 'AND',
      boost: { title: 2 },
    },
  });
  await index.addAllAsync(findables, { chunkSize: AT_ONCE });
  return index;
}

/** Search results, best first; every word must match, the last ones by prefix. */
export const search = (index: SearchIndex, text: string): readonly Findable[] =>
  index.search(text) as unknown as readonly Findable[];
