import { readdirSync, readFileSync, statSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';

import { EMPTY_STOCK } from '../src/core/shelf/stock';
import type { firstScreens } from '../src/features/lastSeen/first';
import { FIRST_SCREENS_ID } from '../src/features/lastSeen/picture';
import type { FirstWorkshop } from '../src/storage/workshop';
import { isoDay } from '../src/ui/dates';
import type { AppOptions } from './app';

/** Before this script of the page the first screens must be there. */
const SHOWS = '<script src="/last-seen.js">';

type Options = Pick<AppOptions, 'distDir' | 'workshop' | 'log'>;

interface Drawing {
  readonly firstScreens: typeof firstScreens;
}

/**
 * The page of the list with what a first visit sees before the program has come: drawn as the server starts, again on another
 * day, since what is due soon stands out, and when the export has been made anew. Nothing where it can't be drawn: the program
 * draws it all the same, a second later.
 */
export function firstPage({ distDir, workshop, log }: Options): () => string | undefined {
  const inExport = (name: string) => path.join(distDir, name);
  const read = (name: string) => readFileSync(inExport(name), 'utf8');
  const draw = (): string => {
    const [drawing = ''] = readdirSync(inExport('.server'));
    const file = path.resolve(distDir, '.server', drawing);
    const drawer = createRequire(file)(file) as Drawing;
    const jobs =
      workshop === 'demo'
        ? (JSON.parse(read('demo-workshop.json')) as FirstWorkshop)
        : { jobs: [], shelf: EMPTY_STOCK, library: [] };
    // A text of a workshop must not end the element that holds it.
    const text = JSON.stringify(drawer.firstScreens(jobs)).replaceAll('<', '\\u003c');
    const data = `<script type="application/json" id="${FIRST_SCREENS_ID}">${text}</script>`;
    return read('index.html').replace(SHOWS, () => data + SHOWS);
  };
  const versionNow = () =>
    `${isoDay()} ${statSync(inExport('index.html'), { throwIfNoEntry: false })?.mtimeMs}`;
  let drawn: { readonly version: string; readonly page?: string } = { version: '' };
  const page = () => {
    const version = versionNow();
    if (drawn.version === version) return drawn.page;
    try {
      drawn = { version, page: draw() };
    } catch (error) {
      drawn = { version };
      log.error({ fault: error instanceof Error ? error.message : 'unknown' });
    }
    return drawn.page;
  };
  page();
  return page;
}
