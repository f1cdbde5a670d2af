import { STAGES } from '../src/core/job/types';
import { brokenRules } from './axe';
import { expect, ON_PHONE, test } from './bench';

/** Every main view by the rules of axe; the other theme only changes contrast. */
const VIEWS = {
  'jobs, intake, strip and inspection': [
    '/',
    '/job/demo-ur-0105',
    '/job/demo-ur-0103?stage=strip',
    '/job/demo-ur-0106?stage=inspect',
    '/job/demo-ur-0103',
  ],
  'beside the jobs': [
    '/shelf',
    '/library',
    '/find',
    '/due',
    '/files',
    '/code',
    '/code?job=demo-ur-0106',
  ],
  'the pack and its figures': [
    '/job/demo-ur-0101?tab=pack',
    '/job/demo-ur-0102?tab=springs',
    '/job/demo-ur-0104?tab=springs',
    '/job/demo-ur-0103?tab=release',
    '/job/demo-ur-0104?tab=figures',
    '/job/demo-ur-0101?tab=torque',
    '/job/demo-ur-0101?tab=compare',
  ],
  'building to signing': [
    '/job/demo-ur-0106',
    '/job/demo-ur-0102',
    '/job/demo-ur-0102?stage=prove',
    '/job/demo-ur-0106?stage=log',
    '/job/demo-ur-0101?stage=log',
    '/job/demo-ur-0101?stage=log&revision=1',
  ],
} as const;

/** Content of a view that must be opened first. */
const OPENED: Readonly<Record<string, RegExp>> = {
  '/job/demo-ur-0103': /^Continue \(/,
  '/library': /^Tarn 450$/,
  '/shelf': /^Change S1$/,
  '/job/demo-ur-0106': /^Springs: /,
  '/job/demo-ur-0101?tab=torque': /^Take-off/,
  '/job/demo-ur-0102?stage=prove': /^Running: /,
};

const PEAT_GROUND = 'rgb(25, 23, 20)';

for (const [name, routes] of Object.entries(VIEWS)) {
  // The wide view has its panels beside each other in Specify; elsewhere it is the same parts.
  const size = name === 'the pack and its figures' ? {} : ON_PHONE;
  test(`no rule of accessibility is broken: ${name}`, size, async ({ workshop: shop, page }) => {
    const broken: string[] = [];
    const look = async (where: string, rules?: readonly string[]) => {
      for (const rule of await brokenRules(page, rules)) broken.push(`${where}: ${rule}`);
    };
    for (const route of routes) {
      await page.emulateMedia({ colorScheme: 'light' });
      await shop.open(route);
      await page.waitForLoadState('networkidle');
      // The shell has a heading too; it gives way to the page in two steps.
      await expect(page.getByRole('main')).toBeVisible();
      const inside = OPENED[route];
      if (inside) await page.getByRole('button', { name: inside }).click();
      await look(`limestone, ${route}`);
      // Colours are the same at every size: the other theme is looked at once.
      if (test.info().project.name !== 'phone') continue;
      await page.emulateMedia({ colorScheme: 'dark' });
      await expect
        .poll(() =>
          page.evaluate((ground) => {
            const all = [...document.querySelectorAll('#root div')];
            return all.some((d) => getComputedStyle(d).backgroundColor === ground);
          }, PEAT_GROUND),
        )
        .toBe(true);
      await look(`peat, ${route}`, ['color-contrast']);
    }
    expect(broken).toEqual([]);
  });
}

test('the main action of each stage is at most 12 tabs from its top', async ({
  workshop,
  page,
}) => {
  for (const stage of STAGES) {
    await workshop.open(`/job/demo-ur-0103?stage=${stage}`);
    const heading = page.getByRole('heading', { level: 1 });
    await expect(heading).toBeFocused();
    const skip = page.getByRole('button', { name: 'Skip to the main action' });
    let tabs = 0;
    while (tabs < 12 && !(await skip.evaluate((button) => button === document.activeElement))) {
      await page.keyboard.press('Tab');
      tabs += 1;
    }
    await page.keyboard.press('Enter');
    await expect(page.locator('[role="main"] [data-main] :focus'), stage).toHaveCount(1);
  }
});
