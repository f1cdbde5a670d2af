import type { Locator, Page } from '@playwright/test';

import { WAYS } from '../src/core/takeoff/hands';
import { takeoffOf } from '../src/core/takeoff/setup';
import { takeoffBy } from '../src/core/takeoff/takeoff';
import { demoJob } from '../src/demo/jobs';
import type { Workshop } from './bench';
import { expect, ON_PHONE, ON_WIDE, test } from './bench';
import { typePack } from './packByHand';

const layer = (page: Page, number: number) =>
  page.getByRole('button', { name: new RegExp(`^Plate ${number} `) });
const tool = (page: Page, name: string) => page.getByRole('button', { name, exact: true });

/** On a phone the section opens to the whole width; on a wide screen it is there already. */
async function openSection(page: Page): Promise<void> {
  const eye = tool(page, 'Show the whole section');
  if (await eye.isVisible()) await eye.click();
}

async function closeSection(page: Page): Promise<void> {
  const back = tool(page, 'Back to the work');
  if (await back.isVisible()) await back.click();
}

/** Names of the layers from the hub floor outward. */
async function order(page: Page): Promise<string> {
  const labels = await page
    .getByRole('button', { name: /^Plate \d+ / })
    .evaluateAll((nodes) => nodes.map((n) => n.getAttribute('aria-label') ?? ''));
  return labels
    .map((l) => /^Plate (\d+) (\S)/.exec(l))
    .flatMap((m) => (m ? [{ n: Number(m[1]), kind: m[2] ?? '' }] : []))
    .sort((a, b) => a.n - b.n)
    .map((l) => l.kind)
    .join('');
}

/** A drag swallows every click of the next 50 ms, so that letting go presses nothing; no hand is quicker. */
const settle = (page: Page) => page.waitForTimeout(150);

/** Drags as the device does: a finger on the phone, the mouse at a desk. */
async function drag(page: Page, from: Locator, to: Locator, touch: boolean): Promise<void> {
  const [a, b] = [await from.boundingBox(), await to.boundingBox()];
  if (!a || !b) throw new Error('nothing to drag');
  const x = a.x + a.width / 2;
  const start = a.y + a.height / 2;
  const steps = Array.from({ length: 8 }, (_, i) => start + ((b.y + 1 - start) * (i + 1)) / 8);
  if (!touch) {
    await page.mouse.move(x, start);
    await page.mouse.down();
    for (const y of steps) await page.mouse.move(x, y);
    await page.mouse.up();
    return settle(page);
  }
  const hand = await page.context().newCDPSession(page);
  const put = (type: 'touchStart' | 'touchMove' | 'touchEnd', y?: number) =>
    hand.send('Input.dispatchTouchEvent', { type, touchPoints: y === undefined ? [] : [{ x, y }] });
  await put('touchStart', start);
  for (const y of steps) await put('touchMove', y);
  await put('touchEnd');
  await settle(page);
}

/** Two fingers that go apart over a place. */
async function spreadFingers(page: Page, over: Locator): Promise<void> {
  const box = await over.boundingBox();
  if (!box) throw new Error('nothing to enlarge');
  const x = box.x + box.width / 2;
  const y = box.y + box.height / 2;
  const hand = await page.context().newCDPSession(page);
  const put = (type: 'touchStart' | 'touchMove' | 'touchEnd', apart?: number) =>
    hand.send('Input.dispatchTouchEvent', {
      type,
      touchPoints:
        apart === undefined
          ? []
          : [
              { x, y: y - apart / 2, id: 0 },
              { x, y: y + apart / 2, id: 1 },
            ],
    });
  await put('touchStart', 40);
  for (const apart of [50, 60, 70, 80, 90, 100]) await put('touchMove', apart);
  await put('touchEnd');
}

