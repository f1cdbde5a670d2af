import type { Page } from '@playwright/test';

import { line, median, ms } from './measure';
import { withServed } from './served';
import { JOBS_LISTED, shownAt, watchFor } from './shown';

/**
 * The response time of each user action, from the press to the frame that shows it, with a processor slowed four times; slowest
 * first.
 */
const root = process.env.UNDER_RIDGE_ROOT ?? '.';
const SLOWED = 4;
const ROUNDS = 5;

/** Presses the element of a selector, and waits in the page for `shown` and two frames. */
const press = (page: Page, selector: string, shown: string): Promise<number> =>
  page.evaluate(
    ([pressed, wanted]) =>
      new Promise<number>((resolve, reject) => {
        const target = document.querySelector<HTMLElement>(pressed);
        if (!target) {
          reject(new Error(`nothing to press: ${pressed}`));
          return;
        }
        const begun = performance.now();
        const limit = begun + 20_000;
        target.click();
        const look = () => {
          if (document.querySelector(wanted))
            requestAnimationFrame(() => setTimeout(() => resolve(performance.now() - begun)));
          else if (performance.now() > limit) reject(new Error(`never shown: ${wanted}`));
          else requestAnimationFrame(look);
        };
        look();
      }),
    [selector, shown] as const,
  );

/** Types a letter into the field that has the focus; the time to the second frame after it. */
const typed = (page: Page, selector: string, letter: string): Promise<number> =>
  page.evaluate(
    ([field, text]) =>
      new Promise<number>((resolve, reject) => {
        const input = document.querySelector<HTMLInputElement>(field);
        if (!input) {
          reject(new Error(`no field: ${field}`));
          return;
        }
        input.focus();
        const begun = performance.now();
        document.execCommand('insertText', false, text);
        requestAnimationFrame(() =>
          requestAnimationFrame(() => setTimeout(() => resolve(performance.now() - begun))),
        );
      }),
    [selector, letter] as const,
  );

const stage = (name: string) => `[aria-label^="${name},"][href]`;
const viewed = (name: string) => `[aria-label^="${name},"][aria-current=step]`;
const tab = (page: Page, name: string) => page.getByRole('tab', { name });

void withServed(root, async (base, browser) => {
  const times = new Map<string, number[]>();
  const took = (name: string, time: number) => times.set(name, [...(times.get(name) ?? []), time]);
  for (let round = 0; round < ROUNDS; round++) {
    const context = await browser.newContext({
      viewport: { width: 390, height: 844 },
      serviceWorkers: 'block',
    });
    const page = await context.newPage();
    await page.addInitScript('globalThis.__name = (f) => f');
    const client = await context.newCDPSession(page);
    await client.send('Emulation.setCPUThrottlingRate', { rate: SLOWED });
    await watchFor(page, JOBS_LISTED);
    await page.goto(base);
    took('first visit: the list of jobs', await shownAt(page));
    await page.waitForTimeout(4000);
    await page.reload();
    took('opened again: the list of jobs', await shownAt(page));
    await page.waitForTimeout(3000);

    for (const letter of ['t', 'a', 'r'])
      took(`list: letter ${letter} of a search`, await typed(page, 'main input', letter));
    await page.locator('main input').fill('');
    await page.waitForTimeout(800);

    const job = '[role=link][aria-label^="UR-0102"], a[aria-label^="UR-0102"]';
    took('list → job', await press(page, job, '[aria-label="Live figures"]'));
    await page.waitForTimeout(1500);
    for (const name of ['Intake', 'Strip', 'Inspect', 'Specify', 'Build', 'Set', 'Prove', 'Log']) {
      took(`to ${name}`, await press(page, stage(name), viewed(name)));
      await page.waitForTimeout(700);
    }
    await press(page, stage('Specify'), viewed('Specify'));
    await page.waitForTimeout(700);
    for (const name of ['Springs', 'Torque', 'Release', 'Compare', 'Figures', 'Machine', 'Pack']) {
      await tab(page, name).evaluate((e) => e.setAttribute('data-go', ''));
      took(`Specify: to ${name}`, await press(page, '[data-go]', '[data-go][aria-selected=true]'));
      await page.evaluate(() => document.querySelector('[data-go]')?.removeAttribute('data-go'));
      await page.waitForTimeout(700);
    }
    took(
      'a figure to its working',
      await press(page, '[data-testid="foot-reserveWithTangs"]', '[role=dialog]'),
    );
    await page.keyboard.press('Escape');
    await page.waitForTimeout(500);
    took('the job’s menu', await press(page, '[aria-label="Job menu"]', '[role=menuitem]'));
    await page.keyboard.press('Escape');
    await page.waitForTimeout(500);
    await tab(page, 'Machine').click();
    await page.waitForTimeout(700);
    for (const digit of ['1', '2'])
      took('a digit typed', await typed(page, '[data-testid="engine.peakTorque"]', digit));
    took(
      'job → list',
      await press(page, '[aria-label="Back to the jobs"]', '[role=list][aria-label="Jobs"]'),
    );
    await page.waitForTimeout(700);
    for (const [name, mark] of [
      ['Shelf', 'main h2'],
      ['Spec sheets', 'main h2'],
      ['Learn', 'main [role=radio]'],
      ['Due', 'main h2'],
      ['Backup', 'main h2'],
    ] as const) {
      const title =
        { Limits: 'Limits library', Backup: 'Files and backup' }[name as string] ?? name;
      await page.evaluate(() => {
        new MutationObserver(() => {
          const h = document.querySelector('h1');
          if (h) h.dataset['is'] = h.textContent ?? '';
        }).observe(document.body, { subtree: true, childList: true, characterData: true });
      });
      const button = `[role=navigation] [aria-label="${name}"]`;
      took(`list → ${name}`, await press(page, button, `h1[data-is="${title}"]`));
      await page.locator(mark).first().waitFor();
      await page.goBack();
      await page.getByRole('list', { name: 'Jobs' }).waitFor();
      await page.waitForTimeout(600);
    }
    await context.close();
  }
  const sorted = [...times].sort((a, b) => median(b[1]) - median(a[1]));
  for (const [name, all] of sorted) line(`${name}, CPU slowed ${SLOWED}×`, ms(median(all)));
});
