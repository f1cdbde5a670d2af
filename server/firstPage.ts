import { existsSync, readFileSync } from 'node:fs';
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

interface Drawing {
  readonly firstScreens: typeof firstScreens;
}

const read = (...names: string[]) => readFileSync(path.join(...names), 'utf8');

const workshopOf = ({ distDir, workshop }: Options): FirstWorkshop =>
  workshop === 'demo'
    ? (JSON.parse(read(distDir, 'demo-workshop.json')) as FirstWorkshop)
    : { jobs: [], shelf: EMPTY_STOCK, library: [] };

type Options = Pick<AppOptions, 'distDir' | 'workshop' | 'log'>;

/**
 * The page of the list with what a first visit sees before the program has come: drawn as the server starts, and anew each day,
 * since what is due depends on it. Nothing where the export brings nothing to draw it with.
 */
export function firstPage(options: Options): (() => string) | undefined {
  const drawing = path.join(options.distDir, '.server/first-screens.cjs');
  if (!existsSync(drawing)) return undefined;
  const { firstScreens: draw } = createRequire(drawing)(drawing) as Drawing;
  const plain = read(options.distDir, 'index.html');
  const workshop = workshopOf(options);
  const page = () => {
    try {
      // A text of a workshop must not end the element that holds it.
      const text = JSON.stringify(draw(workshop)).replaceAll('<', '\\u003c');
      const data = `<script type="application/json" id="${FIRST_SCREENS_ID}">${text}</script>`;
      return plain.replace(SHOWS, () => data + SHOWS);
    } catch (error) {
      // The program draws it all the same, a second later.
      options.log.error({ fault: error instanceof Error ? error.message : 'unknown' });
      return plain;
    }
  };
  let drawn = { day: isoDay(), page: page() };
  return () => {
    const day = isoDay();
    if (drawn.day !== day) drawn = { day, page: page() };
    return drawn.page;
  };
}
