import { check, POSITIVE } from '../errors';

/** Right side of a system of ordinary differential equations: writes dy/dt into `out`. */
export type System = (t: number, y: Float64Array, out: Float64Array) => void;

export interface IntegrateOptions {
  readonly until: number;
  /** Stops where this falls from above 0 to 0. */
  readonly event?: (t: number, y: Float64Array) => number;
  readonly relative?: number | undefined;
  readonly absolute?: number;
  /** Times at which the system has a corner, so that no step runs across one. */
  readonly corners?: readonly number[] | undefined;
  readonly onStep?: (t: number, y: Float64Array) => void;
  readonly maxSteps?: number;
}

export interface Integrated {
  readonly t: number;
  readonly y: Float64Array;
  /** The event was met before `until`. */
  readonly met: boolean;
  readonly steps: number;
}

/** Coefficients of Dormand and Prince, 5th order with an embedded 4th. */
const C = [0, 1 / 5, 3 / 10, 4 / 5, 8 / 9, 1, 1] as const;
const A: readonly (readonly number[])[] = [
  [],
  [1 / 5],
  [3 / 40, 9 / 40],
  [44 / 45, -56 / 15, 32 / 9],
  [19372 / 6561, -25360 / 2187, 64448 / 6561, -212 / 729],
  [9017 / 3168, -355 / 33, 46732 / 5247, 49 / 176, -5103 / 18656],
  [35 / 384, 0, 500 / 1113, 125 / 192, -2187 / 6784, 11 / 84],
];
const ERROR = [71 / 57600, 0, -71 / 16695, 71 / 1920, -17253 / 339200, 22 / 525, -1 / 40] as const;

/**
 * Integrates a system by the adaptive method of Dormand and Prince (RK45), to a time or to an event.
 * @throws {DomainError} for a span that is not above 0
 * Source: Dormand and Prince 1980; Hairer, Nørsett and Wanner, Solving Ordinary Differential Equations I.
 * @example integrate((_t, y, out) => { out[0] = -y[0]; }, [1], { until: 1 }).y[0] // 0.3679
 */
export function integrate(
  system: System,
  initial: readonly number[],
  options: IntegrateOptions,
): Integrated {
  const {
    until,
    event,
    relative = 1e-8,
    absolute = 1e-9,
    corners = [],
    onStep,
    maxSteps = 20_000,
  } = options;
  check('until', until, POSITIVE);
  const n = initial.length;
  const stops = [...corners.filter((c) => c > 0 && c < until).sort((a, b) => a - b), until];
  const k = A.map(() => new Float64Array(n));
  const stage = new Float64Array(n);
  const next = new Float64Array(n);
  let y = Float64Array.from(initial);
  let t = 0;
  let h = until / 100;
  let steps = 0;
  let stop = 0;

  /** One step from (t, y) of size `size` into `next`; returns its error against the tolerance. */
  const tryStep = (size: number): number => {
    for (let s = 0; s < A.length; s++) {
      const row = A[s] as readonly number[];
      for (let i = 0; i < n; i++) {
        let sum = 0;
        for (let j = 0; j < row.length; j++)
          sum += (row[j] as number) * ((k[j] as Float64Array)[i] as number);
        stage[i] = (y[i] as number) + size * sum;
      }
      system(t + (C[s] as number) * size, stage, k[s] as Float64Array);
    }
    next.set(stage);
    let worst = 0;
    for (let i = 0; i < n; i++) {
      let e = 0;
      for (let s = 0; s < ERROR.length; s++)
        e += (ERROR[s] as number) * ((k[s] as Float64Array)[i] as number);
      const scale =
        absolute + relative * Math.max(Math.abs(y[i] as number), Math.abs(next[i] as number));
      worst = Math.max(worst, Math.abs((size * e) / scale));
    }
    return worst;
  };

  while (t < until && steps < maxSteps) {
    const end = stops[stop] as number;
    const size = Math.min(h, end - t);
    const error = tryStep(size);
    steps++;
    if (error > 1 && size > 1e-12 * until) {
      h = size * Math.max(0.2, 0.9 * error ** -0.2);
      continue;
    }
    if (event && event(t + size, next) <= 0) {
      // The step is redone ever smaller until it ends on the event.
      let low = 0;
      let high = size;
      for (let i = 0; i < 60 && high - low > 1e-14 * (t + high); i++) {
        const mid = (low + high) / 2;
        tryStep(mid);
        if (event(t + mid, next) > 0) low = mid;
        else high = mid;
      }
      tryStep(high);
      return { t: t + high, y: Float64Array.from(next), met: true, steps };
    }
    t = size === end - t ? end : t + size;
    y = Float64Array.from(next);
    onStep?.(t, y);
    if (t >= end && stop < stops.length - 1) stop++;
    h = size * Math.min(5, Math.max(0.2, 0.9 * Math.max(error, 1e-10) ** -0.2));
  }
  return { t, y, met: false, steps };
}
