import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';

import { chromium } from '@playwright/test';

import { wholeChromiumPath } from '../scripts/chromium.mjs';
import { line, median, ms } from './measure';
import { withServed } from './served';
import { JOBS_LISTED, LAST_SEEN, shownAt, watchFor } from './shown';

/**
 * Opening, as somebody does who takes the phone up again: each time in a browser process of its own, over one profile, with the
 * service worker. Seen: as it was left, and taking presses; alive: by the program. What a process does once, like reading a language's order, is hidden where pages are opened one after another.
 */
const root = process.env.UNDER_RIDGE_ROOT ?? '.';
const SLOWED = 4;
const ROUNDS = 5;
/** Until all is stored, kept for working offline, and quiet. */
const SETTLE_MS = 3500;
const JOB = '/job/demo-ur-0101';
const FIGURES = '[aria-label="Live figures"]';

interface Opening {
  readonly seen: number;
  readonly alive: number;
}

async function opened(
  profile: string,
  url: string,
  wanted: string,
  before = true,
): Promise<Opening> {
  const context = await chromium.launchPersistentContext(profile, {
    executablePath: wholeChromiumPath(),
    args: ['--no-sandbox', '--disable-gpu'],
    viewport: { width: 390, height: 844 },
  });
  try {
    const [page = await context.newPage()] = context.pages();
    await watchFor(context, wanted);
    await watchFor(context, LAST_SEEN, 'seen');
    const client = await context.newCDPSession(page);
    await client.send('Emulation.setCPUThrottlingRate', { rate: SLOWED });
    await page.goto(url);
    const alive = await shownAt(page);
    const seen = before ? await shownAt(page, 'seen') : alive;
    await page.waitForTimeout(SETTLE_MS);
    // As when it goes out of sight.
    await page.goto('about:blank');
    await page.waitForTimeout(500);
    return { seen, alive };
  } finally {
    await context.close();
  }
}

void withServed(root, async (base) => {
  const times = { first: [] as Opening[], list: [] as Opening[], job: [] as Opening[] };
  for (let round = 0; round < ROUNDS; round++) {
    const profile = mkdtempSync(path.join(tmpdir(), 'under-ridge-opening-'));
    times.first.push(await opened(profile, base, JOBS_LISTED, false));
    // What a browser keeps of a script's compiling it keeps from the second time on.
    await opened(profile, base, JOBS_LISTED);
    times.list.push(await opened(profile, base, JOBS_LISTED));
    await opened(profile, base + JOB, FIGURES, false);
    times.job.push(await opened(profile, base + JOB, FIGURES));
    rmSync(profile, { recursive: true, force: true });
  }
  const say = (name: string, all: readonly number[]) =>
    line(`${name}, a process of its own, slowed ${SLOWED}×`, ms(median(all)));
  const both = (name: string, all: readonly Opening[]) => {
    say(
      `${name}: seen`,
      all.map((t) => t.seen),
    );
    say(
      `${name}: alive`,
      all.map((t) => t.alive),
    );
  };
  say(
    'first visit',
    times.first.map((t) => t.alive),
  );
  both('the list again', times.list);
  both('a job by its address again', times.job);
});
