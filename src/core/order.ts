/**
 * The order of days, moments and identifiers as they are kept, for `sort`. ISO times, or any text; never throws.
 * @example byText('2026-11-09', '2026-02-01') // 1
 */
export const byText = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

let collator: Intl.Collator | undefined;

/**
 * Sorts names for readers: in the device's language, numbers by value. The first call in a process loads the browser's tables,
 * some 40 ms: do not use it before the first paint.
 * @example byName('holm 450', 'Holm 1000') // -1
 */
export function byName(a: string, b: string): number {
  // One for all comparisons: making one for each would be most of the time that sorting takes.
  collator ??= new Intl.Collator(undefined, { numeric: true });
  return collator.compare(a, b);
}
