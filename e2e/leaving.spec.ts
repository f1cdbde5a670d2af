import type { Page } from '@playwright/test';

import { seededRandom } from '../src/core/random/random';
import { expect, holdWrites, ON_PHONE, ON_WIDE, test } from './bench';

/* A page closed right after the last key: the text is there again. LEAVES=50 for a longer run. */

const ROUNDS = Number(process.env.LEAVES ?? 5);
const LEFT_WITHIN_MS = 200;
const JOB = '/job/demo-ur-0106?stage=intake';

/** How a builder leaves a page, each giving the page on which to look. */
const WAYS: Readonly<Record<string, (page: Page) => Promise<Page>>> = {
  'reloading it': async (page) => {
    await page.reload();
    return page;
  },
  'going to another address': async (page) => {
    await page.goto('/bench/');
    await page.goto(JOB);
    return page;
  },
  'closing it': async (page) => {
    const next = await page.context().newPage();
    await page.close({ runBeforeUnload: true }).catch(() => undefined);
    await expect.poll(() => page.isClosed()).toBe(true);
    await next.goto(JOB);
    return next;
  },
};

for (const [way, leave] of Object.entries(WAYS))
  test(`nothing typed is lost by ${way} at once`, ON_PHONE, async ({ context, page: first }) => {
    test.setTimeout(60_000 + ROUNDS * 20_000);
    const random = seededRandom(27);
    let page = first;
    await page.goto(JOB);
    for (let round = 0; round < ROUNDS; round++) {
      await expect(page.getByTestId('engine.peakTorque')).toBeVisible();
      const torque = String(40 + round);
      await page.getByTestId('engine.peakTorque').fill(torque);
      await new Promise((resolve) => setTimeout(resolve, random() * LEFT_WITHIN_MS));
      page = await leave(page);
      await expect(page.getByTestId('engine.peakTorque')).toHaveValue(torque);
    }
    expect(context.pages()).toContain(page);
    await expect(page.getByTestId('save-mark')).toHaveAttribute('data-status', 'saved');
    expect(
      await page.evaluate(() => Object.keys(localStorage).filter((key) => key.includes('-left-'))),
    ).toEqual([]);
  });

test(
  'the browser asks before a page goes with anything unsaved, and not otherwise',
  ON_PHONE,
  async ({ workshop, page }) => {
    await workshop.open(JOB);
    await workshop.stored();
    const asked: string[] = [];
    page.on('dialog', (dialog) => {
      asked.push(dialog.type());
      void dialog.accept();
    });
    await page.reload();
    await expect(workshop.field('engine.peakTorque')).toBeVisible();
    expect(asked).toEqual([]);
    await workshop.field('engine.peakTorque').click();
    await page.keyboard.press('End');
    await page.keyboard.type('1');
    await page.reload();
    expect(asked).toEqual(['beforeunload']);
  },
);

test(
  'informs both tabs that edit one field at the same moment, and makes them agree',
  ON_WIDE,
  async ({ workshop, page }) => {
    await workshop.open(JOB);
    await workshop.stored();
    const other = await page.context().newPage();
    await other.goto(JOB);
    await expect(other.getByTestId('engine.peakTorque')).toBeVisible();
    const release = await holdWrites(page);
    await page.getByTestId('engine.peakTorque').fill('45');
    await other.getByTestId('engine.peakTorque').fill('46');
    await expect(page.getByTestId('save-mark')).toHaveAttribute('data-status', 'saving');
    await expect(other.getByTestId('save-mark')).toHaveAttribute('data-status', 'saving');
    await release();
    const notices = [page, other].map((tab) => tab.getByRole('region', { name: 'Storage' }));
    for (const notice of notices)
      await expect(notice).toContainText('UR-0106 was changed in two tabs at the same time.');
    const texts = await Promise.all(notices.map((notice) => notice.innerText()));
    expect(texts.filter((text) => text.includes('It shows your values')).length).toBe(1);
    const [here, there] = await Promise.all(
      [page, other].map((tab) => tab.getByTestId('engine.peakTorque').inputValue()),
    );
    expect(here).toBe(there);
    // Each has the way to the copy, which has the other value.
    await notices[0]?.getByRole('button', { name: 'Open UR-0106, edited in another tab' }).click();
    await expect(page).not.toHaveURL(/demo-ur-0106/);
    await workshop.stage('Intake');
    await expect(workshop.field('engine.peakTorque')).toHaveValue(here === '45' ? '46' : '45');
    await other.close();
  },
);
