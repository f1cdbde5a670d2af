// cspell:ignore fulfill
import { cpSync, readFileSync, writeFileSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import path from 'node:path';
import { brotliCompressSync, gzipSync } from 'node:zlib';

import type { Browser, BrowserContext, Page } from '@playwright/test';

import { makeServer } from '../server/serve';
import { expect, ON_PHONE, test, Workshop } from './bench';
import { held } from './held';

const DIST = path.resolve('dist');

/** A server of its own over a copy of the export, which can be exchanged for a newer version while it runs. */
async function serveCopy(folder: string) {
  cpSync(DIST, folder, { recursive: true });
  const { server, stop } = makeServer({
    distDir: folder,
    benchDir: path.resolve('server/bench/public'),
    workshop: 'demo',
    perMinute: 1_000_000,
  });
  server.listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  return { base: `http://127.0.0.1:${(server.address() as AddressInfo).port}`, stop };
}

/** A newer version of the export: another description, and a matching service worker. */
function makeNewer(folder: string): void {
  const change = (file: string, from: string | RegExp, to: string) => {
    const place = path.join(folder, file);
    const text = readFileSync(place, 'utf8').replace(from, to);
    writeFileSync(place, text);
    writeFileSync(`${place}.gz`, gzipSync(text));
    writeFileSync(`${place}.br`, brotliCompressSync(text));
  };
  change('index.html', 'content="Specify, check', 'content="Newer: specify, check');
  change('sw.js', /(\{url:"index\.html",revision:")[0-9a-f]+/, '$1newer');
}

const withWorkers = (browser: Browser, baseURL: string): Promise<BrowserContext> =>
  browser.newContext({
    baseURL,
    serviceWorkers: 'allow',
    viewport: { width: 390, height: 844 },
    acceptDownloads: true,
  });

/** Waits until everything is there without a connection. */
const kept = (page: Page) =>
  expect
    .poll(() => page.evaluate(() => navigator.serviceWorker.controller?.state), { timeout: 60_000 })
    .toBe('activated');

test(
  'after one visit everything works without a connection',
  ON_PHONE,
  async ({ browser }, info) => {
    const { base, stop } = await serveCopy(info.outputPath('dist'));
    const context = await withWorkers(browser, base);
    const page = await context.newPage();
    const shop = new Workshop(page);
    await shop.open();
    await kept(page);
    await context.setOffline(true);
    // Not a server that answers, either.
    await stop();

    for (const route of ['/', '/shelf', '/library', '/find', '/due', '/files', '/code'])
      await shop.open(route);
    await shop.open('/job/demo-ur-0106?stage=intake');
    await shop.type('engine.peakTorque', '48');
    await shop.stored();
    await page.reload();
    await expect(shop.field('engine.peakTorque')).toHaveValue('48');

    // Late-loaded and worker content: heavy runs, sheets, files, codes.
    await shop.open('/job/demo-ur-0106?tab=pack');
    await shop.unfold('Batch tolerance');
    await page.getByRole('button', { name: 'Simulate a million packs' }).click();
    await expect(page.getByRole('img', { name: /^Pack heights/ })).toBeVisible();
    await shop.open('/job/demo-ur-0106?stage=log');
    const saved = async (key: string | RegExp) => {
      const [download] = await Promise.all([
        page.waitForEvent('download'),
        page.getByRole('button', { name: key }).first().click(),
      ]);
      return readFileSync((await download.path()) ?? '');
    };
    expect((await saved('Job sheet (PDF)')).subarray(0, 5).toString()).toBe('%PDF-');
    await shop.open('/files');
    expect((await saved('Back up now')).subarray(0, 2).toString()).toBe('PK');
    await shop.open('/code?job=demo-ur-0106');
    await expect(page.getByTestId('pack-code')).toBeVisible();
    await context.close();
  },
);

test(
  'opened again it waits for no answer of a server, and goes over to another workshop once that is offered',
  ON_PHONE,
  async ({ page }) => {
    const shop = new Workshop(page);
    await shop.open();
    await shop.open('/job/demo-ur-0106?stage=intake');
    await shop.type('engine.peakTorque', '48');
    await shop.stored();
    let answer = (_workshop: 'demo' | 'empty') => Promise.resolve();
    // As where there is one bar of signal: no answer until the test gives one.
    await page.route('**/api/workshop', (route) => {
      answer = (workshop) => route.fulfill({ json: { workshop } });
    });
    await page.reload();
    await expect(shop.field('engine.peakTorque')).toHaveValue('48');
    await shop.open();
    await expect(page.getByRole('listitem').first()).toBeVisible();
    await answer('empty');
    await expect(page.getByText('No jobs yet.')).toBeVisible();
    await answer('demo');
    await expect(page.getByRole('listitem').first()).toBeVisible();
    await shop.open('/job/demo-ur-0106?stage=intake');
    await expect(shop.field('engine.peakTorque')).toHaveValue('48');
  },
);

test(
  'shows a line on the themed background until the script runs, without a white flash',
  ON_PHONE,
  async ({ page }) => {
    const letGo = await held(page);
    const ground = () => page.evaluate(() => getComputedStyle(document.body).backgroundColor);
    await page.emulateMedia({ colorScheme: 'dark' });
    // The list is shown before the program on a first visit.
    await page.goto('/due', { waitUntil: 'commit' });
    await expect(page.getByText('Opening the workshop …')).toBeVisible();
    expect(await ground()).toBe('rgb(25, 23, 20)');
    await page.emulateMedia({ colorScheme: 'light' });
    expect(await ground()).toBe('rgb(244, 241, 234)');
    letGo();
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await expect(page.getByText('Opening the workshop …')).toHaveCount(0);

    // Browser-drawn parts follow the chosen theme, whatever the device's setting.
    const scheme = () =>
      page.evaluate(() => getComputedStyle(document.documentElement).colorScheme);
    await expect.poll(scheme).toBe('light');
    await page.getByRole('button', { name: /^Units and theme/ }).click();
    await page.getByRole('menuitem', { name: 'Peat, dark' }).click();
    await expect.poll(scheme).toBe('dark');
    expect(await ground()).toBe('rgb(25, 23, 20)');
  },
);

test('uses the shipped fonts, and shows the text without them', ON_PHONE, async ({ page }) => {
  const jobs = page.getByRole('list', { name: 'Jobs' });
  const families = () =>
    page.evaluate(() =>
      [...document.fonts].filter((f) => f.status === 'loaded').map((f) => f.family),
    );
  await page.goto('/');
  await expect(jobs).toBeVisible();
  // A font is fetched with the first text that needs it, which may be after the list is shown.
  await expect
    .poll(async () => (await families()).sort())
    .toEqual([
      'UnderRidgeIcons',
      'UnderRidgeMono',
      'UnderRidgeMonoBold',
      'UnderRidgeText',
      'UnderRidgeTextBold',
    ]);
  await page.route('**/*.woff2', (route) => route.abort());
  await page.reload();
  await expect(jobs.getByRole('link').first()).toBeVisible();
  expect(await families()).toEqual([]);
});

test(
  'can be installed: manifest, icons of its own, one of them to be masked',
  ON_PHONE,
  async ({ page }) => {
    await page.goto('/');
    const href = await page.locator('link[rel=manifest]').getAttribute('href');
    const manifest = (await (await page.request.get(href ?? '')).json()) as {
      name: string;
      start_url: string;
      display: string;
      icons: { src: string; sizes: string; purpose?: string }[];
    };
    expect(manifest).toMatchObject({ name: 'Under Ridge', start_url: '/', display: 'standalone' });
    expect(manifest.icons.some((i) => i.purpose === 'maskable')).toBe(true);
    for (const { src, sizes } of manifest.icons) {
      const png = await (await page.request.get(src)).body();
      expect(`${png.readUInt32BE(16)}x${png.readUInt32BE(20)}`).toBe(sizes);
    }
    const cdp = await page.context().newCDPSession(page);
    const { installabilityErrors } = await cdp.send('Page.getInstallabilityErrors');
    const others = installabilityErrors.filter(({ errorId }) => errorId !== 'in-incognito');
    expect(others).toEqual([]);
  },
);

test(
  'a newer version is offered, never mixed in, and taken over only when no other tab is in the way',
  ON_PHONE,
  async ({ browser }, info) => {
    const folder = info.outputPath('dist');
    const { base, stop } = await serveCopy(folder);
    const context = await withWorkers(browser, base);
    const page = await context.newPage();
    const shop = new Workshop(page);
    await shop.open();
    await kept(page);
    const other = await context.newPage();
    await other.goto('/job/demo-ur-0106?stage=intake');
    await other.getByTestId('engine.peakTorque').fill('49');

    makeNewer(folder);
    await page.reload();
    const notice = page.getByRole('status', { name: 'Newer version' });
    const said = page.locator('meta[name="description"]');
    await expect(notice).toContainText('A newer version is ready');
    // Reloaded or not, the old version stays complete until confirmation.
    await page.reload();
    await expect(said).not.toHaveAttribute('content', /^Newer/);
    await expect(notice).toBeVisible();
    await notice.getByRole('button', { name: 'Update' }).click();
    await expect(notice).toContainText('Close the other tab of Under Ridge first');
    await expect(said).not.toHaveAttribute('content', /^Newer/);
    await expect(other.getByTestId('engine.peakTorque')).toHaveValue('49');
    await other.close();
    // A closed tab's lock is given back a moment after the tab is gone.
    await expect
      .poll(() =>
        page.evaluate(
          async () =>
            ((await navigator.locks.query()).held ?? []).filter(({ name }) =>
              name?.endsWith('-tab'),
            ).length,
        ),
      )
      .toBe(1);
    await notice.getByRole('button', { name: 'Update' }).click();
    await expect(said).toHaveAttribute('content', /^Newer/);
    await expect(notice).toHaveCount(0);
    await shop.open('/job/demo-ur-0106?stage=intake');
    await expect(shop.field('engine.peakTorque')).toHaveValue('49');
    await context.close();
    await stop();
  },
);
