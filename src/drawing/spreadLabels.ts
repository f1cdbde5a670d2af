/** Spreads label positions to at least `gap` apart, moving them as little as possible. */
export function spreadLabels(
  wanted: readonly number[],
  gap: number,
  top: number,
  bottom: number,
): number[] {
  const placed: number[] = [];
  // From the bottom up: the order is from the hub floor outward, so y falls.
  wanted.forEach((y, i) =>
    placed.push(Math.min(y, i === 0 ? bottom : (placed[i - 1] ?? bottom) - gap)),
  );
  // All of them move back together, so that as many are pushed down as up.
  const drift = wanted.reduce((sum, y, i) => sum + y - (placed[i] ?? y), 0) / wanted.length;
  const back = Math.min(drift, bottom - (placed[0] ?? bottom));
  for (let i = 0; i < placed.length; i++) placed[i] = (placed[i] ?? 0) + Math.max(0, back);
  for (let i = placed.length - 1; i >= 0; i--) {
    const least = i === placed.length - 1 ? top : (placed[i + 1] ?? top) + gap;
    placed[i] = Math.max(placed[i] ?? top, least);
  }
  return placed;
}
