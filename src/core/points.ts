/**
 * Interpolates along points: linear between them, constant before the first and after the last.
 * @param points in rising order of their place, one or more
 * @param at the place, in the unit of `placeOf`
 * @returns in the unit of `valueOf`; 0 where there is no point
 * Source: linear interpolation.
 * @example valueAlong([{ x: 0, y: 1 }, { x: 2, y: 5 }], 1, (p) => p.x, (p) => p.y) // 3
 */
export function valueAlong<P>(
  points: readonly P[],
  at: number,
  placeOf: (point: P) => number,
  valueOf: (point: P) => number,
): number {
  const next = points.findIndex((p) => placeOf(p) > at);
  const b = next < 0 ? points.at(-1) : points[next];
  const a = next <= 0 ? b : points[next - 1];
  if (a === undefined || b === undefined) return 0;
  if (a === b) return valueOf(b);
  const share = (at - placeOf(a)) / (placeOf(b) - placeOf(a));
  return valueOf(a) + share * (valueOf(b) - valueOf(a));
}
