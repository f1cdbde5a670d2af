import type { BrowserContext, Page } from '@playwright/test';
import { chromium, expect, test as base } from '@playwright/test';

import { DEMO_PORT, EMPTY_PORT } from '../playwright.config';

/** The application as a builder meets it: fields by their path, everything else by role and name. */
export class Workshop {
  constructor(readonly page: Page) {}

  async open(path = '/'): Promise<void> {
    await this.page.goto(path);
    await expect(this.page.getByRole('heading', { level: 1 })).toBeVisible();
  }

  async newJob(): Promise<void> {
    await this.open();
    await this.page.getByRole('button', { name: 'New job' }).click();
    await expect(this.page.getByRole('textbox', { name: 'Machine', exact: true })).toBeVisible();
  }

  /** Opens a stage of the job by the ridge. */
  async stage(name: string): Promise<void> {
    const link = this.page.getByRole('link', { name: new RegExp(`^${name},`) });
    await link.click();
    await expect(link).toHaveAttribute('aria-current', 'step');
  }

  /** Opens a signed job again to change it. */
  async openAgain(path: string): Promise<void> {
    await this.open(`${path}?stage=log`);
    await this.page.getByRole('textbox', { name: 'Reason for reopening' }).fill('to try something');
    await this.page.getByRole('button', { name: 'Reopen' }).click();
    await expect(this.page.getByRole('region', { name: 'Signed record' })).toHaveCount(0);
    await this.stored();
  }

  /** Opens a section of the worksheet on screen unless it is open. */
  async section(name: string): Promise<void> {
    const head = this.page.getByRole('button', {
      name: new RegExp(`^${name}: (all|done|reading|\\d+ of)`),
    });
    await expect(head).toBeVisible();
    if ((await head.getAttribute('aria-expanded')) !== 'true') await head.click();
    await expect(head).toHaveAttribute('aria-expanded', 'true');
  }

  /** Ticks every step of a section of the worksheet that is not ticked. */
  async tickAll(section: string): Promise<void> {
    await this.section(section);
    const boxes = this.page
      .getByRole('list', { name: new RegExp(`: ${section}$`) })
      .getByRole('checkbox', { checked: false });
    while ((await boxes.count()) > 0) {
      const left = await boxes.count();
      await boxes.first().click();
      await expect(boxes).toHaveCount(left - 1);
    }
  }

  async tab(name: string): Promise<void> {
    await this.page.getByRole('tab', { name }).click();
    await expect(this.page.getByRole('tab', { name })).toHaveAttribute('aria-selected', 'true');
  }

  field(path: string) {
    return this.page.getByTestId(path);
  }

  async type(path: string, text: string): Promise<void> {
    await this.field(path).fill(text);
    await this.field(path).blur();
  }

  /** Opens a part of the form unless it is open. */
  async unfold(name: string): Promise<void> {
    const head = this.page.getByRole('button', { name, exact: true });
    if ((await head.getAttribute('aria-expanded')) !== 'true') await head.click();
    await expect(head).toHaveAttribute('aria-expanded', 'true');
  }

  async choose(group: string, option: string): Promise<void> {
    await this.page
      .getByRole('radiogroup', { name: group })
      .getByRole('radio', { name: option, exact: true })
      .click();
  }

  verdict() {
    return this.page.getByTestId('verdict');
  }

  /** A figure of the foot strip. */
  foot(id: string) {
    return this.page.getByTestId(`foot-${id}`);
  }

  async chooseUnit(name: string): Promise<void> {
    await this.page.getByRole('button', { name: /^Units and theme/ }).click();
    await this.page.getByRole('menuitem', { name }).click();
  }

  /** Waits until all typing is saved. */
  async stored(): Promise<void> {
    await expect(this.page.getByTestId('save-mark')).toHaveAttribute('data-status', 'saved');
  }

  async jobMenu(item: string): Promise<void> {
    await this.page.getByRole('button', { name: 'Job menu' }).click();
    await this.page.getByRole('menuitem', { name: item }).click();
  }

  async importFile(
    file: string | { name: string; mimeType: string; buffer: Buffer },
  ): Promise<void> {
    const chooser = this.page.waitForEvent('filechooser');
    await this.page.getByRole('button', { name: 'Import' }).click();
    await (await chooser).setFiles(file);
  }
}

/** Delays every write of the demo workshop from a page of its own, until the returned function is called. */
export async function holdWrites(page: Page): Promise<() => Promise<void>> {
  const holder = await page.context().newPage();
  await holder.goto('/bench/');
  await holder.evaluate(() => {
    const held = window as unknown as { release: () => void };
    void navigator.locks.request(
      'under-ridge-demo-write',
      () => new Promise<void>((resolve) => (held.release = resolve)),
    );
  });
  return async () => {
    await holder.evaluate(() => (window as unknown as { release: () => void }).release());
    await holder.close();
  };
}

/** Data a page may leave, except the browser's compile cache. */
const LEFT_BEHIND = 'cookies,local_storage,indexeddb,cache_storage,service_workers';

/** Makes the next opening a first visit. @param page not on a page of ours */
export async function forget(page: Page): Promise<void> {
  const cdp = await page.context().newCDPSession(page);
  for (const port of [DEMO_PORT, EMPTY_PORT])
    await cdp.send('Storage.clearDataForOrigin', {
      origin: `http://127.0.0.1:${port}`,
      storageTypes: LEFT_BEHIND,
    });
  await cdp.detach();
}

/** The settings that a project gives, without those that it leaves out. */
const pick = <T extends object, K extends keyof T>(from: T, keys: readonly K[]) =>
  Object.fromEntries(
    keys.flatMap((key) => (from[key] === undefined ? [] : [[key, from[key]]])),
  ) as { [P in K]?: Exclude<T[P], undefined> };

/**
 * Every test fails on an uncaught error or a request to any origin but the application's own. Each begins as a first visit,
 * in a profile that those before it have used: a new one would read and compile all of the script again, which takes as long
 * as all else that an opening does.
 */
export const test = base.extend<{ workshop: Workshop }, { profile: BrowserContext }>({
  profile: [
    async ({ launchOptions }, provide, { project: { use } }) => {
      const profile = await chromium.launchPersistentContext('', {
        ...launchOptions,
        ...pick(use, ['baseURL', 'serviceWorkers', 'viewport', 'hasTouch', 'isMobile']),
      });
      if (use.actionTimeout) profile.setDefaultTimeout(use.actionTimeout);
      await provide(profile);
      await profile.close();
    },
    { scope: 'worker' },
  ],
  context: async ({ profile, permissions }, provide) => {
    const blank = await profile.newPage();
    for (const page of profile.pages()) if (page !== blank) await page.close();
    await forget(blank);
    await blank.close();
    if (permissions) await profile.grantPermissions(permissions);
    await provide(profile);
    await profile.clearPermissions();
  },
  page: async ({ context }, provide) => {
    const page = await context.newPage();
    await provide(page);
    await page.close();
  },
  workshop: async ({ page, baseURL }, provide) => {
    const faults: string[] = [];
    page.on('pageerror', (error) => faults.push(error.message));
    page.on('request', (request) => {
      const url = new URL(request.url());
      if (url.protocol.startsWith('http') && url.hostname !== new URL(baseURL ?? '').hostname)
        faults.push(`request to ${url.host}`);
    });
    await provide(new Workshop(page));
    expect(faults).toEqual([]);
  },
});

export { expect };

/** For behaviour that is the same at every size: tested once, at the more frequent size. */
export const ON_PHONE = { tag: '@phone' };
export const ON_WIDE = { tag: '@wide' };
