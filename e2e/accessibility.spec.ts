import AxeBuilder from '@axe-core/playwright';

import { expect, test } from './bench';

/** Every main view, in both themes, by the rules of axe. */
const VIEWS = [
  ['the list of jobs', '/'],
  ['intake', '/job/demo-ur-0105'],
  ['strip', '/job/demo-ur-0103?stage=strip'],
  ['inspection', '/job/demo-ur-0106?stage=inspect'],
  ['the measuring run', '/job/demo-ur-0103'],
  ['the pack', '/job/demo-ur-0101?tab=pack'],
  ['springs', '/job/demo-ur-0102?tab=springs'],
  ['release', '/job/demo-ur-0103?tab=release'],
  ['figures', '/job/demo-ur-0104?tab=figures'],
  ['torque', '/job/demo-ur-0101?tab=torque'],
  ['variants', '/job/demo-ur-0101?tab=compare'],
  ['the shelf', '/shelf'],
  ['a ring of springs', '/job/demo-ur-0104?tab=springs'],
] as const;

for (const scheme of ['light', 'dark'] as const) {
  test(`no view breaks a rule of accessibility, ${scheme}`, async ({ workshop: shop, page }) => {
    await page.emulateMedia({ colorScheme: scheme });
    const broken: string[] = [];
    for (const [name, route] of VIEWS) {
      await shop.open(route);
      await page.waitForLoadState('networkidle');
      if (name === 'the measuring run')
        await page.getByRole('button', { name: /^Go on measuring/ }).click();
      const { violations } = await new AxeBuilder({ page }).analyze();
      for (const v of violations)
        broken.push(`${name}: ${v.id}, ${v.nodes.length} × ${v.nodes[0]?.html.slice(0, 160)}`);
    }
    expect(broken).toEqual([]);
  });
}
