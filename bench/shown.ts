import type { BrowserContext, Page } from '@playwright/test';

/** The first job of the list. */
export const JOBS_LISTED = '[role=list][aria-label="Jobs"] [role=listitem]';

/** A screen as it was left, before the program shows it alive. */
export const LAST_SEEN = '[data-testid="last-seen"]';

/** Tells, in pages opened from now on, when something first stood there and had been painted. */
export const watchFor = (
  pages: Page | BrowserContext,
  selector: string,
  name = 'shown',
): Promise<unknown> =>
  pages.addInitScript(
    ([wanted, name]) => {
      const seen = new MutationObserver(() => {
        if (!document.querySelector(wanted)) return;
        seen.disconnect();
        requestAnimationFrame(() =>
          setTimeout(() =>
            document.documentElement.setAttribute(`data-${name}`, String(performance.now())),
          ),
        );
      });
      seen.observe(document, { childList: true, subtree: true });
    },
    [selector, name] as const,
  );

/** Asked of the page itself: a driver that looks every half second would add up to that. */
export async function shownAt(page: Page, name = 'shown'): Promise<number> {
  await page.locator(`html[data-${name}]`).waitFor({ state: 'attached' });
  return Number(await page.locator('html').getAttribute(`data-${name}`));
}
