import { check, DomainError } from '../errors';

/** A curve through points, with its slope, between the first and the last of them. */
export interface Curve {
  readonly from: number;
  readonly to: number;
  /** @throws {DomainError} outside `from`..`to`: nothing is extrapolated. */
  value(x: number): number;
  slope(x: number): number;
}

/**
 * Monotone-preserving cubic through points: between two neighbours the curve never leaves their range, so that a
 * tester's few points make no peak that was not measured.
 * @param points two or more, any order, each x once
 * @throws {DomainError} for fewer than two points, or one x twice
 * Source: Fritsch and Carlson, 1980; `docs/mechanics.md` section 5.
 * @example monotoneCurve([{ x: 0, y: 0 }, { x: 1, y: 2 }]).value(0.5) // 1
 */
export function monotoneCurve(
  points: readonly { readonly x: number; readonly y: number }[],
): Curve {
  const sorted = [...points].sort((a, b) => a.x - b.x);
  sorted.forEach((p, i) => {
    check(`points.${i}.x`, p.x, {});
    check(`points.${i}.y`, p.y, {});
  });
  if (sorted.length < 2) throw new DomainError('points', 'two points or more', sorted.length);
  const x = sorted.map((p) => p.x);
  const y = sorted.map((p) => p.y);
  const at = (list: readonly number[], i: number) => list[i] as number;
  const n = x.length;
  const secants = Array.from({ length: n - 1 }, (_, i) => {
    const dx = at(x, i + 1) - at(x, i);
    if (dx <= 0) throw new DomainError(`points.${i + 1}.x`, 'each position once', at(x, i + 1));
    return (at(y, i + 1) - at(y, i)) / dx;
  });
  const slopes = Array.from({ length: n }, (_, i) => {
    if (i === 0) return at(secants, 0);
    if (i === n - 1) return at(secants, n - 2);
    const [before, after] = [at(secants, i - 1), at(secants, i)];
    return before * after <= 0 ? 0 : (before + after) / 2;
  });
  for (let i = 0; i < n - 1; i++) {
    const secant = at(secants, i);
    if (secant === 0) {
      slopes[i] = 0;
      slopes[i + 1] = 0;
      continue;
    }
    const a = at(slopes, i) / secant;
    const b = at(slopes, i + 1) / secant;
    const length = Math.hypot(a, b);
    if (length > 3) {
      slopes[i] = (3 / length) * a * secant;
      slopes[i + 1] = (3 / length) * b * secant;
    }
  }
  const [from, to] = [at(x, 0), at(x, n - 1)];
  const locate = (where: number) => {
    if (!(where >= from && where <= to)) {
      throw new DomainError('x', `a value within the measured range, ${from} to ${to}`, where);
    }
    let low = 0;
    let high = n - 2;
    while (low < high) {
      const mid = (low + high + 1) >> 1;
      if (at(x, mid) <= where) low = mid;
      else high = mid - 1;
    }
    const h = at(x, low + 1) - at(x, low);
    return { i: low, h, t: (where - at(x, low)) / h };
  };
  return {
    from,
    to,
    value(where) {
      const { i, h, t } = locate(where);
      const u = 1 - t;
      return (
        at(y, i) * (1 + 2 * t) * u * u +
        at(slopes, i) * h * t * u * u +
        at(y, i + 1) * t * t * (3 - 2 * t) -
        at(slopes, i + 1) * h * t * t * u
      );
    },
    slope(where) {
      const { i, h, t } = locate(where);
      return (
        ((6 * t * t - 6 * t) * (at(y, i) - at(y, i + 1))) / h +
        at(slopes, i) * (3 * t * t - 4 * t + 1) +
        at(slopes, i + 1) * (3 * t * t - 2 * t)
      );
    },
  };
}
