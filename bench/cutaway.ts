import type { Page } from '@playwright/test';

import { line, median, ms } from './measure';
import { withServed } from './served';

/** The cutaway in motion with the processor slowed four times, and twenty starts in the worker. */
const root = process.env.UNDER_RIDGE_ROOT ?? '.';
const SLOWED = 4;
const SECONDS = 4;
const RUNS = 5;

/** Frames per second, and the longest frame, while the lever moves and the engine turns. */
async function frames(page: Page): Promise<{ perSecond: number; longest: number }> {
  return page.evaluate(async (seconds) => {
    const thumb = document.querySelector('[role="slider"][aria-label="Lever"]');
    const gas = document.querySelector('[role="slider"][aria-label="Throttle"]');
    const key = (node: Element | null, name: string) =>
      node?.dispatchEvent(new KeyboardEvent('keydown', { key: name, bubbles: true }));
    key(gas, 'PageUp');
    const times: number[] = [];
    await new Promise<void>((done) => {
      const begun = performance.now();
      let last = begun;
      let n = 0;
      const frame = (now: number) => {
        times.push(now - last);
        last = now;
        n++;
        // A pull and a release, a step of the lever in every second frame.
        if (n % 2 === 0) key(thumb, n % 80 < 40 ? 'ArrowDown' : 'ArrowUp');
        if (now - begun > seconds * 1000) done();
        else requestAnimationFrame(frame);
      };
      requestAnimationFrame(frame);
    });
    const all = times.slice(1);
    return {
      perSecond: (all.length * 1000) / all.reduce((sum, t) => sum + t, 0),
      longest: Math.max(...all),
    };
  }, SECONDS);
}

void withServed(root, async (base, browser) => {
  const page = await browser.newPage({ viewport: { width: 390, height: 844 } });
  for (const job of ['demo-ur-0101', 'demo-ur-0102']) {
    await page.goto(`${base}/cutaway?job=${job}`);
    await page.getByRole('slider', { name: 'Lever' }).waitFor();
    const client = await page.context().newCDPSession(page);
    await client.send('Emulation.setCPUThrottlingRate', { rate: SLOWED });
    const made = await frames(page);
    await client.send('Emulation.setCPUThrottlingRate', { rate: 1 });
    line(
      `frames a second of the cutaway of ${job}, CPU slowed ${SLOWED}×`,
      made.perSecond.toFixed(1),
      '50',
    );
    line('the same, longest frame', ms(made.longest));
  }
  await page.goto(`${base}/job/demo-ur-0106?stage=specify&tab=torque`);
  await page.getByRole('button', { name: 'Take-off' }).click();
  await page.getByRole('radio', { name: 'Starts in mud' }).click();
  const times: number[] = [];
  for (let i = 0; i < RUNS; i++) {
    times.push(
      await page.evaluate(
        () =>
          new Promise<number>((resolve) => {
            const press = [...document.querySelectorAll('[role="button"],button')].find((b) =>
              b.textContent?.trim().endsWith('Start'),
            );
            const begun = performance.now();
            let gone = document.querySelector('[data-testid="takeoff"]') === null;
            const look = new MutationObserver(() => {
              const there = document.querySelector('[data-testid="takeoff"]') !== null;
              gone ||= !there;
              if (!gone || !there) return;
              look.disconnect();
              resolve(performance.now() - begun);
            });
            look.observe(document.body, { subtree: true, childList: true });
            (press as HTMLElement | undefined)?.click();
          }),
      ),
    );
  }
  line(
    'twenty starts with their heat, from the press to the result, with a new worker',
    ms(median(times)),
    '300 ms',
  );
});
