import type { Page } from '@playwright/test';

/** Delays the program at the next opening until released; separate scripts still load. */
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
