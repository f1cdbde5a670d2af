import type { BrowserContext, Page } from '@playwright/test';

/** The first job of the list. */
export const JOBS_LISTED = '[role=list][aria-label="Jobs"] [role=listitem]';

/** Tells, in pages opened from now on, when something first stood there and had been painted. */
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

/** Asked of the page itself: a driver that looks every half second would add up to that. */
export async function shownAt(page: Page): Promise<number> {
  await page.locator('html[data-shown]').waitFor({ state: 'attached' });
  return Number(await page.locator('html').getAttribute('data-shown'));
}
