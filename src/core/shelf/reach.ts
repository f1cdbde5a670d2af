import { check } from '../errors';
import type { Mm } from '../units/quantity';

/** A plate, or several alike, that may go into the pack. */
export interface ShelfPlate {
  readonly id: string;
  /** Measured thickness, mm; counted to a thousandth, as a micrometer reads. */
  readonly thickness: Mm;
  /** Number of pieces, 1 for a plate measured singly. */
  readonly count: number;
  /** As sold, where that is known. */
  readonly nominal?: Mm;
  /** Counted against the set where two are otherwise equal. */
  readonly isNew: boolean;
  /** Out-of-flat of each, mm; absent where it was not measured. */
  readonly outOfFlat?: Mm;
}

/** Thickness is counted in thousandths, as a micrometer reads. */
export const PER_MM = 1000;
const NONE = 65_535;
/** Plates that one pack takes from the shelf at most. */
export const MOST_CHOSEN = 30;
/** Cost of a new part relative to hundredths out of flat: more than those of any set. */
export const NEW_PART = 2048;
/** Hundredths of a millimetre that count for one plate at most, so that 30 plates stay below a new part. */
const MAX_WARP = 60;
/** Out-of-flat of a used plate without a reading: the usual limit. Assumed value. */
const UNCHECKED = 10;

/** Plates of one thickness and age, of which each is as good as the next. */
export interface Pile {
  readonly size: number;
  readonly isNew: boolean;
  readonly count: number;
  /** The flattest first. */
  readonly plates: readonly ShelfPlate[];
  /** Cost of taking this many: new parts before hundredths out of flat. */
  readonly costs: readonly number[];
  /** Total out-of-flat of this many, thousandths of a millimetre; an unchecked plate counts as flat. */
  readonly warps: readonly number[];
}

/**
 * The plates of a shelf as piles, the thinnest first. Checked and unchecked plates are piled apart, so that the flattest of a
 * pile are also those that take least of the lift.
 * @throws {DomainError} for a thickness or a count out of range
 * @example pile([{ id: 'a', thickness: 1.5, count: 2, isNew: false }]).length // 1
 */
export function pile(plates: readonly ShelfPlate[]): Pile[] {
  const piles = new Map<
    string,
    { size: number; isNew: boolean; count: number; plates: ShelfPlate[] }
  >();
  plates.forEach((plate, i) => {
    check(`plates.${i}.thickness`, plate.thickness, { above: 0, max: 60 });
    check(`plates.${i}.count`, plate.count, { min: 1, max: 200, integer: true });
    const size = Math.round(plate.thickness * PER_MM);
    const key = `${size} ${plate.isNew} ${plate.outOfFlat !== undefined}`;
    const found = piles.get(key) ?? { size, isNew: plate.isNew, count: 0, plates: [] };
    found.count += plate.count;
    found.plates.push(plate);
    piles.set(key, found);
  });
  return [...piles.values()]
    .sort((a, b) => a.size - b.size || Number(a.isNew) - Number(b.isNew))
    .map((found) => {
      const flattest = found.plates.toSorted((a, b) => warpOf(a) - warpOf(b));
      return {
        ...found,
        plates: flattest,
        costs: costsOf(flattest, (p) => warpOf(p) + (p.isNew ? NEW_PART : 0)),
        warps: costsOf(flattest, microns),
      };
    });
}

function warpOf({ outOfFlat, isNew }: ShelfPlate): number {
  if (outOfFlat === undefined) return isNew ? 0 : UNCHECKED;
  return Math.min(MAX_WARP, Math.round(outOfFlat * 100));
}

/** For one plate, so that the sum of 30 plates fits the number type of the table. */
const microns = ({ outOfFlat = 0 }: ShelfPlate): number =>
  Math.min(2000, Math.round(outOfFlat * PER_MM));

/** Cost of taking none, one, two, … of a pile, up to the size of a pack. */
function costsOf(flattest: readonly ShelfPlate[], costOf: (plate: ShelfPlate) => number): number[] {
  const costs = [0];
  for (const plate of flattest)
    for (let n = 0; n < plate.count && costs.length <= MOST_CHOSEN; n++)
      costs.push((costs.at(-1) ?? 0) + costOf(plate));
  return costs;
}

type Table = readonly Uint16Array[];

/**
 * The sums any choice of plates can reach, and their cost: least[p][j][s] over the first p piles, j plates and a sum s above
 * the minimum. Sums beyond the limits are not kept.
 */
export class Reach {
  readonly base: number;
  private readonly span: number;
  private readonly smallest: number;
  private readonly cheapest: Table;
  private flattest?: Table;

  constructor(
    readonly piles: readonly Pile[],
    readonly choose: number,
    highest: number,
  ) {
    const sizes = piles.map((p) => p.size);
    // Every plate is counted from the thinnest, so that sums stay small.
    this.smallest = Math.min(...sizes);
    this.base = this.smallest * choose;
    this.span = Math.max(0, highest - this.base) + 1;
    this.cheapest = this.tableOf('costs');
  }

