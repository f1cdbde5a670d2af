import AxeBuilder from '@axe-core/playwright';

import { expect, test } from './bench';

/** Every main view by the rules of axe; what the other theme can change is its contrast. */
const VIEWS = [
  ['the list of jobs', '/'],
  ['intake', '/job/demo-ur-0105'],
  ['strip', '/job/demo-ur-0103?stage=strip'],
  ['inspection', '/job/demo-ur-0106?stage=inspect'],
  ['the measuring run', '/job/demo-ur-0103'],
  ['the pack', '/job/demo-ur-0101?tab=pack'],
  ['springs', '/job/demo-ur-0102?tab=springs'],
  ['a ring of springs', '/job/demo-ur-0104?tab=springs'],
  ['release', '/job/demo-ur-0103?tab=release'],
  ['figures', '/job/demo-ur-0104?tab=figures'],
  ['torque', '/job/demo-ur-0101?tab=torque'],
  ['variants', '/job/demo-ur-0101?tab=compare'],
  ['building', '/job/demo-ur-0106'],
  ['setting', '/job/demo-ur-0102'],
  ['proving', '/job/demo-ur-0102?stage=prove'],
  ['the sign-off', '/job/demo-ur-0106?stage=log'],
  ['a signed revision', '/job/demo-ur-0101?stage=log&revision=1'],
  ['the shelf', '/shelf'],
] as const;

const PEAT_GROUND = 'rgb(25, 23, 20)';

for (const [name, route] of VIEWS) {
  test(`no rule of accessibility is broken: ${name}`, async ({ workshop: shop, page }) => {
    await shop.open(route);
    await page.waitForLoadState('networkidle');
    if (name === 'the measuring run')
      await page.getByRole('button', { name: /^Go on measuring/ }).click();
    if (name === 'building') await page.getByRole('button', { name: /^Springs: / }).click();
    if (name === 'proving') await page.getByRole('button', { name: /^Running: / }).click();
    const broken: string[] = [];
    const look = async (theme: string, axe: AxeBuilder) => {
      const { violations } = await axe.analyze();
      for (const v of violations)
        broken.push(`${theme}: ${v.id}, ${v.nodes.length} × ${v.nodes[0]?.html.slice(0, 160)}`);
    };
    await look('limestone', new AxeBuilder({ page }));
    await page.emulateMedia({ colorScheme: 'dark' });
    await expect
      .poll(() =>
        page.evaluate((ground) => {
          const all = [...document.querySelectorAll('#root div')];
          return all.some((d) => getComputedStyle(d).backgroundColor === ground);
        }, PEAT_GROUND),
      )
      .toBe(true);
    await look('peat', new AxeBuilder({ page }).withRules(['color-contrast']));
    expect(broken).toEqual([]);
  });
}
