import { defineConfig } from '@playwright/test';

import { chromiumPath } from './scripts/chromium.mjs';

export const CHROMIUM = chromiumPath();
export const CHROMIUM_ARGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

export const DEMO_PORT = 4271;
export const EMPTY_PORT = 4272;

const serve = (port: number, ...args: string[]) => ({
  command: `"${process.execPath}" --import tsx server/main.ts ${args.join(' ')}`,
  // The tests load the page more often in a minute than anybody does.
  env: { PORT: String(port), HOST: '127.0.0.1', PER_MINUTE: '1000000' },
  url: `http://127.0.0.1:${port}`,
  reuseExistingServer: false,
});

/** The real interface against the served export, on a phone and on a wide screen. */
export default defineConfig({
  testDir: 'e2e',
  workers: 2,
  timeout: 180_000,
  expect: { timeout: 20_000 },
  forbidOnly: true,
  reporter: [['list'], ['json', { outputFile: '.cache/playwright.json' }]],
  use: {
    // Each test begins in a browser of its own: it would fetch all there is for offline use, and use it nowhere.
    serviceWorkers: 'block',
    actionTimeout: 30_000,
    baseURL: `http://127.0.0.1:${DEMO_PORT}`,
    // Keeping traces takes as long as the tests themselves; for one that fails: npx playwright test --trace on.
    trace: 'off',
    launchOptions: {
      executablePath: CHROMIUM,
      args: CHROMIUM_ARGS,
    },
  },
  projects: [
    {
      name: 'phone',
      grepInvert: /@wide/,
      use: { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true },
    },
    {
      name: 'wide',
      grepInvert: /@phone/,
      use: { viewport: { width: 1280, height: 800 } },
    },
  ],
  webServer: [serve(DEMO_PORT), serve(EMPTY_PORT, '--empty')],
});
