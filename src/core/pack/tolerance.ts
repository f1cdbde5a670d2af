import { check, DomainError, NOT_NEGATIVE, POSITIVE } from '../errors';
import { normalFiller, seededRandom } from '../random/random';
import type { Mm } from '../units/quantity';

/** How the thickness of one plate may come out of its batch. */
export interface PlateTolerance {
  /** mm, above 0. */
  readonly nominal: Mm;
  /** Half width of the tolerance band, mm, 0 or more. */
  readonly tolerance: Mm;
  /** `normal`: the band is three standard deviations each way; `uniform`: anywhere in it alike. */
  readonly spread: 'normal' | 'uniform';
}

/**
 * Standard deviation of one plate. A normal plate has its band at ±3σ; a uniform one τ/√3.
 * @example plateSigma({ nominal: 3, tolerance: 0.03, spread: 'normal' }) // 0.01
 */
export function plateSigma({ tolerance, spread }: PlateTolerance): Mm {
  return spread === 'normal' ? tolerance / 3 : tolerance / Math.sqrt(3);
}

export interface ToleranceSum {
  readonly nominal: Mm;
  /** Σ τ: the maximum deviation of any pack. */
  readonly worstCase: Mm;
  /** √Σ τ². */
  readonly rootSumSquare: Mm;
  /** √Σ σ². */
  readonly sigma: Mm;
}

/**
 * Adds tolerances up: worst case and root-sum-square.
 * @throws {DomainError} for a nominal not above 0 or a tolerance below 0
 * Source: tolerance analysis, machine-element textbooks; `docs/mechanics.md` section 1.
 * @example sumTolerances([{ nominal: 3, tolerance: 0.03, spread: 'normal' }]).worstCase // 0.03
 */
export function sumTolerances(plates: readonly PlateTolerance[]): ToleranceSum {
  let nominal = 0;
  let worstCase = 0;
  let squares = 0;
  let variance = 0;
  plates.forEach((p, i) => {
    nominal += check(`plates.${i}.nominal`, p.nominal, POSITIVE);
    worstCase += check(`plates.${i}.tolerance`, p.tolerance, NOT_NEGATIVE);
    squares += p.tolerance ** 2;
    variance += plateSigma(p) ** 2;
  });
  return { nominal, worstCase, rootSumSquare: Math.sqrt(squares), sigma: Math.sqrt(variance) };
}

export interface ToleranceRun {
  readonly packs: number;
  readonly mean: Mm;
  readonly sigma: Mm;
  readonly least: Mm;
  readonly maximum: Mm;
  /** Share of packs within the limits, 0 to 1; limits included. */
  readonly shareInLimits: number;
  readonly shareBelow: number;
  readonly shareAbove: number;
  readonly histogram: { readonly from: Mm; readonly width: Mm; readonly counts: readonly number[] };
  /** Share of the variance that each plate brings, in the order given. */
  readonly variance: readonly number[];
}

export interface ToleranceQuestion {
  readonly plates: readonly PlateTolerance[];
  readonly min: Mm;
  readonly max: Mm;
  /** 1 to 10 million. */
  readonly packs: number;
  readonly seed: number;
}

const BINS = 60;
const CHUNK = 50_000;
const BLOCK = 500;

/**
 * Simulates packs from the tolerances of their plates and counts those within the limits. The same seed gives the same packs.
 * `onProgress` gets the share done and stops the run by returning false.
 * @throws {DomainError} for an empty pack, a window upside down, or a count out of range
 * Source: Monte Carlo tolerance analysis; `docs/mechanics.md` section 1.
 * @example simulateTolerance({ plates: [{ nominal: 3, tolerance: 0.03, spread: 'normal' }], min: 2.9, max: 3.1, packs: 100, seed: 7 }).shareInLimits // 1
 */
export function simulateTolerance(
  { plates, min, max, packs, seed }: ToleranceQuestion,
  onProgress?: (share: number) => boolean,
): ToleranceRun {
  check('packs', packs, { min: 1, max: 10_000_000, integer: true });
  check('min', min, {});
  check('max', max, { min });
  if (plates.length === 0) throw new DomainError('plates', 'at least one plate', 0);
  const sum = sumTolerances(plates);
  const normalSigmas = Float64Array.from(
    plates.filter((p) => p.spread === 'normal'),
    plateSigma,
  );
  const halfWidths = Float64Array.from(
    plates.filter((p) => p.spread === 'uniform'),
    (p) => p.tolerance,
  );
  const fill = normalFiller(seed);
  const draws = new Float64Array(normalSigmas.length * BLOCK);
  const uniform = seededRandom(seed ^ 0x5bd1e995);
  // Normal tails exceed the tolerance: five sigmas of the pack cover all but one pack in a million.
  const reach = Math.max(5 * sum.sigma, 1e-9);
  const from = sum.nominal - reach;
  const scale = BINS / (2 * reach);
  const counts = new Array<number>(BINS).fill(0);
  let total = 0;
  let squares = 0;
  let least = Infinity;
  let maximum = -Infinity;
  let below = 0;
  let above = 0;
  let done = 0;
  while (done < packs) {
    const end = Math.min(packs, done + CHUNK);
    let draw = draws.length;
    for (; done < end; done++) {
      if (draw >= draws.length) {
        fill(draws);
        draw = 0;
      }
      let off = 0;
      for (let i = 0; i < normalSigmas.length; i++) {
        off += (normalSigmas[i] as number) * (draws[draw++] as number);
      }
      for (let i = 0; i < halfWidths.length; i++)
        off += (halfWidths[i] as number) * (2 * uniform() - 1);
      const height = sum.nominal + off;
      total += off;
      squares += off * off;
      if (height < least) least = height;
      if (height > maximum) maximum = height;
      if (height < min) below++;
      else if (height > max) above++;
      const bin = Math.min(BINS - 1, Math.max(0, Math.floor((height - from) * scale)));
      counts[bin] = (counts[bin] as number) + 1;
    }
    if (onProgress && !onProgress(done / packs)) break;
  }
  const mean = total / done;
  const variance = sum.sigma ** 2;
  return {
    packs: done,
    mean: sum.nominal + mean,
    sigma: Math.sqrt(Math.max(0, squares / done - mean * mean)),
    least,
    maximum: maximum,
    shareInLimits: (done - below - above) / done,
    shareBelow: below / done,
    shareAbove: above / done,
    histogram: { from, width: 1 / scale, counts },
    variance: plates.map((p) => (variance > 0 ? plateSigma(p) ** 2 / variance : 0)),
  };
}
