import { check, DomainError, POSITIVE } from '../errors';
import type { Mm } from '../units/quantity';
import type { Pile, ShelfPlate } from './reach';
import { MOST_CHOSEN, NEW_PART, PER_MM, pile, Reach } from './reach';

export type { ShelfPlate } from './reach';

/** One way to fill the rest of the pack: the number of plates to choose, and the rest of the pack. */
export interface ShelfOption {
  readonly id: string;
  /** Plates to choose, 1 to 30. */
  readonly choose: number;
  /** Height of the plates that stay, mm. */
  readonly fixedHeight: Mm;
  /** Target stack, and the limits it must meet. */
  readonly target: Mm;
  readonly min: Mm;
  readonly max: Mm;
}

/** Judgement of a pack of some height under an option: its failed conditions and its reserve. */
export type Judge = (option: ShelfOption, height: Mm) => Judgement;

export interface Judgement {
  /** To rank by after nearness; higher is better. */
  readonly reserve: number;
  /** Conditions that are not met, each with how much it misses by, in its own unit. */
  readonly fails: readonly { readonly condition: string; readonly by: number }[];
  /** Maximum total out-of-flat of the chosen plates for release; absent where irrelevant. */
  readonly flatness?: {
    readonly most: Mm;
    /** Lift that is had, and that is needed by a pack of flat plates. */
    readonly had: Mm;
    readonly needed: Mm;
  };
}

export interface ShelfSet {
  readonly option: string;
  readonly height: Mm;
  /** Height less target. */
  readonly off: Mm;
  readonly reserve: number;
  readonly newParts: number;
  /** Out-of-flat of all that were picked, where every one of them was measured, mm. */
  readonly outOfFlat?: Mm;
  readonly picks: readonly {
    readonly id: string;
    readonly count: number;
    readonly thickness: Mm;
  }[];
}

/** The condition that ruled out a set. */
export interface ShelfMiss {
  readonly condition: string;
  /** Stack heights that it rules out, alone or with others. */
  readonly heights: number;
  /** By how much the best of them misses it. */
  readonly by: number;
}

export interface ShelfAnswer {
  /** Best first: nearest to the target, then torque reserve, then number of new parts, then flatness. */
  readonly sets: readonly ShelfSet[];
  /** Only without a set: conditions, the one that rules out most first. */
  readonly misses: readonly ShelfMiss[];
  /** Stopped before the end. */
  readonly cancelled: boolean;
}

export interface ShelfQuestion {
  readonly plates: readonly ShelfPlate[];
  readonly options: readonly ShelfOption[];
  /** How many answers, 1 to 100. */
  readonly best: number;
}

/**
 * Finds the best sets of plates from a shelf: exact, by dynamic programming over all reachable sums, not by trying sets. Sets
 * that differ only in equal plates count as one.
 *
 * `judge` decides on everything except the limits and the flatness of the selected plates: it is asked for heights in the order of
 * their nearness to the target.
 * `onProgress` is called with the share done and stops the search by returning false.
 * @throws {DomainError} for an empty shelf, a window upside down, or numbers out of range
 * Source: bounded subset sum by dynamic programming; `docs/mechanics.md` section 12.
 * @example solveShelf({ plates: [{ id: 'a', thickness: 1.5, count: 2, isNew: false }], options: [{ id: 'o', choose: 2, fixedHeight: 6, target: 9, min: 8.9, max: 9.1 }], best: 1 }, () => ({ reserve: 1, fails: [] })).sets[0].height // 9
 */
