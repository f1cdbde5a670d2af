import { readdirSync, readFileSync, statSync } from 'node:fs';
import path from 'node:path';
import { gzipSync } from 'node:zlib';

import { line } from './measure';
import { withServed } from './served';

/** Loads the job list in Chromium and sums the fetched bytes as gzip. */
const root = process.env.UNDER_RIDGE_ROOT ?? '.';
const distDir = path.join(root, 'dist');
void withServed(root, async (base, browser) => {
  const page = await browser.newPage({ viewport: { width: 390, height: 844 } });
  await page.goto(`${base}/`);
  await page.getByRole('list', { name: 'Jobs' }).waitFor();
  await page
    .locator('[data-testid="save-mark"][data-status="saved"]')
    .waitFor({ state: 'attached' });

  // The demo workshop is created on the first visit; later visits fetch only the first screen.
  await page.reload();
  await page.getByRole('list', { name: 'Jobs' }).waitFor();
  await page.waitForLoadState('networkidle');
  const fetched = await page.evaluate(() =>
    performance.getEntriesByType('resource').map(({ name }) => name),
  );
  const first = [...new Set(fetched.map((url) => decodeURIComponent(new URL(url).pathname)))];

  const gzip = (file: string) =>
    gzipSync(readFileSync(path.join(distDir, file)), { level: 9 }).length;
  const kb = (bytes: number) => `${(bytes / 1024).toFixed(1)} KB`;
  const sum = (files: readonly string[]) => files.reduce((total, file) => total + gzip(file), 0);
  const scripts = first.filter((f) => f.endsWith('.js'));
  const fonts = first.filter((f) => f.endsWith('.woff2'));
  line('first screen: script, gzip', kb(sum(scripts)));
  line('first screen: fonts, gzip', kb(sum(fonts)));
  line('first screen: script and fonts, gzip', kb(sum(scripts) + sum(fonts)), 'at most 650 KB');
  const visit = await (await fetch(`${base}/`)).text();
  line('page of a first visit, with the list as drawn, gzip', kb(gzipSync(visit).length));

  const all = readdirSync(distDir, { recursive: true, encoding: 'utf8' }).filter((f) =>
    statSync(path.join(distDir, f)).isFile(),
  );
  line(
    'whole export on disk',
    kb(all.reduce((total, f) => total + statSync(path.join(distDir, f)).size, 0)),
  );
});
