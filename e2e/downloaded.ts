import { readFile } from 'node:fs/promises';

import type { Download, Page } from '@playwright/test';

/** The file that a press hands to the browser. */
export async function downloaded(page: Page, press: () => Promise<void>): Promise<Buffer> {
  const waiting: Promise<Download> = page.waitForEvent('download');
  await press();
  return readFile(await (await waiting).path());
}
