import path from 'node:path';

import type { Page } from '@playwright/test';
import { chromium } from '@playwright/test';

import { makeApp } from '../server/app';

import { line, ms } from './measure';

/** How long a reading takes from Enter to its state on screen, with the processor slowed four times. */
const root = process.env.UNDER_RIDGE_ROOT ?? '.';
const SLOWED = 4;
const READINGS = 24;

/** Types a reading and waits inside the page for the next step to be painted; the time of the page's own clock. */
async function timeOfReading(page: Page, value: string): Promise<number> {
  await page.keyboard.type(value);
  return page.evaluate(
    () =>
      new Promise<number>((resolve) => {
        const before = document.body.innerText;
        const started = performance.now();
        const seen = () => {
          if (document.body.innerText === before) return;
          observer.disconnect();
          // After the frame that shows it.
          requestAnimationFrame(() => setTimeout(() => resolve(performance.now() - started)));
        };
        const observer = new MutationObserver(seen);
        observer.observe(document.body, { subtree: true, childList: true, characterData: true });
        window.dispatchEvent(
          new KeyboardEvent('keydown', { key: 'Enter', bubbles: true, cancelable: true }),
        );
      }),
  );
}

async function main(): Promise<void> {
  const server = makeApp({
    distDir: path.join(root, 'dist'),
    benchDir: path.join(root, 'server/bench/public'),
    workshop: 'demo',
  }).listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  const address = server.address();
  const port = typeof address === 'object' && address ? address.port : 0;
  const browser = await chromium.launch({
    executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu'],
  });
  const page = await browser.newPage({ viewport: { width: 390, height: 844 } });
  await page.goto(`http://127.0.0.1:${port}/job/demo-ur-0103`);
  await page.getByRole('button', { name: 'Go on measuring' }).click();
  const client = await page.context().newCDPSession(page);
  await client.send('Emulation.setCPUThrottlingRate', { rate: SLOWED });
  const times: number[] = [];
  for (let i = 0; i < READINGS; i++) {
    const what = await page
      .getByText(/^thickness|^out-of-flat/)
      .first()
      .innerText();
    const disc = (await page.getByRole('heading', { level: 2 }).first().innerText()).startsWith(
      'Disc',
    );
    times.push(await timeOfReading(page, what.startsWith('out') ? '0.02' : disc ? '3.42' : '2.0'));
  }
  times.sort((a, b) => a - b);
  const at = (share: number) =>
    times[Math.min(times.length - 1, Math.floor(share * times.length))] ?? NaN;
  line(`a reading to its state on screen, CPU slowed ${SLOWED}×, median`, ms(at(0.5)), '50 ms');
  line('the same, nine in ten within', ms(at(0.9)));
  await browser.close();
  server.closeAllConnections();
  server.close();
}

void main();
