import { check, DomainError, NOT_NEGATIVE, POSITIVE } from '../errors';
import type { Hour, Mm } from '../units/quantity';

export interface WearPoint {
  readonly hours: Hour;
  /** Against new, mm. */
  readonly wear: Mm;
}

/** A straight line through wear over hours. */
export interface WearLine {
  /** mm/h. */
  readonly slope: number;
  readonly intercept: Mm;
  readonly points: number;
  /** Standard deviation about the line; absent with fewer than three points. */
  readonly deviation?: Mm;
  readonly meanHours: Hour;
  readonly sumSquares: number;
  /** `new`: one reading, against new; `line`: two or more dates. */
  readonly basis: 'new' | 'line';
}

/**
 * Wear against hours by least squares. One reading gives a rate from new, and says so.
 * @throws {DomainError} for no reading with hours, or values out of range
 * Source: linear regression; `docs/mechanics.md` section 11.
 * @example fitWear([{hours:0,wear:0},{hours:18,wear:.06},{hours:41,wear:.15},{hours:66,wear:.23}]).slope // 0.00352785
 */
export function fitWear(points: readonly WearPoint[]): WearLine {
  points.forEach((p, i) => {
    check(`points.${i}.hours`, p.hours, NOT_NEGATIVE);
    check(`points.${i}.wear`, p.wear, {});
  });
  const n = points.length;
  const meanHours = points.reduce((s, p) => s + p.hours, 0) / Math.max(1, n);
  const meanWear = points.reduce((s, p) => s + p.wear, 0) / Math.max(1, n);
  const sumSquares = points.reduce((s, p) => s + (p.hours - meanHours) ** 2, 0);
  if (n === 0 || (sumSquares < 1e-9 && meanHours < 1e-9)) {
    throw new DomainError('points', 'at least one reading after some hours', n);
  }
  if (sumSquares < 1e-9) {
    return {
      slope: meanWear / meanHours,
      intercept: 0,
      points: n,
      meanHours,
      sumSquares: 0,
      basis: 'new',
    };
  }
  const slope =
    points.reduce((s, p) => s + (p.hours - meanHours) * (p.wear - meanWear), 0) / sumSquares;
  const intercept = meanWear - slope * meanHours;
  const rest = points.reduce((s, p) => s + (p.wear - intercept - slope * p.hours) ** 2, 0);
  return {
    slope,
    intercept,
    points: n,
    meanHours,
    sumSquares,
    basis: 'line',
    ...(n > 2 ? { deviation: Math.sqrt(rest / (n - 2)) } : {}),
  };
}

/** Two-sided 90 % points of Student's t by degrees of freedom, from standard tables. */
const T90 = [
  6.314, 2.92, 2.353, 2.132, 2.015, 1.943, 1.895, 1.86, 1.833, 1.812, 1.796, 1.782, 1.771, 1.761,
  1.753, 1.746, 1.74, 1.734, 1.729, 1.725,
];

export interface Prediction {
  readonly wear: Mm;
  /** 90 % prediction interval of one further reading; absent with fewer than three points. */
  readonly low?: Mm;
  readonly high?: Mm;
}

/**
 * Wear foreseen at an hour, with its prediction interval. @throws {DomainError} for hours below 0
 * @example predictWear({ slope: 0.0035, intercept: 0, points: 2, meanHours: 40, sumSquares: 1000, basis: 'line' }, 100).wear // 0.35
 */
export function predictWear(line: WearLine, hours: Hour): Prediction {
  check('hours', hours, NOT_NEGATIVE);
  const wear = line.intercept + line.slope * hours;
  const { deviation, points } = line;
  if (deviation === undefined) return { wear };
  const t = T90[points - 3] ?? 1.645 + 1.5 / (points - 2);
  const half =
    t * deviation * Math.sqrt(1 + 1 / points + (hours - line.meanHours) ** 2 / line.sumSquares);
  return { wear, low: wear - half, high: wear + half };
}

/** A limit that wear will reach: thinnest disc, pack total, window, reserve, clearance. */
export interface WearLimit {
  readonly name: string;
  /** Wear at which it is met, mm. */
  readonly at: Mm;
}

export interface LimitForecast extends WearLimit {
  /** Machine hours at which the line meets it. */
  readonly hours: Hour;
  /** Earliest and latest within the prediction interval; the latest may never come. */
  readonly earliest?: Hour;
  readonly latest?: Hour;
}

const FARTHEST: Hour = 100_000;

/**
 * Hours to each limit, the first one first. The first is *the* answer.
 * @throws {DomainError} when the line does not rise: nothing can be foreseen
 * Source: `docs/mechanics.md` section 11.
 * @example forecastLimits({ slope: 0.0035, intercept: 0, points: 2, meanHours: 40, sumSquares: 1000, basis: 'line' }, [{ name: 'Thin', at: 0.35 }])[0].hours // 100
 */
export function forecastLimits(
  line: WearLine,
  limits: readonly WearLimit[],
): readonly LimitForecast[] {
  check('slope', line.slope, POSITIVE);
  return limits
    .map((limit, i): LimitForecast => {
      check(`limits.${i}.at`, limit.at, {});
      const hours = Math.max(0, (limit.at - line.intercept) / line.slope);
      if (line.deviation === undefined) return { ...limit, hours };
      return {
        ...limit,
        hours,
        earliest: crossing((h) => (predictWear(line, h).high ?? 0) - limit.at),
        latest: crossing((h) => (predictWear(line, h).low ?? 0) - limit.at),
      };
    })
    .sort((a, b) => a.hours - b.hours);
}

/** First hour at which a function turns from below 0 to 0, by bisection; undefined when it never does. */
function crossing(f: (hours: Hour) => number): Hour | undefined {
  if (f(0) >= 0) return 0;
  let high = 1;
  while (f(high) < 0) {
    high *= 2;
    if (high > FARTHEST) return undefined;
  }
  let low = high / 2;
  for (let i = 0; i < 60; i++) {
    const mid = (low + high) / 2;
    if (f(mid) < 0) low = mid;
    else high = mid;
  }
  return high;
}
