import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';

import { chromium } from '@playwright/test';

import { wholeChromiumPath } from '../scripts/chromium.mjs';
import { line, median, ms } from './measure';
import { withServed } from './served';
import { asItStays, JOBS_LISTED, shownAt, watchFor, watchFrames } from './shown';

/**
 * Opening on a phone: each time in a browser process of its own, over one profile, with the service worker. Seen: painted in
 * its final state; alive: rendered by the program. One-time costs of a process show only this way.
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

async function opened(profile: string, url: string, wanted: string): Promise<Opening> {
  const context = await chromium.launchPersistentContext(profile, {
    executablePath: wholeChromiumPath(),
    args: ['--no-sandbox', '--disable-gpu'],
    viewport: { width: 390, height: 844 },
  });
  try {
    const [page = await context.newPage()] = context.pages();
    await watchFor(context, wanted);
    const client = await context.newCDPSession(page);
    await client.send('Emulation.setCPUThrottlingRate', { rate: SLOWED });
    const painted = await watchFrames(client);
    await page.goto(url);
    const alive = await shownAt(page);
    await page.waitForTimeout(SETTLE_MS);
    const began = await page.evaluate(() => performance.timeOrigin);
    const seen = asItStays(painted().filter(({ at }) => at > began)) - began;
    // As when the page is hidden.
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
    times.first.push(await opened(profile, base, JOBS_LISTED));
    // The browser's compile cache is complete from the second time on.
    await opened(profile, base, JOBS_LISTED);
    times.list.push(await opened(profile, base, JOBS_LISTED));
    await opened(profile, base + JOB, FIGURES);
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
  both('first visit', times.first);
  both('the list again', times.list);
  both('a job by its address again', times.job);
});
