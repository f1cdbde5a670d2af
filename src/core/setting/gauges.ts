import { check, DomainError, POSITIVE } from '../errors';
import type { Mm } from '../units/quantity';

/** A drill shank or feeler blade. */
export interface Gauge {
  readonly name: string;
  readonly size: Mm;
}

export interface GoNoGo {
  /** Largest gauge not above the minimum: must pass. */
  readonly go?: Gauge | undefined;
  /** Smallest gauge not below the maximum: must not pass. */
  readonly noGo?: Gauge | undefined;
  /** Gauges between the limits, which narrow them further. */
  readonly inside: readonly Gauge[];
}

/**
 * The pair of gauges that brackets the limits.
 * @param gauges sizes above 0, any order
 * @throws {DomainError} for a minimum above the maximum or a size not above 0
 * Source: limit gauging; `docs/mechanics.md` section 8.
 * @example goNoGo([{ name: '0.6', size: 0.6 }, { name: '0.9', size: 0.9 }], 0.65, 0.8).go.size // 0.6
 */
export function goNoGo(gauges: readonly Gauge[], min: Mm, max: Mm): GoNoGo {
  check('min', min, POSITIVE);
  check('max', max, { min });
  gauges.forEach((g, i) => check(`gauges.${i}.size`, g.size, POSITIVE));
  const sorted = [...gauges].sort((a, b) => a.size - b.size);
  return {
    go: sorted.findLast((g) => g.size <= min + EDGE),
    noGo: sorted.find((g) => g.size >= max - EDGE),
    inside: sorted.filter((g) => g.size > min + EDGE && g.size < max - EDGE),
  };
}

const EDGE: Mm = 1e-9;

export interface BladeStack {
  readonly blades: readonly Gauge[];
  readonly total: Mm;
  /** Requested value minus total. */
  readonly rest: Mm;
}

const MAX_BLADES = 4;

/**
 * Feeler blades that together come nearest to a value, each used once, as few as do it: up to four, since every
 * blade more adds air between them.
 * @throws {DomainError} for no blade, or a value not above 0
 * Source: exhaustive search; `docs/mechanics.md` section 8.
 * @example bladesFor(0.75, [{ name: '0.5', size: 0.5 }, { name: '0.25', size: 0.25 }]).total // 0.75
 */
export function bladesFor(value: Mm, blades: readonly Gauge[]): BladeStack {
  check('value', value, POSITIVE);
  if (blades.length === 0) throw new DomainError('blades', 'at least one blade', 0);
  blades.forEach((b, i) => check(`blades.${i}.size`, b.size, POSITIVE));
  const sorted = [...blades].sort((a, b) => b.size - a.size);
  let best: Gauge[] = [];
  let off = Infinity;
  const chosen: Gauge[] = [];
  const search = (from: number, total: Mm) => {
    if (chosen.length > 0) {
      const miss = Math.abs(value - total);
      if (miss < off - EDGE || (miss < off + EDGE && chosen.length < best.length)) {
        off = miss;
        best = [...chosen];
      }
    }
    if (chosen.length === MAX_BLADES || total > value + off) return;
    for (let i = from; i < sorted.length; i++) {
      const blade = sorted[i] as Gauge;
      chosen.push(blade);
      search(i + 1, total + blade.size);
      chosen.pop();
    }
  };
  search(0, 0);
  const total = best.reduce((sum, b) => sum + b.size, 0);
  return { blades: best, total, rest: value - total };
}

const mm = (size: number, name = `${Number(size.toFixed(2))} mm`): Gauge => ({ name, size });
const range = (from: number, to: number, step: number) =>
  Array.from({ length: Math.round((to - from) / step) + 1 }, (_, i) => from + i * step);

/** Usual gauge sets of standard sizes. The shop selects the sets it has. */
export const METRIC_DRILLS: readonly Gauge[] = range(0.3, 4, 0.1).map((s) => mm(s));
export const FRACTION_DRILLS: readonly Gauge[] = range(1, 12, 1).map((n) => {
  const parts = n % 4 === 0 ? `${n / 4}/16` : n % 2 === 0 ? `${n / 2}/32` : `${n}/64`;
  const name = parts === '2/16' ? '1/8' : parts;
  return { name: `${name} in`, size: (n / 64) * 25.4 };
});
/** Number drills 80 to 1, inches, by ASME B94.11M. */
const NUMBER_SIZES = [
  0.228, 0.221, 0.213, 0.209, 0.2055, 0.204, 0.201, 0.199, 0.196, 0.1935, 0.191, 0.189, 0.185,
  0.182, 0.18, 0.177, 0.173, 0.1695, 0.166, 0.161, 0.159, 0.157, 0.154, 0.152, 0.1495, 0.147, 0.144,
  0.1405, 0.136, 0.1285, 0.12, 0.116, 0.113, 0.111, 0.11, 0.1065, 0.104, 0.1015, 0.0995, 0.098,
  0.096, 0.0935, 0.089, 0.086, 0.082, 0.081, 0.0785, 0.076, 0.073, 0.07, 0.067, 0.0635, 0.0595,
  0.055, 0.052, 0.0465, 0.043, 0.042, 0.041, 0.04, 0.039, 0.038, 0.037, 0.036, 0.035, 0.033, 0.032,
  0.031, 0.0292, 0.028, 0.026, 0.025, 0.024, 0.0225, 0.021, 0.02, 0.018, 0.016, 0.0145, 0.0135,
] as const;
export const NUMBER_DRILLS: readonly Gauge[] = NUMBER_SIZES.map((inch, i) => ({
  name: `No. ${i + 1}`,
  size: inch * 25.4,
}));
/** Letter drills A to Z, inches, by ASME B94.11M. */
const LETTER_SIZES = [
  0.234, 0.238, 0.242, 0.246, 0.25, 0.257, 0.261, 0.266, 0.272, 0.277, 0.281, 0.29, 0.295, 0.302,
  0.316, 0.323, 0.332, 0.339, 0.348, 0.358, 0.368, 0.377, 0.386, 0.397, 0.404, 0.413,
] as const;
export const LETTER_DRILLS: readonly Gauge[] = LETTER_SIZES.map((inch, i) => ({
  name: `Letter ${String.fromCharCode(65 + i)}`,
  size: inch * 25.4,
}));
/** A common set of twenty metric feeler blades. */
export const METRIC_BLADES: readonly Gauge[] = range(0.05, 1, 0.05).map((s) => mm(s));

/** The usual sets by name. */
export const GAUGE_SETS = {
  metricBlades: METRIC_BLADES,
  metricDrills: METRIC_DRILLS,
  fractionDrills: FRACTION_DRILLS,
  numberDrills: NUMBER_DRILLS,
  letterDrills: LETTER_DRILLS,
} as const satisfies Record<string, readonly Gauge[]>;
export type GaugeSetId = keyof typeof GAUGE_SETS;

export const GAUGE_SET_NAME: Readonly<Record<GaugeSetId, string>> = {
  metricBlades: 'Feeler blades, metric',
  metricDrills: 'Drill shanks, metric',
  fractionDrills: 'Drill shanks, fractions',
  numberDrills: 'Drill shanks, numbers',
  letterDrills: 'Drill shanks, letters',
};