test('a pack from empty to good on the section, and back to the start by undo', async ({
  workshop: shop,
  page,
}, info) => {
  await shop.newJob();
  await typePack(shop);
  await expect(shop.verdict()).toContainText('Holds and releases');

  await openSection(page);
  await expect.poll(() => order(page)).toBe('DSDSDSD');
  await expect(page.getByText('Tap a layer to edit it')).toBeVisible();

  // All steels at once as another thickness: 16.8 − 3 × 0.4 = 15.6 mm.
  await layer(page, 2).click();
  await tool(page, 'Select all plates of this type').click();
  await expect(page.getByText('3 plates selected')).toBeVisible();
  await page.getByRole('textbox', { name: /^Set all thicknesses to/ }).fill('1.2');
  await page.getByRole('button', { name: 'Set', exact: true }).click();
  await expect(shop.foot('stack')).toContainText('15.60');
  await tool(page, 'Undo').click();
  await expect(shop.foot('stack')).toContainText('16.80');
  await tool(page, 'Redo').click();
  await expect(shop.foot('stack')).toContainText('15.60');
  await tool(page, 'Undo').click();

  // By buttons: moved, duplicated, inserted, taken out.
  await layer(page, 1).click();
  await tool(page, 'Move selection outward').click();
  await expect.poll(() => order(page)).toBe('SDDSDSD');
  await tool(page, 'Undo').click();
  await layer(page, 2).click();
  await tool(page, 'Duplicate selection').click();
  await expect.poll(() => order(page)).toBe('DSSDSDSD');
  await tool(page, 'Remove selection').click();
  await expect.poll(() => order(page)).toBe('DSDSDSD');
  await layer(page, 7).click();
  await tool(page, 'Insert a plate below the selection').click();
  await expect.poll(() => order(page)).toBe('DSDSDSDD');
  // Two discs together are a spacer pair and carry nothing: the faces stay eight.
  await expect(layer(page, 7)).toHaveAttribute('aria-label', /pair with 8/);
  await tool(page, 'Undo').click();
  await layer(page, 7).click();
  await tool(page, 'Turn selection over').click();
  await expect(layer(page, 7)).toHaveAttribute('aria-label', /faces outward/);
  await tool(page, 'Undo').click();

  // By hand: the innermost disc dragged to the top.
  await drag(page, layer(page, 1), layer(page, 7), info.project.name === 'phone');
  await expect.poll(() => order(page)).toBe('SDSDSDD');
  await tool(page, 'Undo').click();
  await expect.poll(() => order(page)).toBe('DSDSDSD');

  if (info.project.name === 'phone') {
    const height = async () => (await layer(page, 1).boundingBox())?.height ?? 0;
    const before = await height();
    await spreadFingers(page, layer(page, 4));
    await expect.poll(height).toBeGreaterThan(before * 1.5);
    await tool(page, 'Make the section smaller').click();
    await expect.poll(() => order(page)).toBe('DSDSDSD');
  }

  // Two by two.
  await layer(page, 2).click();
  await tool(page, 'Select several plates').click();
  await layer(page, 4).click();
  await tool(page, 'Remove selection').click();
  await expect.poll(() => order(page)).toBe('DDDSD');
  await tool(page, 'Undo').click();
  await tool(page, 'Select several plates').click();

  // The lever opens the layers to their clearance, wear takes clamp away.
  await page.getByRole('slider', { name: 'Lever' }).fill('100');
  await expect(page.getByTestId('section-state')).toContainText(
    'Plate lifted 1.00 mm, 0.125 mm per face, pull 23 N',
  );
  await page.getByRole('slider', { name: 'Lever' }).fill('0');
  await page.getByRole('slider', { name: 'Wear from here' }).fill('100');
  await expect(page.getByTestId('section-state')).toContainText(/Worn 0\.\d+\smm, clamp \d+\sN/);
  await page.getByRole('slider', { name: 'Wear from here' }).fill('0');
  const before = (await layer(page, 1).boundingBox())?.height ?? 0;
  await tool(page, 'Enlarge the section').click();
  await expect
    .poll(async () => ((await layer(page, 1).boundingBox())?.height ?? 0) / before)
    .toBeCloseTo(1.5, 1);
  await tool(page, 'Make the section smaller').click();
  await closeSection(page);

  // An impossible state is allowed while working, and marked at its layer.
  await shop.tab('Pack');
  await shop.unfold('Disc');
  await page.getByRole('button', { name: 'Name and construction' }).first().click();
  await shop.choose('Lined faces', 'None');
  await expect(shop.verdict()).toContainText('Metal on metal');
  await expect(layer(page, 1)).toHaveAttribute('aria-label', /stop$/);
  await tool(page, 'Undo').first().click();
  await expect(shop.verdict()).toContainText('Holds and releases');

  // To the start.
  const undo = tool(page, 'Undo').first();
  for (let i = 0; i < 200 && (await undo.isVisible()) && (await undo.isEnabled()); i++)
    await undo.click();
  await page.keyboard.press('Control+z');
  await expect(shop.foot('stack')).toContainText('–');
});