export function solveShelf(
  { plates, options, best }: ShelfQuestion,
  judge: Judge,
  onProgress?: (share: number) => boolean,
): ShelfAnswer {
  check('best', best, { min: 1, max: 100, integer: true });
  if (plates.length === 0) throw new DomainError('plates', 'at least one plate', 0);
  if (options.length === 0) throw new DomainError('options', 'at least one option', 0);
  const piles = pile(plates);
  const available = piles.reduce((sum, p) => sum + p.count, 0);
  const reaches = new Map<number, Reach>();
  const found: Found[] = [];
  const misses = new Map<string, { heights: number; by: number }>();
  const miss = (condition: string, by: number, heights = 1) => {
    const known = misses.get(condition);
    misses.set(condition, {
      heights: (known?.heights ?? 0) + heights,
      by: Math.min(known?.by ?? Infinity, by),
    });
  };
  let cancelled = false;

  options.forEach((option, index) => {
    if (cancelled) return;
    const { choose, fixedHeight, target, min, max } = option;
    check(`options.${index}.choose`, choose, { min: 1, max: MOST_CHOSEN, integer: true });
    check(`options.${index}.fixedHeight`, fixedHeight, { min: 0 });
    check(`options.${index}.target`, target, POSITIVE);
    check(`options.${index}.max`, max, { min });
    if (choose > available) {
      miss('plates on the shelf', choose - available);
      return;
    }
    // The table covers the farthest limits of any option of this size.
    const reach =
      reaches.get(choose) ??
      new Reach(
        piles,
        choose,
        Math.max(
          ...options
            .filter((o) => o.choose === choose)
            .map((o) => Math.ceil((o.max - o.fixedHeight) * PER_MM)),
        ),
      );
    reaches.set(choose, reach);
    const heights = reach
      .sums()
      .map((sum) => ({ sum, height: round(fixedHeight + sum / PER_MM) }))
      .sort(
        (a, b) => Math.abs(a.height - target) - Math.abs(b.height - target) || a.height - b.height,
      );
    let withinLimits = 0;
    let taken = 0;
    const failed: { condition: string; by: number }[] = [];
    for (const { sum, height } of heights) {
      if (height < min - EDGE || height > max + EDGE) continue;
      withinLimits++;
      // Nothing farther off can enter once enough nearer ones are found.
      const worst = found.length >= best ? found[found.length - 1] : undefined;
      if (worst && Math.abs(height - target) > Math.abs(worst.set.off) + EDGE) break;
      const { reserve, fails, flatness } = judge(option, height);
      if (fails.length > 0) {
        failed.push(...fails);
        continue;
      }
      const sets = reach.sets(sum, best, flatness && Math.floor(flatness.most * PER_MM + 1e-6));
      if (sets.length === 0 && flatness) {
        const { needed, had } = flatness;
        failed.push({
          condition: 'releases',
          by: round(needed + reach.leastWarp(sum) / PER_MM - had),
        });
      }
      for (const counts of sets) {
        taken++;
        const newParts = counts.reduce((n, c, i) => n + (piles[i]?.isNew ? c : 0), 0);
        const set = {
          option: option.id,
          height,
          off: round(height - target),
          reserve,
          newParts,
          ...outOfFlat(piles, counts),
          picks: pick(piles, counts),
        };
        const cost = counts.reduce((sum, c, i) => sum + (piles[i]?.costs[c] ?? 0), 0);
        insert(found, { set, warp: cost - newParts * NEW_PART }, best);
      }
    }
    if (withinLimits === 0)
      miss('stackLimits', nearestMiss(option, piles), Math.max(1, heights.length));
    else if (taken === 0) for (const { condition, by } of failed) miss(condition, by);
    if (onProgress && !onProgress((index + 1) / options.length))
      cancelled = index + 1 < options.length;
  });

  return {
    sets: found.map(({ set }) => set),
    misses:
      found.length > 0
        ? []
        : [...misses]
            .map(([condition, m]) => ({ condition, ...m }))
            .sort((a, b) => b.heights - a.heights),
    cancelled,
  };
}

const EDGE = 1e-9;

/** Sums of thousandths are exact; the division that turns them into mm is rounded back to them. */
const round = (mm: Mm): Mm => Math.round(mm * 1e6) / 1e6;

/** A set with its estimated out-of-flat, for ranking only: unchecked plates are guessed. */
interface Found {
  readonly set: ShelfSet;
  readonly warp: number;
}

function insert(found: Found[], next: Found, best: number): void {
  const before = (a: Found, b: Found) =>
    Math.abs(a.set.off) - Math.abs(b.set.off) ||
    b.set.reserve - a.set.reserve ||
    a.set.newParts - b.set.newParts ||
    a.warp - b.warp;
  let at = found.length;
  while (at > 0 && before(next, found[at - 1] as Found) < 0) at--;
  if (at >= best) return;
  found.splice(at, 0, next);
  if (found.length > best) found.pop();
}

/** The smallest miss of the limits by any set. */
function nearestMiss({ choose, fixedHeight, min, max }: ShelfOption, piles: readonly Pile[]): Mm {
  const all = new Reach(piles, choose, thickest(piles, choose));
  const away = all.sums().map((sum) => {
    const height = fixedHeight + sum / PER_MM;
    return Math.max(min - height, height - max);
  });
  return round(Math.min(...away.filter((a) => a > 0)));
}

/** Sum of the thickest plates that can be chosen. */
function thickest(piles: readonly Pile[], choose: number): number {
  let left = choose;
  let sum = 0;
  for (const { size, count } of [...piles].reverse()) {
    const n = Math.min(left, count);
    sum += n * size;
    left -= n;
  }
  return sum;
}

/** Out-of-flat of a choice, where fully measured. */
function outOfFlat(piles: readonly Pile[], counts: readonly number[]): { outOfFlat?: Mm } {
  let sum = 0;
  for (const [i, taken] of counts.entries()) {
    let left = taken;
    for (const plate of piles[i]?.plates ?? []) {
      const n = Math.min(left, plate.count);
      left -= n;
      if (n > 0 && plate.outOfFlat === undefined) return {};
      sum += n * (plate.outOfFlat ?? 0);
    }
  }
  return { outOfFlat: round(sum) };
}

function pick(piles: readonly Pile[], counts: readonly number[]): ShelfSet['picks'] {
  return counts.flatMap((taken, i) => {
    let left = taken;
    return (piles[i]?.plates ?? []).flatMap((plate) => {
      const n = Math.min(left, plate.count);
      left -= n;
      return n > 0 ? [{ id: plate.id, count: n, thickness: plate.thickness }] : [];
    });
  });
}
