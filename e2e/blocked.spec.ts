import { expect, test } from '@playwright/test';

import { downloaded } from './downloaded';

/** Browser features that may be blocked: each throws or is missing, as with site data blocked. */
const BLOCKED: Readonly<Record<string, string>> = {
  'local storage': `Object.defineProperty(window, 'localStorage', { get() { throw new DOMException('denied', 'SecurityError'); } });`,
  'no local storage': `Object.defineProperty(window, 'localStorage', { value: undefined });`,
  'the database': `Object.defineProperty(window, 'indexedDB', { get() { throw new DOMException('denied', 'SecurityError'); } });`,
  'no database': `Object.defineProperty(window, 'indexedDB', { value: undefined });`,
  workers: `window.Worker = class { constructor() { throw new DOMException('denied', 'SecurityError'); } };`,
  'no workers': `Object.defineProperty(window, 'Worker', { value: undefined });`,
};
const ALL = ['local storage', 'the database', 'workers'];

for (const [name, scripts] of [
  ...Object.entries(BLOCKED).map(([n, script]) => [n, [script]] as const),
  ['all of them', ALL.map((n) => BLOCKED[n] ?? '')] as const,
])
  test(`opens and works where a browser refuses: ${name} @wide`, async ({ page }) => {
    for (const script of scripts) await page.addInitScript(script);
    await page.goto('/');
    await page
      .getByRole('link', { name: /UR-0106/ })
      .first()
      .click();
    const stored = !/database|all/.test(name);
    if (!stored)
      await expect(page.getByText(/kept only while this page is open/).first()).toBeVisible();
    await page.goto('/files');
    const backup = await downloaded(page, () =>
      page.getByRole('button', { name: 'Back up now' }).click(),
    );
    expect(backup.length).toBeGreaterThan(10_000);
  });

test('shows why a sheet can’t be made @wide', async ({ page }) => {
  await page.route('**/paper-worker.js', (route) => route.abort());
  const logged: string[] = [];
  page.on('console', (message) => {
    if (message.type() === 'error') logged.push(message.text());
  });
  await page.goto('/job/demo-ur-0101?stage=log');
  await page.getByRole('button', { name: 'Job sheet (PDF)' }).click();
  const reported = page.getByText(/^The sheet could not be made: /);
  await expect(reported).toBeVisible();
  await expect(reported).not.toContainText(/room|can’t be read/);
  expect(logged.join()).toContain('The sheet could not be made');
});

test('refuses a file that is not a picture with its own message @wide', async ({ page }) => {
  await page.goto('/job/demo-ur-0106?stage=strip');
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Choose file' }).click(),
  ]);
  await chooser.setFiles({
    name: 'x.jpg',
    mimeType: 'image/jpeg',
    buffer: Buffer.from('no picture'),
  });
  await expect(page.getByText(/^x\.jpg: The file is not a picture/)).toBeVisible();
});
