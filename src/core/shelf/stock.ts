import { coilGroups } from '../clutch/fitted';
import type { CoilGroup, Job, LiningId } from '../job/types';
import type { GaugeSetId } from '../setting/gauges';
import type { Mm } from '../units/quantity';
import type { ShelfPlate } from './solver';

/** A plate on the shop's shelf, measured singly, or several alike. */
export interface StockPlate {
  readonly id: string;
  /** Its marking: "S14". */
  readonly label: string;
  readonly sort: 'steel' | 'disc';
  /** Nominal thickness as sold. */
  readonly nominal: Mm;
  /** Measured thickness. */
  readonly thickness: Mm;
  readonly count: number;
  readonly isNew: boolean;
  /** Of a disc; a steel has none. */
  readonly lining?: LiningId;
  readonly outOfFlat?: Mm;
  /** ISO date on which it was measured. */
  readonly measured?: string;
  /** Where it came from: "UR-0101, plate 3". */
  readonly from?: string;
}

/** A plate that is not used again, kept on the list with why. */
export interface ScrapPlate extends StockPlate {
  readonly why: string;
  /** ISO date. */
  readonly scrapped: string;
}

/** Springs that are not used again, kept on the list with why. */
export interface ScrapSprings {
  readonly id: string;
  readonly name: string;
  readonly count: number;
  /** The shortest that was measured, or as new. */
  readonly freeLength?: Mm;
  readonly from?: string;
  readonly why: string;
  /** ISO date. */
  readonly scrapped: string;
}

/** Minimum stock of one size. */
export interface WantedStock {
  readonly id: string;
  readonly sort: StockPlate['sort'];
  readonly nominal: Mm;
  readonly atLeast: number;
}

/** Springs of one kind on the shelf, as the set that they would be in a job. */
export interface StockSpring {
  readonly id: string;
  readonly group: CoilGroup;
  readonly count: number;
  /** Where they came from: "UR-0101". */
  readonly from?: string;
}

export interface Stock {
  readonly plates: readonly StockPlate[];
  readonly springs: readonly StockSpring[];
  readonly scrap: readonly ScrapPlate[];
  readonly scrapSprings: readonly ScrapSprings[];
  readonly wanted: readonly WantedStock[];
  /** Sets of gauges that the shop has. */
  readonly gauges: readonly GaugeSetId[];
}

/** Maximum length of each list of the shelf. */
export const STOCK_LENGTHS = {
  plates: 20_000,
  springs: 5000,
  scrap: 20_000,
  scrapSprings: 20_000,
  wanted: 1000,
} as const;

export const EMPTY_STOCK: Stock = {
  plates: [],
  springs: [],
  scrap: [],
  scrapSprings: [],
  wanted: [],
  gauges: [],
};

/**
 * How many pieces of each item of the shelf lie in the packs of jobs.
 * @example reserved([job]).size // 0
 */
export function reserved(jobs: Iterable<Job>): ReadonlyMap<string, number> {
  const taken = new Map<string, number>();
  const take = (id: string | undefined, n: number) => {
    if (id !== undefined) taken.set(id, (taken.get(id) ?? 0) + n);
  };
  for (const job of jobs) {
    for (const plate of job.pack.plates) take(plate.shelfId, 1);
    for (const group of coilGroups(job)) take(group.shelfId, group.count?.value ?? 0);
  }
  return taken;
}

/**
 * The stock available to a job: the shelf without plates in other jobs. The job's own plates stay available.
 * @param others every job but the one that asks
 * @example freeFor(stock, [job]).plates.length // 30
 */
export function freeFor(stock: Stock, others: Iterable<Job>): Stock {
  const taken = reserved(others);
  const left = (id: string, count: number) => count - (taken.get(id) ?? 0);
  return {
    ...stock,
    plates: stock.plates
      .map((p) => ({ ...p, count: left(p.id, p.count) }))
      .filter((p) => p.count > 0),
    springs: stock.springs
      .map((s) => ({ ...s, count: left(s.id, s.count) }))
      .filter((s) => s.count > 0),
  };
}

/**
 * The steels of a shelf as the solver takes them.
 * @example steelsOf(stock).length // 30
 */
export const steelsOf = (stock: Stock): ShelfPlate[] =>
  stock.plates
    .filter((p) => p.sort === 'steel')
    .map(({ id, thickness, nominal, count, isNew, outOfFlat }) => ({
      id,
      nominal,
      thickness,
      count,
      isNew,
      ...(outOfFlat === undefined ? {} : { outOfFlat }),
    }));

/**
 * Sets of springs of a shelf of which there are enough for a job, as the solver and the advice take them.
 * @example springSetsOf(stock, job).map((g) => g.name) // ["Rate 16", "Rate 24"]
 */
export function springSetsOf(stock: Stock, job: Job): CoilGroup[] {
  const wanted = job.springs.coil.groups.reduce((sum, g) => sum + (g.count?.value ?? 0), 0);
  return stock.springs
    .filter((s) => s.count >= wanted)
    .map((s) => ({ ...s.group, id: s.id, shelfId: s.id }));
}
