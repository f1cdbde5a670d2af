import type { BrowserContext, CDPSession, Page } from '@playwright/test';
import { PNG } from 'pngjs';

import { difference } from '@/testing/pictures';

/** The first job of the list. */
export const JOBS_LISTED = '[role=list][aria-label="Jobs"] [role=listitem]';

/** Records, in pages opened from now on, when an element first appeared and was painted. */
export const watchFor = (pages: Page | BrowserContext, selector: string): Promise<unknown> =>
  pages.addInitScript((wanted) => {
    const seen = new MutationObserver(() => {
      if (!document.querySelector(wanted)) return;
      seen.disconnect();
      requestAnimationFrame(() =>
        setTimeout(() =>
          document.documentElement.setAttribute('data-shown', String(performance.now())),
        ),
      );
    });
    seen.observe(document, { childList: true, subtree: true });
  }, selector);

/** Measured in the page: polling would add up to half a second. */
export async function shownAt(page: Page): Promise<number> {
  await page.locator('html[data-shown]').waitFor({ state: 'attached' });
  return Number(await page.locator('html').getAttribute('data-shown'));
}

interface Frame {
  readonly at: number;
  readonly picture: PNG;
}

/** Painted frames from now on; reported after scripts have run. */
export async function watchFrames(client: CDPSession): Promise<() => readonly Frame[]> {
  const frames: { readonly at: number; readonly data: string }[] = [];
  client.on('Page.screencastFrame', ({ metadata, data, sessionId }) => {
    frames.push({ at: (metadata.timestamp ?? NaN) * 1000, data });
    void client.send('Page.screencastFrameAck', { sessionId }).catch(() => undefined);
  });
  await client.send('Page.startScreencast', { format: 'png', everyNthFrame: 1 });
  return () =>
    frames.map(({ at, data }) => ({ at, picture: PNG.sync.read(Buffer.from(data, 'base64')) }));
}

/** Such a share of points may still change: words that follow, a mark. */
const NEARLY = 0.03;

/** When the screen was first as it stayed. */
export function asItStays(frames: readonly Frame[]): number {
  const last = frames.at(-1)?.picture;
  const first = frames.find(({ picture }) => last && difference(picture, last) < NEARLY);
  if (!first) throw new Error('nothing was painted');
  return first.at;
}
