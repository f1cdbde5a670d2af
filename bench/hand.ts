import type { Locator, Page } from '@playwright/test';

/** A hand at the phone: counts what it touches, what it types, and the scrolls that a tap needed. */
export class Hands {
  taps = 0;
  keys = 0;
  scrolls = 0;
  /** What was done, a line each. */
  readonly trace: string[] = [];

  constructor(readonly page: Page) {}

  button(name: string | RegExp): Locator {
    return this.page.getByRole('button', { name, exact: typeof name === 'string' });
  }

  async tap(target: Locator): Promise<void> {
    await target.waitFor();
    const box = await target.boundingBox();
    const height = this.page.viewportSize()?.height ?? 0;
    const out = box !== null && (box.y < 0 || box.y + box.height > height);
    if (out) this.scrolls++;
    await target.click();
    this.taps++;
    this.trace.push(`${out ? 'scroll, tap' : 'tap'} ${String(target)}`);
  }

  /** Types into a field that is tapped first. */
  async type(target: Locator, text: string): Promise<void> {
    await this.tap(target);
    await this.write(text);
  }

  /** Types where the cursor is; Enter goes to the next field and is a key too. */
  async write(...texts: readonly string[]): Promise<void> {
    // A row just added gets the cursor once it is drawn: no hand types before that. The keypad needs none.
    await this.page.locator(':is(input, textarea):focus, [data-testid=reading]').first().waitFor();
    for (const [i, text] of texts.entries()) {
      if (i > 0) {
        await this.page.keyboard.press('Enter');
        this.keys++;
      }
      await this.page.keyboard.type(text);
      this.keys += text.length;
    }
    this.trace.push(`type ${texts.join(' ⏎ ')}`);
  }

  stage(name: string): Promise<void> {
    return this.tap(this.page.getByRole('link', { name: new RegExp(`^${name},`) }));
  }

  tab(name: string): Promise<void> {
    return this.tap(this.page.getByRole('tab', { name, exact: true }));
  }

  choose(group: string | RegExp, option: string): Promise<void> {
    return this.tap(
      this.page
        .getByRole('radiogroup', { name: group })
        .getByRole('radio', { name: option, exact: true }),
    );
  }

  toggle(group: string, option: string): Promise<void> {
    return this.tap(
      this.page
        .getByRole('group', { name: group })
        .getByRole('checkbox', { name: option, exact: true }),
    );
  }

  field(path: string): Locator {
    return this.page.getByTestId(path);
  }

  /** Opens a panel or the section of a checklist unless it is open. */
  async open(name: string | RegExp): Promise<void> {
    const head = this.button(name);
    await head.waitFor();
    if ((await head.getAttribute('aria-expanded')) !== 'true') await this.tap(head);
  }

  /** Ticks everything up to the end of a section. */
  async doneTo(section: string): Promise<void> {
    await this.open(new RegExp(`^${section}: `));
    await this.tap(this.button(`Done to here: ${section}`));
  }

  /** Answers every check of a section with OK. */
  async allOk(section: string): Promise<void> {
    await this.open(new RegExp(`^${section}: `));
    const open = this.page
      .getByRole('list', { name: new RegExp(`: ${section}$`) })
      .getByRole('radio', { name: 'OK', exact: true, checked: false });
    while ((await open.count()) > 0) await this.tap(open.first());
  }

  async sign(by: string): Promise<void> {
    await this.stage('Log');
    await this.type(this.page.getByRole('textbox', { name: 'Signed by' }), by);
    const open = await this.page.getByRole('list', { name: 'Open items' }).allInnerTexts();
    if (open.join('').trim() !== '') throw new Error(`not to be signed: ${open.join('; ')}`);
    await this.tap(this.button(/^Sign revision/));
    await this.page.getByRole('region', { name: 'Signed record' }).waitFor();
  }
}
