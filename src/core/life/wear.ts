import { check, DomainError, NOT_NEGATIVE, POSITIVE } from '../errors';
import type { Mm } from '../units/quantity';
import type { Run } from './meter';
import { METER } from './meter';

export interface WearPoint {
  readonly run: Run;
  /** Against new, mm. */
  readonly wear: Mm;
}

/** A straight line of wear over the meter reading. */
export interface WearLine {
  /** mm per hour or kilometre. */
  readonly slope: number;
  readonly intercept: Mm;
  readonly points: number;
  /** Standard deviation about the line; absent with fewer than three points. */
  readonly deviation?: Mm;
  readonly meanRun: Run;
  readonly sumSquares: number;
  /** `new`: one reading, against new; `line`: two or more dates. */
  readonly basis: 'new' | 'line';
}

/**
 * Fits wear over hours or kilometres by least squares. With one reading the rate is taken from new, and marked so.
 * @throws {DomainError} for no reading after some running, or values out of range
 * Source: linear regression; `docs/mechanics.md` section 11.
 * @example fitWear([{run:0,wear:0},{run:18,wear:.06},{run:41,wear:.15},{run:66,wear:.23}]).slope // 0.00352785
 */
export function fitWear(points: readonly WearPoint[]): WearLine {
  points.forEach((p, i) => {
    check(`points.${i}.run`, p.run, NOT_NEGATIVE);
    check(`points.${i}.wear`, p.wear, {});
  });
  const n = points.length;
  const meanRun = points.reduce((s, p) => s + p.run, 0) / Math.max(1, n);
  const meanWear = points.reduce((s, p) => s + p.wear, 0) / Math.max(1, n);
  const sumSquares = points.reduce((s, p) => s + (p.run - meanRun) ** 2, 0);
  if (n === 0 || (sumSquares < 1e-9 && meanRun < 1e-9)) {
    throw new DomainError('points', 'at least one reading after some hours or kilometres', n);
  }
  if (sumSquares < 1e-9) {
    return {
      slope: meanWear / meanRun,
      intercept: 0,
      points: n,
      meanRun,
      sumSquares: 0,
      basis: 'new',
    };
  }
  const slope =
    points.reduce((s, p) => s + (p.run - meanRun) * (p.wear - meanWear), 0) / sumSquares;
  const intercept = meanWear - slope * meanRun;
  const rest = points.reduce((s, p) => s + (p.wear - intercept - slope * p.run) ** 2, 0);
  return {
    slope,
    intercept,
    points: n,
    meanRun,
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
 * Wear foreseen after a run of hours or kilometres, with its prediction interval. @throws {DomainError} for a run below 0
 * @example predictWear({ slope: 0.0035, intercept: 0, points: 2, meanRun: 40, sumSquares: 1000, basis: 'line' }, 100).wear // 0.35
 */
export function predictWear(line: WearLine, run: Run): Prediction {
  check('run', run, NOT_NEGATIVE);
  const wear = line.intercept + line.slope * run;
  const { deviation, points } = line;
  if (deviation === undefined) return { wear };
  const t = T90[points - 3] ?? 1.645 + 1.5 / (points - 2);
  const half =
    t * deviation * Math.sqrt(1 + 1 / points + (run - line.meanRun) ** 2 / line.sumSquares);
  return { wear, low: wear - half, high: wear + half };
}

/** A limit reached by wear: thinnest disc, pack total, stack limits, reserve, clearance. */
export interface WearLimit {
  readonly name: string;
  /** Wear at which it is met, mm. */
  readonly at: Mm;
}

export interface LimitForecast extends WearLimit {
  /** Reading of the meter at which the line meets it. */
  readonly run: Run;
  /** Earliest and latest within the prediction interval; the latest may never come. */
  readonly earliest?: Run | undefined;
  readonly latest?: Run | undefined;
}

/**
 * When each limit is met, the first one first. The first is *the* answer.
 * @param farthest beyond this nothing is foreseen, in the line's own measure
 * @throws {DomainError} when the line does not rise: nothing can be foreseen
 * Source: `docs/mechanics.md` section 11.
 * @example forecastLimits({ slope: 0.0035, intercept: 0, points: 2, meanRun: 40, sumSquares: 1000, basis: 'line' }, [{ name: 'Thin', at: 0.35 }])[0].run // 100
 */
export function forecastLimits(
  line: WearLine,
  limits: readonly WearLimit[],
  farthest: Run = METER.hours.farthest,
): readonly LimitForecast[] {
  check('slope', line.slope, POSITIVE);
  return limits
    .map((limit, i): LimitForecast => {
      check(`limits.${i}.at`, limit.at, {});
      const run = Math.max(0, (limit.at - line.intercept) / line.slope);
      if (line.deviation === undefined) return { ...limit, run };
      return {
        ...limit,
        run,
        earliest: crossing((r) => (predictWear(line, r).high ?? 0) - limit.at, farthest),
        latest: crossing((r) => (predictWear(line, r).low ?? 0) - limit.at, farthest),
      };
    })
    .sort((a, b) => a.run - b.run);
}

/** Where a function first turns from below 0 to 0, by bisection; undefined when it never does. */
function crossing(f: (run: Run) => number, farthest: Run): Run | undefined {
  if (f(0) >= 0) return 0;
  let high = 1;
  while (f(high) < 0) {
    high *= 2;
    if (high > farthest) return undefined;
  }
  let low = high / 2;
  for (let i = 0; i < 60; i++) {
    const mid = (low + high) / 2;
    if (f(mid) < 0) low = mid;
    else high = mid;
  }
  return high;
}
