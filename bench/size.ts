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
  await page.addInitScript(() => {
    const look = () => {
      if (document.querySelector('[role="listitem"]')) performance.mark('drawn');
      else requestAnimationFrame(look);
    };
    look();
  });
  await page.reload();
  await page.getByRole('list', { name: 'Jobs' }).waitFor();
  await page.waitForLoadState('networkidle');
  const fetched = await page.evaluate(() => {
    const drawn = performance.getEntriesByName('drawn')[0]?.startTime ?? Infinity;
    return performance
      .getEntriesByType('resource')
      .map(({ name, startTime }) => ({ url: name, before: startTime < drawn }));
  });
  const pathOf = (url: string) => decodeURIComponent(new URL(url).pathname);
  const first = new Set(fetched.filter((f) => f.before).map((f) => pathOf(f.url)));
  const after = fetched.map((f) => pathOf(f.url)).filter((file) => !first.has(file));

  const gzip = (file: string) =>
    gzipSync(readFileSync(path.join(distDir, file)), { level: 9 }).length;
  const kb = (bytes: number) => `${(bytes / 1024).toFixed(1)} KB`;
  const sum = (files: readonly string[]) => files.reduce((total, file) => total + gzip(file), 0);
  const scripts = (files: Iterable<string>) => [...files].filter((f) => f.endsWith('.js'));
  const fonts = [...first].filter((f) => f.endsWith('.woff2'));
  line('first screen: script, gzip', kb(sum(scripts(first))));
  line('first screen: fonts, gzip', kb(sum(fonts)));
  line(
    'first screen: script and fonts, gzip',
    kb(sum(scripts(first)) + sum(fonts)),
    'below 400 KB',
  );
  const visit = await (await fetch(`${base}/`)).text();
  line('page of a first visit, with the list as drawn, gzip', kb(gzipSync(visit).length));
  line('fetched once it is drawn: the other screens, gzip', kb(sum(scripts(after))));

  const all = readdirSync(distDir, { recursive: true, encoding: 'utf8' }).filter((f) =>
    statSync(path.join(distDir, f)).isFile(),
  );
  line(
    'whole export on disk',
    kb(all.reduce((total, f) => total + statSync(path.join(distDir, f)).size, 0)),
  );
});
