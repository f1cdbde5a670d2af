import MiniSearch from 'minisearch';

import type { Findable } from '@/core/find/findables';

/** So many are put into the index before the page may draw and hear again. */
const AT_ONCE = 60;
/** Words shorter than this must be met as typed. */
const FUZZY_FROM = 4;
const FUZZY = 0.2;

export type SearchIndex = MiniSearch<Findable>;

/** Makes the index of all that can be found, a little at a time. */
export async function makeIndex(findables: readonly Findable[]): Promise<SearchIndex> {
  const index = new MiniSearch<Findable>({
    fields: ['title', 'words'],
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
