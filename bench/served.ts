import path from 'node:path';

import type { Browser } from '@playwright/test';
import { chromium } from '@playwright/test';

import { wholeChromiumPath } from '../scripts/chromium.mjs';
import { makeServer } from '../server/serve';
import { watchMachine } from './measure';

/** Serves the export with the demo workshop, opens a browser for `work`, and takes both down again. */
export async function withServed(
  root: string,
  work: (base: string, browser: Browser) => Promise<void>,
): Promise<void> {
  const { server, stop } = makeServer({
    distDir: path.join(root, 'dist'),
    benchDir: path.join(root, 'server/bench/public'),
    workshop: 'demo',
    // Measuring loads the page more often than anybody does.
    perMinute: 1_000_000,
  });
  server.listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  const address = server.address();
  const port = typeof address === 'object' && address ? address.port : 0;
  const browser = await chromium.launch({
    executablePath: wholeChromiumPath(),
    args: ['--no-sandbox', '--disable-gpu'],
  });
  const report = watchMachine();
  try {
    await work(`http://127.0.0.1:${port}`, browser);
    report();
  } finally {
    await browser.close();
    await stop();
  }
}
