import path from 'node:path';

import type { Page } from '@playwright/test';

import { withServed } from './served';

/** One picture of each main view at each size that matters for it. */
const root = path.resolve(import.meta.dirname, '..');
const PHONE = { width: 390, height: 844 };
const WIDE = { width: 1280, height: 800 };

interface Shot {
  readonly name: string;
  readonly route: string;
  readonly viewport: typeof PHONE;
  readonly dark?: boolean;
  readonly before?: (page: Page) => Promise<void>;
}

const toCauses = (page: Page) =>
  page.getByRole('heading', { name: 'Likely causes' }).evaluate((e) => e.scrollIntoView());
const startRun = async (page: Page) => {
  await page.getByRole('button', { name: /^Continue \(/ }).click();
  await page.keyboard.type('3.4');
};
const toVerdicts = (page: Page) =>
  page.getByRole('heading', { name: 'Summary' }).evaluate((e) => e.scrollIntoView());
const toColdOil = async (page: Page) => {
  await page.getByRole('button', { name: /^Cold oil/ }).click();
  await page.getByRole('img', { name: /^Drag over/ }).evaluate((e) => e.scrollIntoView());
};

const mapped = async (page: Page) => {
  await page.getByRole('button', { name: /^Trade map/ }).click();
  await page.getByRole('button', { name: 'Map every pack' }).click();
  await page.getByRole('progressbar').waitFor({ state: 'detached', timeout: 60_000 });
  await page.getByRole('img', { name: /^Trade map/ }).click({ position: { x: 200, y: 120 } });
};
const pulled = async (page: Page) => {
  await page.getByRole('button', { name: 'Show the whole section' }).click();
  await page.getByRole('button', { name: /^Plate 12 / }).click();
  await page.getByRole('slider', { name: 'Lever' }).fill('100');
};
const toCurve = (page: Page) =>
  page.getByRole('heading', { name: 'Working point' }).evaluate((e) => e.scrollIntoView());
const toLift = async (page: Page) => {
  await page.getByRole('button', { name: /^Lift: \d of/ }).click();
  await page.getByRole('img', { name: /^Lift round/ }).evaluate((e) => e.scrollIntoView());
};
const toGain = async (page: Page) => {
  await page.getByRole('button', { name: /^Running: / }).click();
  await page
    .getByRole('heading', { name: 'Lever gain readings' })
    .evaluate((e) => e.scrollIntoView());
};
const search = async (page: Page) => {
  await page.getByRole('button', { name: 'From the shelf' }).click();
  await page.getByRole('button', { name: 'Find the ten best' }).click();
  await page.getByRole('list', { name: 'Sets from the shelf, best first' }).waitFor();
  await page.getByRole('button', { name: 'From the shelf' }).evaluate((e) => e.scrollIntoView());
};

const takingUp = async (page: Page) => {
  await page.getByRole('slider', { name: 'Throttle' }).press('PageUp');
  await page.waitForTimeout(900);
  await page.getByRole('button', { name: 'Pause' }).click();
};
const measured = async (page: Page) => {
  for (const hour of ['12', '3', '6', '9'])
    await page.getByRole('button', { name: `Measure at ${hour} o’clock`, exact: true }).click();
};

const SHOTS: readonly Shot[] = [
  { name: 'jobs-phone', route: '/', viewport: PHONE },
  { name: 'intake-phone', route: '/job/demo-ur-0105', viewport: PHONE, before: toCauses },
  { name: 'strip-phone', route: '/job/demo-ur-0103?stage=strip', viewport: PHONE },
  {
    name: 'run-phone-peat',
    route: '/job/demo-ur-0103',
    viewport: PHONE,
    dark: true,
    before: startRun,
  },
  {
    name: 'inspect-phone',
    route: '/job/demo-ur-0106?stage=inspect',
    viewport: PHONE,
    before: toVerdicts,
  },
  {
    name: 'release-phone',
    route: '/job/demo-ur-0107?tab=release',
    viewport: PHONE,
    before: toColdOil,
  },
  { name: 'pack-wide', route: '/job/demo-ur-0101?tab=pack', viewport: WIDE },
  { name: 'section-phone', route: '/job/demo-ur-0104?tab=pack', viewport: PHONE, before: pulled },
  {
    name: 'springs-phone-peat',
    route: '/job/demo-ur-0102?tab=springs',
    viewport: PHONE,
    dark: true,
    before: toCurve,
  },
  { name: 'torque-phone', route: '/job/demo-ur-0101?tab=torque', viewport: PHONE },
  {
    name: 'compare-wide',
    route: '/job/demo-ur-0107?tab=compare',
    viewport: WIDE,
    before: mapped,
  },
  { name: 'shelf-wide', route: '/job/demo-ur-0106?tab=pack', viewport: WIDE, before: search },
  { name: 'build-phone', route: '/job/demo-ur-0106', viewport: PHONE },
  { name: 'log-wide', route: '/job/demo-ur-0101?stage=log', viewport: WIDE },
  { name: 'set-phone', route: '/job/demo-ur-0104?stage=set', viewport: PHONE, before: toLift },
  {
    name: 'prove-phone-peat',
    route: '/job/demo-ur-0102?stage=prove',
    viewport: PHONE,
    dark: true,
    before: toGain,
  },
  {
    name: 'cutaway-wide',
    route: '/cutaway?job=demo-ur-0102',
    viewport: WIDE,
    before: takingUp,
  },
  {
    name: 'exercise-phone',
    route: '/exercise?kind=measureDisc&seed=7',
    viewport: PHONE,
    before: measured,
  },
  { name: 'signoff-wide', route: '/job/demo-ur-0106?stage=log', viewport: WIDE },
];

void withServed(root, async (base, browser) => {
  for (const { name, route, viewport, dark, before } of SHOTS) {
    const page = await browser.newPage({ viewport, colorScheme: dark ? 'dark' : 'light' });
    await page.goto(base + route);
    await page.getByText('Opening the workshop').waitFor({ state: 'detached' });
    await page.getByRole('heading', { level: 1 }).first().waitFor();
    await page.waitForLoadState('networkidle');
    await before?.(page);
    // Ripples and the panel's fade must have ended.
    await page.waitForTimeout(600);
    await page.screenshot({ path: path.join(root, 'docs/screenshots', `${name}.png`) });
    await page.close();
  }
});
