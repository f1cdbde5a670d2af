import type { Page } from '@playwright/test';

import { line, median, ms } from './measure';
import { withServed } from './served';

/** The section as editor: a change to its drawing, dragging, and whether heavy runs leave the interface free. */
const root = process.env.UNDER_RIDGE_ROOT ?? '.';
const SLOWED = 4;
const PLATES = 24;
const CHANGES = 20;

const layers = (page: Page) => page.getByRole('button', { name: /^Plate \d+ / });

/** Presses a key that changes the pack and waits until the stack of the foot and the section show it, painted. */
function timeOfChange(page: Page, key: string): Promise<number> {
  return page.evaluate(
    (pressed) =>
      new Promise<number>((resolve) => {
        // The layer that is turned over is the one chosen; looking at it alone keeps the measuring itself cheap.
        const layer = document.querySelector('[data-testid^="layer-"][aria-pressed="true"]');
        const shown = () => layer?.getAttribute('aria-label');
        const before = shown();
        const target = document.activeElement ?? document.body;
        const started = performance.now();
        const observer = new MutationObserver(() => {
          if (shown() === before) return;
          observer.disconnect();
          requestAnimationFrame(() => setTimeout(() => resolve(performance.now() - started)));
        });
        observer.observe(document.body, {
          subtree: true,
          attributes: true,
          attributeFilter: ['aria-label'],
        });
        target.dispatchEvent(
          new KeyboardEvent('keydown', { key: pressed, bubbles: true, cancelable: true }),
        );
      }),
    key,
  );
}

/** Frames per second while the mouse drags a layer up and down. */
async function framesWhileDragging(page: Page): Promise<number> {
  const box = await layers(page).first().boundingBox();
  const top = await layers(page).last().boundingBox();
  if (!box || !top) throw new Error('no section');
  await page.evaluate(() => {
    const counter = { n: 0, from: performance.now() };
    Object.assign(window, { counter });
    const tick = () => {
      counter.n++;
      requestAnimationFrame(tick);
    };
    requestAnimationFrame(tick);
  });
  await page.mouse.move(box.x + 40, box.y + box.height / 2);
  await page.mouse.down();
  for (let i = 0; i < 120; i++)
    await page.mouse.move(
      box.x + 40,
      box.y + ((top.y - box.y) * (1 - Math.cos(i / 8))) / 2 + box.height / 2,
    );
  const fps = await page.evaluate(() => {
    const { counter } = window as unknown as { counter: { n: number; from: number } };
    return (1000 * counter.n) / (performance.now() - counter.from);
  });
  await page.mouse.up();
  return fps;
}

/** Longest task of the interface's thread while something heavy runs, ms; 0 when none was over 50 ms. */
async function longestTask(page: Page, start: () => Promise<void>): Promise<number> {
  await page.evaluate(() => {
    const tasks: number[] = [];
    Object.assign(window, { tasks });
    new PerformanceObserver((list) =>
      list.getEntries().forEach((e) => tasks.push(e.duration)),
    ).observe({ entryTypes: ['longtask'] });
  });
  await start();
  return page.evaluate(() => {
    const { tasks } = window as unknown as { tasks: number[] };
    return Math.max(0, ...tasks);
  });
}

void withServed(root, async (base, browser) => {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`${base}/job/demo-ur-0104?stage=specify&tab=pack`);
  await layers(page).first().click();
  while ((await layers(page).count()) < PLATES) await page.keyboard.press('d');
  line(
    `frames per second while dragging, ${PLATES} plates`,
    `${(await framesWhileDragging(page)).toFixed(0)}`,
    '50',
  );
  await layers(page).nth(8).click();
  const client = await page.context().newCDPSession(page);
  await client.send('Emulation.setCPUThrottlingRate', { rate: SLOWED });
  const times: number[] = [];
  // Turning a plate over changes record, figures and drawing, and can be done again and again.
  for (let i = 0; i < CHANGES; i++) times.push(await timeOfChange(page, 't'));
  await client.send('Emulation.setCPUThrottlingRate', { rate: 1 });
  line(
    `a change of ${PLATES} plates to its drawing, CPU slowed ${SLOWED}×, median`,
    ms(median(times)),
    '50 ms',
  );

  await page.goto(`${base}/job/demo-ur-0106?stage=specify&tab=pack`);
  await page.getByRole('button', { name: 'Batch tolerance' }).click();
  const tolerance = await longestTask(page, async () => {
    await page.getByRole('button', { name: 'Simulate a million packs' }).click();
    await page.getByText(/packs are within the limits/).waitFor();
  });
  line('longest task while a million packs are built (0: none over 50 ms)', ms(tolerance), '50 ms');
  await page.getByRole('button', { name: 'From the shelf' }).click();
  const shelf = await longestTask(page, async () => {
    await page.getByRole('button', { name: 'Find the ten best' }).click();
    await page.getByRole('list', { name: 'Sets from the shelf, best first' }).waitFor();
  });
  line('longest task while the shelf is searched', ms(shelf), '50 ms');
});
