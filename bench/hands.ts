import type { Locator, Page } from '@playwright/test';

import { line } from './measure';
import { withServed } from './served';

/** What a hand does for a whole job on a phone: taps, keys, and the scrolls before a tap. */
const root = process.env.UNDER_RIDGE_ROOT ?? '.';

class Hands {
  taps = 0;
  keys = 0;
  scrolls = 0;

  constructor(readonly page: Page) {}

  button(name: string | RegExp): Locator {
    return this.page.getByRole('button', { name, exact: typeof name === 'string' });
  }

  async tap(target: Locator): Promise<void> {
    await target.waitFor();
    const box = await target.boundingBox();
    const height = this.page.viewportSize()?.height ?? 0;
    if (box && (box.y < 0 || box.y + box.height > height)) this.scrolls++;
    await target.click();
    this.taps++;
  }

  async type(target: Locator, text: string): Promise<void> {
    await this.tap(target);
    await this.page.keyboard.type(text);
    this.keys += text.length;
  }

  stage(name: string): Promise<void> {
    return this.tap(this.page.getByRole('link', { name: new RegExp(`^${name},`) }));
  }

  choose(group: string, option: string): Promise<void> {
    return this.tap(
      this.page
        .getByRole('radiogroup', { name: group })
        .getByRole('radio', { name: option, exact: true }),
    );
  }

  /** Opens the section of a step unless it is open, and ticks everything up to the step. */
  async doneTo(section: string, step: string): Promise<void> {
    const head = this.button(new RegExp(`^${section}: `));
    await head.waitFor();
    if ((await head.getAttribute('aria-expanded')) !== 'true') await this.tap(head);
    await this.tap(this.button(new RegExp(` skip: ${step}`)).last());
    await this.tap(this.button('Done to here').last());
  }
}

async function replacePlates(hands: Hands): Promise<void> {
  const { page } = hands;
  await hands.tap(hands.button('New job'));
  await hands.type(page.getByRole('textbox', { name: 'Machine', exact: true }), 'Sedge 250');
  await hands.choose('Kind of job', 'Replace plates');
  await hands.choose('Clutch type', 'Plate pack');
  await hands.stage('Specify');
  await hands.type(page.getByRole('textbox', { name: 'Number of discs' }), '5');
  await hands.tap(hands.button('Add 9 plates'));
  await hands.tap(hands.button('Mark all plates new'));
  await hands.stage('Build');
  await hands.tap(hands.button('Add this clutch’s fasteners'));
  for (const [i, torque] of ['74 Nm', '8.5 Nm', '11 Nm'].entries())
    await hands.type(
      page.getByRole('textbox', { name: 'Tightening torque', exact: true }).nth(i),
      torque,
    );
  await hands.doneTo('Before the cover', 'Small parts counted back in');
  await hands.stage('Set');
  await hands.type(page.getByTestId('release.freePlay'), '3 mm');
  await hands.tap(page.getByRole('checkbox', { checked: false }).first());
  await hands.stage('Prove');
  await hands.doneTo('On the stand', 'Oil for wet clutches');
  for (const section of ['On the stand', 'Running']) {
    const head = hands.button(new RegExp(`^${section}: `));
    if ((await head.getAttribute('aria-expanded')) !== 'true') await hands.tap(head);
    const open = page
      .getByRole('list', { name: new RegExp(`: ${section}$`) })
      .getByRole('radio', { name: 'OK', exact: true, checked: false });
    while ((await open.count()) > 0) await hands.tap(open.first());
  }
  await hands.stage('Log');
  await hands.type(page.getByRole('textbox', { name: 'Signed by' }), 'AB');
  await hands.tap(hands.button(/^Sign revision/));
  await page.getByRole('region', { name: 'Signed record' }).waitFor();
}

void withServed(root, async (base, browser) => {
  const page = await browser.newPage({ viewport: { width: 390, height: 844 } });
  await page.goto(base);
  const hands = new Hands(page);
  await replacePlates(hands);
  line(
    'replace plates, new job to signed: taps and scrolls',
    `${hands.taps} + ${hands.scrolls}`,
    '30',
  );
  line('the same, keys', String(hands.keys), '60');
});
