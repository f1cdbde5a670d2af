import type { Page } from '@playwright/test';
import { PNG } from 'pngjs';

import { PICTURE_KEY } from '../src/features/lastSeen/picture';
import { difference } from '../src/testing/pictures';
import { expect, forget, ON_PHONE, test, Workshop } from './bench';
import { held } from './held';

/* A screen that was seen before, and the list on a first visit, is there before the program is. */

const picture = (page: Page) => page.getByTestId('last-seen');

const shot = async (page: Page): Promise<PNG> => PNG.sync.read(await page.screenshot());

/** Opens an address while the program is held back, as far as it is shown without it. */
async function openedWithout(page: Page, address: string): Promise<() => void> {
  const letGo = await held(page);
  await page.goto(address, { waitUntil: 'commit' });
  // The page is read on from the script that shows what was seen only once that has run.
  await expect(page.locator('script[src*="entry-"]')).toHaveCount(1);
  return letGo;
}

/** The screen once two pictures of it are the same: rows are worked out one after another. */
async function settled(page: Page): Promise<PNG> {
  let seen = await shot(page);
  await expect
    .poll(async () => {
      const before = seen;
      await page.evaluate(() => new Promise((resolve) => requestIdleCallback(resolve)));
      seen = await shot(page);
      return difference(before, seen);
    })
    .toBe(0);
  return seen;
}

test('a first visit sees the list at once, as it will be, and a press on it is not lost', async ({
  workshop,
  page,
}) => {
  await workshop.open();
  const box = await page.getByRole('button', { name: 'New job' }).boundingBox();
  if (!box) throw new Error('the key is not in sight');
  const alive = await settled(page);
  await workshop.stored();
  await page.goto('about:blank');
  await forget(page);

  const letGo = await openedWithout(page, '/');
  await expect(picture(page)).toBeVisible();
  await expect.poll(async () => difference(alive, await shot(page))).toBeLessThan(0.0005);
  await expect(page.getByRole('button')).toHaveCount(0);
  await page.mouse.click(box.x + box.width / 2, box.y + box.height / 2);
  letGo();
  await expect(page.getByRole('textbox', { name: 'Machine', exact: true })).toBeVisible();
});

/** The day of the page is another, from the next opening on. */
const onDay = (page: Page, day: string) =>
  page.addInitScript((moment) => {
    const Real = Date;
    const away = Real.parse(moment) - Real.now();
    class Moved extends Real {
      constructor(...given: readonly number[]) {
        if (given.length > 0) super(...(given as [number]));
        else super(Real.now() + away);
      }
    }
    window.Date = Moved as DateConstructor;
  }, `${day}T12:00:00`);

test(
  'the list holds on another day, brought to it, and a press on it leads where its row does',
  ON_PHONE,
  async ({ workshop, page }) => {
    const text = () =>
      page.evaluate(() => document.querySelector('[data-any-day]')?.textContent ?? '');
    await workshop.open();
    await workshop.stored();
    await expect.poll(text).toMatch(/Moss 250.*due in \d+ days/);
    const due = await page.evaluate(
      () =>
        document.querySelector('[aria-label^="UR-0105"] [data-due]')?.getAttribute('data-due') ??
        '',
    );
    const box = await page.getByRole('link', { name: /^UR-0105,/ }).boundingBox();
    if (!box) throw new Error('the row is not in sight');
    const now = await shot(page);
    await page.goto('about:blank');

    await onDay(page, due);
    const letGo = await openedWithout(page, '/');
    await expect(picture(page)).toBeVisible();
    await page.evaluate(() => document.fonts.ready);
    const seen = await shot(page);
    expect(difference(now, seen)).toBeGreaterThan(0);
    await page.mouse.click(box.x + box.width / 2, box.y + box.height / 2);
    letGo();
    await expect(page).toHaveURL(/\/job\/demo-ur-0105$/);
    await workshop.open();
    await expect(page.getByRole('link', { name: /^UR-0105,.*due today/ })).toBeVisible();
    expect(difference(seen, await settled(page))).toBeLessThan(0.0005);
  },
);

test('the list of a first visit is never shown again', ON_PHONE, async ({ workshop, page }) => {
  await workshop.open();
  await workshop.stored();
  await page.goto('/api/health');
  await page.evaluate((key) => localStorage.removeItem(key), PICTURE_KEY);
  const letGo = await openedWithout(page, '/');
  expect(await picture(page).count()).toBe(0);
  letGo();
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
});

test('a screen that is opened again is there at once, and a press on it is not lost', async ({
  workshop,
  page,
}) => {
  await workshop.open();
  const row = page.getByRole('link', { name: /^UR-0106,/ });
  await expect(row).toBeVisible();
  const seen = await settled(page);
  const box = await row.boundingBox();
  if (!box) throw new Error('the row is not in sight');
  await page.goto('about:blank');

  const letGo = await openedWithout(page, '/');
  await expect(picture(page)).toBeVisible();
  await expect.poll(async () => difference(seen, await shot(page))).toBeLessThan(0.002);
  // It is not alive yet: nothing of it is read out.
  await expect(page.getByRole('link')).toHaveCount(0);
  await page.mouse.click(box.x + box.width / 2, box.y + box.height / 2);
  await expect(page).toHaveURL(/\/$/);
  letGo();
  await expect(page).toHaveURL(/\/job\/demo-ur-0106$/);
  await expect(picture(page)).toHaveCount(0);
});

test(
  'a screen is shown before the program only while it is true',
  ON_PHONE,
  async ({ workshop, page }) => {
    const shown = async (address: string): Promise<number> => {
      const letGo = await openedWithout(page, address);
      const many = await picture(page).count();
      letGo();
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      await expect(picture(page)).toHaveCount(0);
      await workshop.stored();
      await page.goto('about:blank');
      return many;
    };
    const intake = '/job/demo-ur-0106?stage=intake';
    await workshop.open();
    await workshop.stored();
    await page.goto('about:blank');
    expect(await shown('/')).toBe(1);
    // A search is over when the list is opened again.
    await workshop.open();
    await page.getByRole('textbox', { name: 'Find a job' }).fill('moss');
    await expect(page.getByRole('list', { name: 'Jobs' }).getByRole('listitem')).toHaveCount(1);
    await page.goto('about:blank');
    expect(await shown('/')).toBe(0);
    expect(await shown('/')).toBe(1);
    // Another address.
    expect(await shown(intake)).toBe(0);
    expect(await shown(intake)).toBe(1);
    // Another size.
    await page.setViewportSize({ width: 844, height: 390 });
    expect(await shown(intake)).toBe(0);
    expect(await shown(intake)).toBe(1);
    // Changed from elsewhere; a page that only stands there changes nothing.
    const other = new Workshop(await page.context().newPage());
    await other.open(intake);
    await other.stored();
    await shown(intake);
    expect(await shown(intake)).toBe(1);
    // Browsers tell one tab of what another has kept a moment later.
    await expect
      .poll(() => other.page.evaluate((key) => localStorage.getItem(key) !== null, PICTURE_KEY))
      .toBe(true);
    await other.type('engine.idleRpm', '1500');
    await other.stored();
    expect(await shown(intake)).toBe(0);
    await other.page.close();
    // Another day.
    await workshop.open(intake);
    await page.goto('/api/health');
    await page.evaluate((key) => {
      const kept = JSON.parse(localStorage.getItem(key) ?? '') as Record<string, unknown>;
      localStorage.setItem(key, JSON.stringify({ ...kept, day: '2026-1-1' }));
    }, PICTURE_KEY);
    expect(await shown(intake)).toBe(0);
    expect(await shown(intake)).toBe(1);
  },
);