/** Presses Tab until the focus is where it should be, as one who has no mouse does. */
async function tabTo(page: Page, target: Locator, key = 'Tab'): Promise<void> {
  for (let i = 0; i < 220; i++) {
    if (await target.evaluate((node) => node === document.activeElement).catch(() => false)) return;
    await page.keyboard.press(key);
  }
  throw new Error(`the Tab key does not reach ${String(target)}`);
}

async function press(page: Page, target: Locator): Promise<void> {
  await tabTo(page, target);
  await page.keyboard.press('Enter');
}

/** A group is one tab stop; arrows move inside it. */
async function arrowTo(page: Page, group: Locator, target: Locator): Promise<void> {
  const focused = (of: Locator) => of.evaluate((node) => node.contains(document.activeElement));
  for (let i = 0; i < 220 && !(await focused(group)); i++) await page.keyboard.press('Tab');
  for (let i = 0; i < 12 && !(await focused(target)); i++) await page.keyboard.press('ArrowRight');
  await expect(target).toBeFocused();
}

async function write(shop: Workshop, path: string, text: string): Promise<void> {
  await tabTo(shop.page, shop.field(path));
  await shop.page.keyboard.type(text);
}

test(
  'a pack from empty to good by the keyboard alone',
  ON_WIDE,
  async ({ workshop: shop, page }) => {
    await shop.open();
    const radio = (name: string) => page.getByRole('radio', { name, exact: true });
    await press(page, page.getByRole('button', { name: 'New job' }));
    await expect(page.getByRole('textbox', { name: 'Machine', exact: true })).toBeVisible();
    await write(shop, 'engine.peakTorque', '12');
    await write(shop, 'engine.primaryRatio', '2.5');
    await press(page, page.getByRole('link', { name: /^Specify,/ }));
    await expect(page.getByRole('tab', { name: 'Pack' })).toBeVisible();
    await write(shop, 'pack.kinds.disc.thickness', '3.0');
    await write(shop, 'pack.kinds.disc.outerRadius', '116');
    await write(shop, 'pack.kinds.disc.innerRadius', '92');
    await write(shop, 'pack.kinds.steel.thickness', '1.6');
    await tabTo(page, page.getByRole('textbox', { name: 'Number of discs' }));
    await page.keyboard.type('4');
    await press(page, page.getByRole('button', { name: 'Add 7 plates' }));
    await write(shop, 'pack.windowMin', '16.5');
    await write(shop, 'pack.windowMax', '17');
    const tabs = page.getByRole('tablist', { name: 'Specify tabs' });
    await arrowTo(page, tabs, page.getByRole('tab', { name: 'Springs' }));
    await write(shop, 'springs.coil.seatDistance', '46.8');
    await write(shop, 'springs.coil.groups.spring.count', '5');
    await write(shop, 'springs.coil.groups.spring.freeLength', '40');
    await write(shop, 'springs.coil.groups.spring.rate', '20');
    await write(shop, 'springs.coil.groups.spring.solidLength', '22');
    await arrowTo(page, tabs, page.getByRole('tab', { name: 'Release' }));
    const dial = radio('Dial only');
    await arrowTo(page, page.getByRole('radiogroup').filter({ has: dial }), dial);
    await write(shop, 'release.measuredLift', '1.0');
    await write(shop, 'release.leverTravel', '60');
    await expect(shop.verdict()).toContainText('Holds and releases');

    // On the section: the layer that Tab comes to, and the keys from there.
    await tabTo(page, layer(page, 1), 'Shift+Tab');
    await page.keyboard.press('ArrowUp');
    await expect(layer(page, 1)).toHaveAttribute('aria-pressed', 'false');
    await expect(layer(page, 2)).toBeFocused();
    await page.keyboard.press('Alt+ArrowUp');
    await expect.poll(() => order(page)).toBe('DDSSDSD');
    await page.keyboard.press('Alt+ArrowDown');
    await expect.poll(() => order(page)).toBe('DSDSDSD');
    await page.keyboard.press('d');
    await expect.poll(() => order(page)).toBe('DSSDSDSD');
    await page.keyboard.press('Delete');
    await expect.poll(() => order(page)).toBe('DSDSDSD');
    await page.keyboard.press('t');
    await expect(page.getByRole('button', { name: /^Plate \d .*faces outward/ })).toBeVisible();
    await page.keyboard.press('?');
    await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
    await page.keyboard.press('Escape');
    for (let i = 0; i < 45; i++) await page.keyboard.press('Control+z');
    await expect(shop.foot('stack')).toContainText('–');
    for (let i = 0; i < 45; i++) await page.keyboard.press('Control+y');
    await expect(shop.foot('stack')).toContainText('16.80');
  },
);

