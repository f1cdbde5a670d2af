import type { Page } from '@playwright/test';

import { writeWorkshopFile } from '@/files/workshopFile';

import { bigWorkshop } from './bigWorkshop';
import { line, median, ms } from './measure';
import { withServed } from './served';

/** A workshop of many years: taken in, opened, searched; beside the demo. */
const root = process.env.UNDER_RIDGE_ROOT ?? '.';
const SLOWED = 4;
const JOBS = 2000;
const READINGS = 20;
const STARTS = 5;

/** From the start of navigation until the first job is painted, by the page's clock. */
async function timeOfStart(page: Page, url: string): Promise<number> {
  await page.goto('about:blank');
  await page.goto(url, { waitUntil: 'commit' });
  return page.evaluate(
    () =>
      new Promise<number>((resolve) => {
        const look = () => {
          if (document.querySelector('[role="listitem"]'))
            requestAnimationFrame(() => setTimeout(() => resolve(performance.now())));
          else requestAnimationFrame(look);
        };
        look();
      }),
  );
}

async function starts(page: Page, url: string): Promise<number> {
  const times: number[] = [];
  for (let i = 0; i < STARTS; i++) times.push(await timeOfStart(page, url));
  return median(times);
}

/** Types a text like one key, and waits until its results are painted. */
async function timeOfSearch(page: Page, field: string | RegExp, text: string): Promise<number> {
  return page.getByLabel(field, typeof field === 'string' ? { exact: true } : {}).evaluate(
    (input, value) =>
      new Promise<number>((resolve) => {
        const shown = () =>
          [...document.querySelectorAll('[role="listitem"]')].map((n) => n.textContent).join('\n');
        const before = shown();
        const started = performance.now();
        // A search that finds the same as the one before changes nothing to wait for.
        const same = setTimeout(() => resolve(NaN), 3000);
        const observer = new MutationObserver(() => {
          if (shown() === before) return;
          observer.disconnect();
          clearTimeout(same);
          requestAnimationFrame(() => setTimeout(() => resolve(performance.now() - started)));
        });
        observer.observe(document.body, { subtree: true, childList: true, characterData: true });
        const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set;
        set?.call(input, value);
        input.dispatchEvent(new Event('input', { bubbles: true }));
      }),
    text,
  );
}

void withServed(root, async (base, browser) => {
  const page = await browser.newPage({ viewport: { width: 390, height: 844 } });
  const client = await page.context().newCDPSession(page);
  const slow = (rate: number) => client.send('Emulation.setCPUThrottlingRate', { rate });
  await client.send('Performance.enable');
  await page.goto(base);
  await page.getByRole('list', { name: 'Jobs' }).waitFor();
  await page.waitForTimeout(1000);
  const demo = await starts(page, base);
  await slow(SLOWED);
  const demoSlow = await starts(page, base);
  await slow(1);

  const text = writeWorkshopFile(bigWorkshop(JOBS, READINGS), '2026-06-01T00:00:00Z');
  line(
    `a workshop of ${JOBS} jobs and ${JOBS * READINGS} readings as a file`,
    `${(text.length / 1e6).toFixed(0)} MB`,
  );
  await page.goto(`${base}/files`);
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Choose file' }).click();
  const file = { name: 'big.json', mimeType: 'application/json', buffer: Buffer.from(text) };
  await (await chooser).setFiles(file);
  const began = Date.now();
  await page.getByRole('button', { name: 'Import' }).waitFor({ timeout: 120_000 });
  const read = Date.now() - began;
  await page.getByRole('button', { name: 'Import' }).click();
  await page.getByText('File imported.').waitFor({ timeout: 120_000 });
  const taken = Date.now() - began;
  await page
    .locator('[data-testid="save-mark"][data-status="saved"]')
    .waitFor({ state: 'attached', timeout: 120_000 });
  line('to take it in: read and compared', ms(read));
  line('the same, in the workshop', ms(taken), '5000 ms');
  line('the same, stored', ms(Date.now() - began));

  const big = await starts(page, base);
  await slow(SLOWED);
  const bigSlow = await starts(page, base);
  line('start-up to the first job, demo', ms(demo));
  line(`the same, ${JOBS} jobs: longer by`, ms(big - demo), '300 ms');
  line(`start-up, demo, CPU slowed ${SLOWED}×`, ms(demoSlow));
  line(`the same, ${JOBS} jobs: longer by`, ms(bigSlow - demoSlow));

  await slow(1);
  await page.goto(`${base}/files`);
  // Enabled once everything has been read.
  const opened = Date.now();
  await page.getByRole('button', { name: 'Back up now' }).waitFor({ timeout: 120_000 });
  line('the whole workshop read, in the background', ms(Date.now() - opened));
  await page.getByRole('button', { name: 'Back to the jobs' }).click();
  await page.getByLabel('Search jobs', { exact: true }).waitFor();
  await page.waitForTimeout(1000);
  const words = ['f', 'fe', 'fel', 'fell', 'fell 4', 'fell', 'quad', 'quad m', 'ur-12', 'ur-123'];
  const searches = async (name: string, field: string | RegExp) => {
    await slow(SLOWED);
    const times: number[] = [];
    for (const word of words) times.push(await timeOfSearch(page, field, word));
    const found = times.filter((t) => !Number.isNaN(t));
    line(`${name}, CPU slowed ${SLOWED}×, median`, ms(median(found)), '100 ms');
    line('the same, slowest', ms(Math.max(...found)));
    await slow(1);
  };
  await searches('list by a search', 'Search jobs');
  await page.goto(`${base}/find`);
  await page.getByText(/^Part of a word is enough/).waitFor({ timeout: 60_000 });
  await searches('one search over everything', /^Find a job/);
  await client.send('HeapProfiler.collectGarbage');
  const { metrics } = await client.send('Performance.getMetrics');
  const heap = metrics.find((m) => m.name === 'JSHeapUsedSize')?.value ?? NaN;
  line('memory of the page with all of it', `${(heap / 1e6).toFixed(0)} MB`, '250 MB');
});
