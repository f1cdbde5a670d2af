import type { Workshop } from './bench';

/* A gauge that types, and the display of the measuring run. */

export const reading = (shop: Workshop) => shop.page.getByTestId('reading');
export const title = (shop: Workshop, text: string) =>
  shop.page.getByRole('heading', { name: text, exact: true });

/** Types as a gauge does that is a keyboard: value and Enter, with no field touched. */
export async function typed(shop: Workshop, ...values: readonly string[]): Promise<void> {
  for (const value of values) {
    await shop.page.keyboard.type(value);
    await shop.page.keyboard.press('Enter');
  }
}