test(
  'advice is taken and undone, and the demo jobs show what they promise',
  ON_WIDE,
  async ({ workshop: shop, page }) => {
    // The narrow hub: a spacer pair keeps the last steel on its spline; the ring is uneven.
    await shop.open('/job/demo-ur-0104?stage=specify&tab=pack');
    await expect(shop.verdict()).toContainText('A plate leaves the spline');
    await expect(layer(page, 13)).toHaveAttribute('aria-label', /stop$/);
    await page
      .getByRole('button', { name: 'Show fixes: A plate leaves the spline' })
      .first()
      .click();
    const advice = page.getByRole('list', { name: 'Fixes' });
    await expect(advice.getByRole('listitem').first()).toContainText('spacer pair');
    await advice
      .getByRole('button', { name: /^Use: / })
      .first()
      .click();
    await expect(shop.verdict()).not.toContainText('A plate leaves the spline');
    await page.keyboard.press('Control+z');
    await expect(shop.verdict()).toContainText('A plate leaves the spline');
    await shop.tab('Springs');
    await expect(page.getByText(/The spring force is 0\.99\smm off centre/)).toBeVisible();
    await page.getByRole('button', { name: 'Alternate the springs' }).click();
    await expect(page.getByText('The spring force is centred.')).toBeVisible();

    // Shoes with contact below idle: no plate fixes it.
    await shop.open('/job/demo-ur-0105?tab=figures');
    await page.getByRole('button', { name: 'Show fixes: Creeps at idle' }).last().click();
    await expect(advice.getByRole('listitem').first()).toContainText('Idle lowered to 1200 rpm');

    // A measured lever gain is fixed where it is read, and no link is shown there.
    await shop.open('/job/demo-ur-0102?tab=figures');
    const byHand = page.getByRole('button', { name: /^Fix in Prove: Lever gain too/ });
    await byHand.first().click();
    await expect(page.getByRole('link', { name: /^Prove,/ })).toHaveAttribute(
      'aria-current',
      'step',
    );
    await expect(byHand).toHaveCount(0);
    await expect(page.getByRole('heading', { name: 'Lever gain readings' })).toBeInViewport();

    // The stepped retainer past its peak: the next step is lighter.
    await shop.open('/job/demo-ur-0102?stage=specify&tab=springs');
    await expect(page.getByText(/The spring works past its peak/)).toBeVisible();
    await expect(
      page.getByText(
        /^Step 3: .*\s% lighter at the lever, .*\s% less clamp; wear of .* restores the clamp/,
      ),
    ).toBeVisible();
    const pull = (await shop.foot('leverPull').getAttribute('aria-label')) ?? '';
    await shop.choose('Step in use', '3');
    await expect(shop.foot('leverPull')).not.toHaveAttribute('aria-label', pull);
    await page.keyboard.press('Control+z');
    await expect(shop.foot('leverPull')).toHaveAttribute('aria-label', pull);

    // Lighter springs alone slip; one more disc with thinner steels holds.
    await shop.openAgain('/job/demo-ur-0101');
    await shop.open('/job/demo-ur-0101?stage=specify&tab=compare');
    const table = page.getByRole('table', { name: 'Variant figures' });
    await expect(table.getByRole('row', { name: /^Torque reserve, worst case/ })).toContainText(
      '1.05',
    );
    await page.getByRole('button', { name: 'Use Soft springs alone' }).click();
    await expect(shop.verdict()).toContainText('too little for hot starts');
    await page.getByRole('button', { name: 'Use Nine discs, soft springs' }).click();
    await expect(shop.verdict()).toContainText('Holds and releases');
    await shop.tab('Torque');
    await expect(page.getByRole('img', { name: /^Reserve from/ })).toBeVisible();
    await expect(
      page.getByRole('list', { name: 'Friction faces, outermost first' }).getByRole('listitem'),
    ).toHaveCount(18);
    await expect(page.getByRole('button', { name: /^Heat of one start: / })).toBeVisible();
  },
);

