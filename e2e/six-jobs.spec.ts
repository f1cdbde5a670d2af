import type { Workshop } from './bench';
import { expect, ON_PHONE, test } from './bench';
import type { Walk } from './walks';
import { WALKS } from './walks';

/* Six jobs from nothing to the signature, one for each kind of clutch, as on a builder's phone. */

async function takenIn(shop: Workshop, walk: Walk): Promise<void> {
  const { page } = shop;
  await shop.newJob();
  await page.getByRole('textbox', { name: 'Machine', exact: true }).fill(walk.machine);
  if (walk.guide) {
    await page.getByRole('button', { name: 'Not sure? Answer a few questions' }).click();
    for (const answer of walk.guide)
      await page.getByRole('button', { name: answer, exact: true }).click();
    await page.getByRole('button', { name: 'Use this' }).click();
  } else await shop.choose('Clutch type', walk.type ?? 'Plate pack');
  await page.getByRole('checkbox', { name: walk.complaint, exact: true }).click();
  await page.getByRole('checkbox', { name: walk.aim, exact: true }).click();
  await shop.choose('Oil', 'For wet clutches');
  if (walk.counts) await shop.choose('Meter', walk.counts);
  for (const [path, text] of Object.entries(walk.intake)) await shop.type(path, text);
  await page.getByRole('button', { name: 'Next: Strip' }).click();
}

async function stripped(shop: Workshop, walk: Walk): Promise<void> {
  const { page } = shop;
  for (const [group, option] of walk.clutch) await shop.choose(group, option);
  await page.getByRole('button', { name: 'Create the checklist' }).click();
  await page.getByRole('button', { name: 'Start the count' }).click();
  const list = page.getByRole('list', { name: 'Disassembly steps' });
  await expect(list).toContainText(walk.listed);
  await expect(list).not.toContainText(walk.notListed);
  const boxes = list.getByRole('checkbox', { checked: false });
  for (let left = await boxes.count(); left > 0; left--) {
    await boxes.first().click();
    await expect(boxes).toHaveCount(left - 1);
  }
  const outs = page.getByRole('textbox', { name: /: out$/ });
  for (const out of await outs.all()) {
    const springs = /^Springs:/.test((await out.getAttribute('aria-label')) ?? '');
    await out.fill(String(springs ? walk.springs : 2));
  }
  const other = walk.begins === 'Disc' ? 'Steel' : 'Disc';
  for (let i = 0; i < walk.plates; i++) {
    const sort = i % 2 === 0 ? walk.begins : other;
    await page.getByRole('button', { name: `Add ${sort}` }).click();
  }
  await expect(page.getByTestId('missing')).toHaveCount(0);
  await page.getByRole('button', { name: 'Next: Inspect' }).click();
}

async function measured(shop: Workshop, walk: Walk): Promise<void> {
  const { page } = shop;
  await page.getByRole('checkbox', { name: 'Springs', exact: true }).click();
  await shop.unfold('Points per plate');
  await shop.choose('Per disc', '2');
  await page.getByRole('button', { name: /^Measure: \d+ readings/ }).click();
  const title = page.getByRole('main').getByRole('heading').first();
  const reading = page.getByTestId('reading');
  for (;;) {
    await expect(reading.or(page.getByText('All parts done'))).toBeVisible();
    const name = await title.innerText();
    if (name === 'All parts done') break;
    const said = (await reading.getAttribute('aria-label')) ?? '';
    const what = said.includes('out-of-flat')
      ? 'flat'
      : (Object.keys(walk.gauge) as (keyof Walk['gauge'])[]).find((k) => name.startsWith(k));
    await page.keyboard.type(walk.gauge[what ?? 'Disc'] ?? '');
    await page.keyboard.press('Enter');
    await expect(reading.and(page.getByLabel(said, { exact: true }))).toHaveCount(0);
  }
  await page.getByRole('button', { name: 'Show verdicts' }).click();
  // A limit that verdicts wait for is one key away.
  await page.getByRole('button', { name: 'Enter the minimum thickness of Disc' }).click();
  await expect(shop.field('pack.kinds.disc.minThickness')).toBeFocused();
  await page.keyboard.insertText(walk.leastThickness);
  for (const [name, limit] of walk.limits ?? []) {
    await page.getByRole('button', { name }).click();
    await page.keyboard.insertText(limit);
  }
  await expect(page.getByTestId('missing')).toHaveCount(0);
  await page.getByRole('button', { name: 'Next: Specify' }).click();
}

async function specified(shop: Workshop, walk: Walk): Promise<void> {
  const { page } = shop;
  const focused = page.locator('input:focus');
  const goOn = shop.verdict().getByRole('button', { name: /^Go to / });
  await expect(goOn).toBeVisible();
  while ((await goOn.count()) > 0) {
    const key = (await goOn.getAttribute('aria-label')) ?? '';
    await goOn.click();
    await expect(focused).toHaveCount(1);
    const path = (await focused.getAttribute('data-testid')) ?? '';
    const end = Object.keys(walk.needed).find((k) => path.endsWith(k));
    expect(end, `${key} leads to ${path}`).toBeDefined();
    await page.keyboard.insertText(walk.needed[end ?? ''] ?? '');
    await expect(goOn.and(page.getByLabel(key, { exact: true }))).toHaveCount(0);
  }
  for (const [tab, path, text] of walk.besides) {
    await shop.tab(tab);
    await shop.type(path, text);
  }
  await expect(shop.verdict()).toContainText('Holds and releases');
  await page.getByRole('button', { name: 'Next: Build' }).click();
}

