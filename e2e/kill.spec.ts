import type { ChildProcess } from 'node:child_process';
import { spawn } from 'node:child_process';
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';

import type { Browser, Page } from '@playwright/test';
import { chromium } from '@playwright/test';

import { seededRandom } from '../src/core/random/random';
import { CHROMIUM, CHROMIUM_ARGS } from '../playwright.config';
import { expect, ON_PHONE, test } from './bench';

/* A phone that dies: the whole browser is killed while somebody types, again and again, over one profile. */

// Each costs three to five seconds of every run of the tests; KILLS=50 and more for a longer look.
const ROUNDS = Number(process.env.KILLS ?? 8);
/** The promise: typing may be lost that is younger than this when the browser dies. */
const LOST_MS = 1000;
const KEY_EVERY_MS = 25;

interface Running {
  readonly process: ChildProcess;
  readonly browser: Browser;
  readonly page: Page;
}

async function start(profile: string): Promise<Running> {
  const process = spawn(
    CHROMIUM,
    [
      ...CHROMIUM_ARGS,
      '--headless',
      '--remote-debugging-port=0',
      `--user-data-dir=${profile}`,
      '--window-size=390,844',
      'about:blank',
    ],
    // A group of its own, so that all its processes can be killed at once.
    { detached: true, stdio: ['ignore', 'ignore', 'pipe'] },
  );
  const address = await new Promise<string>((resolve, reject) => {
    let said = '';
    process.stderr?.on('data', (data: Buffer) => {
      said += data.toString();
      const found = /DevTools listening on (ws:\S+)/.exec(said)?.[1];
      if (found) resolve(found);
    });
    process.on('exit', () => reject(new Error(`the browser did not start: ${said}`)));
  });
  const browser = await chromium.connectOverCDP(address);
  const page = browser.contexts()[0]?.pages()[0];
  if (!page) throw new Error('the browser has no page');
  return { process, browser, page };
}

async function kill({ process, browser }: Running): Promise<void> {
  const gone = new Promise((resolve) => process.once('exit', resolve));
  globalThis.process.kill(-(process.pid ?? 0), 'SIGKILL');
  await gone;
  await browser.close().catch(() => undefined);
}

/** A machine that takes twice as long for everything, as a shared one does at times, is given twice the second, and never more. */
function slowness(typed: readonly { readonly at: number }[]): number {
  const [first, last] = [typed[0], typed.at(-1)];
  if (!first || !last || typed.length < 2) return 1;
  const pace = (last.at - first.at) / (typed.length - 1);
  return Math.min(2, Math.max(1, pace / (2 * KEY_EVERY_MS)));
}

/**
 * Whether the browser itself reset its database: damaged files are deleted as a whole, which no page can prevent. Its own log
 * says so.
 */
function browserStartedFresh(profile: string): boolean {
  const databases = path.join(profile, 'Default', 'IndexedDB');
  return readdirSync(databases)
    .map((name) => path.join(databases, name, 'LOG'))
    .some((log) => existsSync(log) && readFileSync(log, 'utf8').includes('Creating DB'));
}

test(
  'a browser that dies while somebody types loses at most the last second, and breaks no record',
  ON_PHONE,
  async ({ baseURL }, info) => {
    test.setTimeout(600_000);
    const random = seededRandom(88);
    const profile = info.outputPath('profile');
    const notes = (page: Page) => page.getByRole('textbox', { name: 'Notes', exact: true });
    let first = '';
    let stored = '';
    let thrownAway = 0;
    /** Letters that were found again, over all rounds. */
    let got = 0;
    /** Texts of the field, one after the other, with the time by which each stood in it. */
    let typed: readonly { readonly text: string; readonly at: number }[] = [];
    let diedAt = 0;
    for (let round = 0; round <= ROUNDS; round++) {
      const running = await start(profile);
      const { page } = running;
      try {
        await page.goto(`${baseURL}/job/demo-ur-0106?stage=intake`);
        await expect(notes(page)).toBeVisible();
        await expect(page.getByRole('region', { name: 'Storage' })).toHaveCount(0);
        const found = await notes(page).inputValue();
        if (round === 0) stored = first = found;
        else if (found === first && browserStartedFresh(profile)) {
          thrownAway++;
          stored = found;
          typed = [];
        }
        const safe =
          typed.findLast(({ at }) => at <= diedAt - LOST_MS * slowness(typed))?.text ?? stored;
        const wholes = [stored, ...typed.map(({ text }) => text)];
        expect(wholes, `round ${round}: what is found was typed`).toContain(found);
        expect(found.length, `round ${round}: of “${safe}”`).toBeGreaterThanOrEqual(safe.length);
        got += Math.max(0, found.length - stored.length);
        stored = found;
        if (round === ROUNDS) break;
        await notes(page).focus();
        await page.keyboard.press('Control+End');
        const now: { text: string; at: number }[] = [];
        typed = now;
        const lives = 150 + random() * 1150;
        const dies = new Promise((resolve) => setTimeout(resolve, lives));
        let dying = false;
        void dies.then(() => (dying = true));
        for (let key = 0; !dying; key++) {
          const piece = key === 0 ? `${round}:` : String.fromCharCode(97 + (key % 26));
          try {
            await page.keyboard.insertText(piece);
          } catch {
            break;
          }
          now.push({ text: (now.at(-1)?.text ?? stored) + piece, at: performance.now() });
          await new Promise((resolve) => setTimeout(resolve, KEY_EVERY_MS));
        }
        diedAt = performance.now();
      } finally {
        await kill(running);
      }
    }
    // Rare: more often, and it is not the browser.
    expect(thrownAway).toBeLessThanOrEqual(1);
    // Something did get through: the test would pass on a field that takes nothing. How much, is the speed of the machine.
    expect(got).toBeGreaterThan(0);
  },
);