test(
  'the shelf is asked for the best pack, one answer is taken, and what is used is reserved',
  ON_PHONE,
  async ({ workshop: shop, page }) => {
    await shop.open('/job/demo-ur-0106?stage=specify&tab=pack');
    await shop.unfold('From the shelf');
    await page.getByRole('button', { name: 'Find the ten best' }).click();
    const sets = page.getByRole('list', { name: 'Sets from the shelf, best first' });
    await expect(sets.getByRole('listitem')).toHaveCount(10);
    const said = /(\d+\.\d+)\smm/.exec(await sets.getByRole('listitem').first().innerText())?.[1];
    // The foot of a phone shows hundredths.
    const height = Number(said).toFixed(2);
    const was = await shop.foot('stack').innerText();
    await page.getByRole('button', { name: 'Use set 1', exact: true }).click();
    await expect(shop.foot('stack')).toContainText(height);
    await shop.stored();
    await page.goto('/shelf');
    await expect(page.getByText('1 reserved for UR-0106').first()).toBeVisible();
    await page.goBack();

    // An impossible pull limit: the reasons, and by how much.
    await shop.open('/job/demo-ur-0106?stage=specify&tab=pack');
    await shop.unfold('From the shelf');
    await page.getByRole('textbox', { name: 'Maximum lever pull, N' }).fill('20');
    await page.getByRole('button', { name: 'Find the ten best' }).click();
    await expect(page.getByText('Nothing on the shelf fits.')).toBeVisible();
    await expect(page.getByText(/pulls \d+\sN more than allowed/)).toBeVisible();
    expect(was).not.toContain(height);
  },
);

test(
  'a start is followed to lock-up in a worker, and what is shown is what the core gives',
  ON_PHONE,
  async ({ workshop, page }) => {
    await workshop.open('/job/demo-ur-0106?tab=torque');
    await page.getByRole('button', { name: 'Take-off' }).click();
    await workshop.choose('Type of start', 'Starts in mud');
    const worker = page.waitForEvent('worker');
    await page.getByRole('button', { name: 'Start', exact: true }).click();
    expect((await worker).url()).toContain('/core-worker.js');
    const setup = takeoffOf(demoJob('UR-0106'));
    if ('needs' in setup) throw new Error('the demo job describes a start');
    const starts = takeoffBy(setup, WAYS.mud, 90);
    const [first] = starts;
    const hottest = Math.max(...starts.map(({ start }) => start.warmest));
    const shown = page.getByTestId('takeoff');
    await expect(shown).toContainText(
      `Locked at ${first?.start.lockRpm.toFixed(0)} rpm after ${first?.start.slipTime.toFixed(2)} s of slip`,
    );
    await expect(shown).toContainText(`20 starts: the steels reach ${hottest.toFixed(0)} °C`);
    await workshop.choose('Type of start', 'Dumped at idle');
    await page.getByRole('button', { name: 'Start', exact: true }).click();
    await expect(shown).toHaveAttribute('data-outcome', 'stalled');
  },
);