  private tableOf(what: 'costs' | 'warps'): Table {
    const { choose, span: row } = this;
    let before = new Uint16Array((choose + 1) * row).fill(NONE);
    before[0] = 0;
    const layers = [before];
    for (const pile of this.piles) {
      const { size, count } = pile;
      const costs = pile[what];
      const after = before.slice();
      const step = size - this.smallest;
      const most = Math.min(count, choose);
      for (let c = 1; c <= most; c++) {
        const shift = c * step;
        const price = costs[c] ?? NONE;
        for (let j = 0; j + c <= choose; j++) {
          const from = j * row;
          const to = (j + c) * row + shift;
          const end = row - shift;
          for (let s = 0; s < end; s++) {
            const had = before[from + s] as number;
            if (had === NONE) continue;
            const cost = had + price;
            if (cost < (after[to + s] as number)) after[to + s] = cost;
          }
        }
      }
      layers.push(after);
      before = after;
    }
    return layers;
  }

  /** Least of a table among sets of `j` plates of the first `p` piles with this sum, or NONE. */
  private least(table: Table, p: number, j: number, sum: number): number {
    const s = sum - this.smallest * j;
    if (s < 0 || s >= this.span) return NONE;
    return table[p]?.[j * this.span + s] ?? NONE;
  }

  sums(): number[] {
    const found: number[] = [];
    for (let s = 0; s < this.span; s++)
      if (this.least(this.cheapest, this.piles.length, this.choose, this.base + s) !== NONE)
        found.push(this.base + s);
    return found;
  }

  /** Least out-of-flat of any set with this sum, thousandths of a millimetre. */
  leastWarp(sum: number): number {
    this.flattest ??= this.tableOf('warps');
    return this.least(this.flattest, this.piles.length, this.choose, sum);
  }

  /**
   * The numbers from each pile for the sets with this sum and flatness: cheapest first, at most `limit`; of sets that differ
   * only in equal plates only the best.
   * @param mostWarp thousandths of a millimetre
   */
  sets(sum: number, limit: number, mostWarp = Infinity): number[][] {
    const all = this.cheapestSets(sum, limit);
    // The second table is made only where the cheapest sets are too warped.
    return all.every((counts) => this.warp(counts) <= mostWarp)
      ? all
      : this.leastWarp(sum) > mostWarp
        ? []
        : this.cheapestSets(sum, limit, mostWarp);
  }

  private warp(counts: readonly number[]): number {
    return counts.reduce((total, c, i) => total + (this.piles[i]?.warps[c] ?? 0), 0);
  }

  /** The table gives the final cost of a branch, so the cheapest is followed first and dead ends are never entered. */
  private cheapestSets(sum: number, limit: number, mostWarp?: number): number[][] {
    const found: number[][] = [];
    const seen = new Set<string>();
    const open: Branch[] = [];
    const enter = (branch: Omit<Branch, 'cost'>): void => {
      const { p, j } = branch;
      const rest = this.least(this.cheapest, p, j, branch.sum);
      if (rest === NONE) return;
      if (
        mostWarp !== undefined &&
        this.flattest &&
        branch.warp + this.least(this.flattest, p, j, branch.sum) > mostWarp
      )
        return;
      insertBy(open, { ...branch, cost: branch.spent + rest });
    };
    enter({ p: this.piles.length, j: this.choose, sum, spent: 0, warp: 0, counts: [] });
    for (let branch = open.pop(); branch && found.length < limit; branch = open.pop()) {
      const { p, j, spent, warp, counts } = branch;
      if (p === 0) {
        const set = counts.toReversed();
        const alike = this.alike(set);
        if (!seen.has(alike)) found.push(set);
        seen.add(alike);
        continue;
      }
      const { size, costs, warps, count } = this.piles[p - 1] as Pile;
      for (let c = 0; c <= Math.min(count, j); c++)
        enter({
          p: p - 1,
          j: j - c,
          sum: branch.sum - c * size,
          spent: spent + (costs[c] ?? NONE),
          warp: warp + (warps[c] ?? NONE),
          counts: [...counts, c],
        });
    }
    return found;
  }

  /** The identity of a set, ignoring which of several equal plates it uses. */
  private alike(counts: readonly number[]): string {
    const taken = new Map<string, number>();
    counts.forEach((c, i) => {
      const { size, isNew } = this.piles[i] as Pile;
      const key = `${size}${isNew}`;
      taken.set(key, (taken.get(key) ?? 0) + c);
    });
    return [...taken].map(([key, c]) => `${key}:${c}`).join(' ');
  }
}

/** A choice for the piles above the first `p`, with its lower bound of cost. */
interface Branch {
  readonly p: number;
  readonly j: number;
  readonly sum: number;
  readonly spent: number;
  readonly warp: number;
  readonly cost: number;
  /** From the last pile on. */
  readonly counts: readonly number[];
}

/** Keeps branches with the cheapest last; of equal ones the one that is nearest to its end. */
function insertBy(open: Branch[], branch: Branch): void {
  let [low, high] = [0, open.length];
  while (low < high) {
    const mid = (low + high) >> 1;
    const other = open[mid] as Branch;
    if (other.cost > branch.cost || (other.cost === branch.cost && other.p >= branch.p))
      low = mid + 1;
    else high = mid;
  }
  open.splice(low, 0, branch);
}