/** Every step done: one by one in the first job, by one key in the others, which leaves those with a reading. */
async function ticked(shop: Workshop, walk: Walk): Promise<void> {
  if (walk !== WALKS[0]) await shop.page.getByRole('button', { name: /^Mark all done: / }).click();
  const heads = shop.page.getByRole('button', { name: /: \d+ of \d+ open$/ });
  await expect(
    heads.or(shop.page.getByRole('button', { name: /: all \d+ done$/ })).first(),
  ).toBeVisible();
  while ((await heads.count()) > 0) {
    const name = (await heads.first().getAttribute('aria-label')) ?? '';
    await shop.tickAll(name.slice(0, name.lastIndexOf(':')));
  }
}

async function built(shop: Workshop, walk: Walk): Promise<void> {
  const { page } = shop;
  await page.getByRole('button', { name: 'Add this clutch’s fasteners' }).click();
  // Every field under the name of its column: torque, quantity, thread.
  const row = page.getByTestId(/^build\.fasteners\..*\.(torque|count|size)$/);
  await expect(row.nth(2)).toBeVisible();
  const lefts = await row.evaluateAll((fields) =>
    fields.slice(0, 3).map((f) => f.getBoundingClientRect().left),
  );
  expect(lefts).toEqual([...lefts].sort((a, b) => a - b));
  for (const [i, [torque, many]] of walk.torques.entries()) {
    await page
      .getByRole('textbox', { name: /tightening torque$/ })
      .nth(i)
      .fill(torque);
    if (many)
      await page
        .getByRole('textbox', { name: /quantity$/ })
        .nth(i)
        .fill(many);
  }
  await ticked(shop, walk);
  // Ticked but not counted: reported, and the fields stay.
  await expect(page.getByText('Done, but its reading is missing.').last()).toBeVisible();
  for (const [path, text] of Object.entries(walk.built ?? {})) await shop.type(path, text);
  if (walk.built) await expect(page.getByText('Plate gap measured', { exact: true })).toBeVisible();
  for (const all of await page.getByRole('button', { name: /: all \d+ fitted$/ }).all())
    await all.click();
  await expect(page.getByTestId('missing')).toHaveCount(0);
  await page.getByRole('button', { name: 'Next: Set' }).click();
}

async function setUp(shop: Workshop, walk: Walk): Promise<void> {
  const { page } = shop;
  await ticked(shop, walk);
  for (const [path, text] of Object.entries(walk.setting)) await shop.type(path, text);
  await page.getByRole('button', { name: 'Add three dial readings' }).click();
  for (const lift of walk.lifts) {
    // The three angles are preset: only the lifts are typed, one after the other.
    await expect(page.locator('input:focus')).toHaveAttribute('data-testid', /\.lift$/);
    await expect(page.locator('input:focus')).toHaveValue('');
    await page.keyboard.insertText(lift);
    await page.keyboard.press('Enter');
  }
  await expect(page.getByText('Lifts evenly enough')).toBeVisible();
  await expect(page.getByText('Done, but its reading is missing.')).toHaveCount(0);
  await page.getByRole('button', { name: 'Next: Prove' }).click();
}

async function proved(shop: Workshop, walk: Walk): Promise<void> {
  const { page } = shop;
  await ticked(shop, walk);
  for (const passed of await page.getByRole('radio', { name: 'OK', exact: true }).all())
    await passed.click();
  if (walk.gain) {
    await page.getByRole('button', { name: 'Add gain reading', exact: true }).click();
    await page.getByRole('textbox', { name: 'Adjuster, turns' }).fill('0.6');
    await page.getByRole('textbox', { name: 'Gain', exact: true }).fill(walk.gain);
    await expect(page.getByText('Lever gain on target')).toBeVisible();
  }
  await page.getByRole('button', { name: 'Next: Log' }).click();
}

for (const walk of WALKS) {
  test(`from nothing to the signature: ${walk.machine}`, ON_PHONE, async ({ workshop }) => {
    const { page } = workshop;
    await takenIn(workshop, walk);
    await stripped(workshop, walk);
    await measured(workshop, walk);
    await specified(workshop, walk);
    await built(workshop, walk);
    await setUp(workshop, walk);
    await proved(workshop, walk);
    await expect(page.getByText('No open items.')).toBeVisible();
    await page.getByRole('button', { name: 'Bench 1' }).click();
    await page.getByRole('button', { name: 'Sign revision 1' }).click();
    await expect(page.getByText(/^Revision 1, .*Bench 1$/)).toBeVisible();
    await workshop.stored();
  });
}
