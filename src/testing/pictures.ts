import type { PNG } from 'pngjs';

/** Shades that a font's edges may differ by from one drawing to the next. */
const SHADES = 16;

/** The share of points in which two pictures differ; all of them where they are not of one size. */
export function difference(a: PNG, b: PNG): number {
  if (a.width !== b.width || a.height !== b.height) return 1;
  let other = 0;
  for (let i = 0; i < a.data.length; i += 4)
    if ([0, 1, 2].some((c) => Math.abs((a.data[i + c] ?? 0) - (b.data[i + c] ?? 0)) > SHADES))
      other++;
  return (4 * other) / a.data.length;
}
