import type { Page } from '@playwright/test';

/** Holds the program back, the next time that a page opens, until it is let go; scripts of their own come all the same. */
export async function held(page: Page): Promise<() => void> {
  let go = (): void => undefined;
  const gone = new Promise<void>((resolve) => (go = resolve));
  await page.route(
    '**/entry-*.js',
    async (route) => {
      await gone;
      await route.continue();
    },
    { times: 1 },
  );
  return go;
}
