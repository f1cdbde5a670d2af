import type { Page } from '@playwright/test';

import { line, ms } from './measure';
import { withServed } from './served';

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
        // The display names the requested reading; it changes in the same commit as the part's state.
        const display = () =>
          document.querySelector('[data-testid="reading"]')?.getAttribute('aria-label');
        const before = display();
        const started = performance.now();
        const observer = new MutationObserver(() => {
          if (display() === before) return;
          observer.disconnect();
          // After the frame that shows it.
          requestAnimationFrame(() => setTimeout(() => resolve(performance.now() - started)));
        });
        observer.observe(document.body, {
          subtree: true,
          childList: true,
          attributes: true,
          attributeFilter: ['aria-label'],
        });
        window.dispatchEvent(
          new KeyboardEvent('keydown', { key: 'Enter', bubbles: true, cancelable: true }),
        );
      }),
  );
}

void withServed(root, async (base, browser) => {
  const page = await browser.newPage({ viewport: { width: 390, height: 844 } });
  await page.goto(`${base}/job/demo-ur-0103`);
  await page.getByRole('button', { name: /^Continue \(/ }).click();
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
});
