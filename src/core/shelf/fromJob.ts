import type { PartVerdict } from '../inspect/partVerdict';
import type { CoilGroup, Entry, Job, Stage } from '../job/types';
import { readingsOf } from '../job/types';
import { isFrozen } from '../job/signOff';
import type { OrderLine } from '../paper/orderList';
import { orderList } from '../paper/orderList';
import type { UnitChoice } from '../units/format';
import type {
  ScrapPlate,
  ScrapSprings,
  Stock,
  StockPlate,
  StockSpring,
  WantedStock,
} from './stock';
import { reserved } from './stock';

/* Parts returned from a job to the shelf, and the shop's orders. */

/**
 * The next label of a sort that no plate of the shelf or the scrap has: "S37".
 * @example nextLabel(stock, 'steel') // "S31"
 */
export function nextLabel(stock: Stock, sort: StockPlate['sort']): string {
  const mark = sort === 'steel' ? 'S' : 'D';
  const numbers = [...stock.plates, ...stock.scrap].map((p) =>
    Number(new RegExp(`^${mark}(\\d+)$`).exec(p.label)?.[1] ?? 0),
  );
  return `${mark}${numbers.reduce((a, b) => Math.max(a, b), 0) + 1}`;
}

/** Why a plate can't go to the shelf: it has no thickness. */
export const NO_THICKNESS = 'it was not measured, and its kind has no thickness';

/**
 * A plate of a job as a shelf item, with its lowest reading, which is its remaining thickness.
 * @param part its verdict by the inspection
 * @param today ISO date
 * @returns nothing where it has no thickness, measured or new
 * @example stockPlateOf(job, inspect(job, evaluate(job)).parts[0], stock, 'new', '2026-11-28').sort // "disc"
 */
export function stockPlateOf(
  job: Job,
  part: PartVerdict,
  stock: Stock,
  id: string,
  today: string,
): StockPlate | undefined {
  if (!part.plate) return undefined;
  const { plate, kind, number } = part.plate;
  const readings = readingsOf(plate);
  const nominal = kind.thickness?.value;
  const thinnest = readings.reduce<number | undefined>(
    (least, r) => (least === undefined || r.value < least ? r.value : least),
    undefined,
  );
  const thickness = thinnest ?? nominal;
  if (thickness === undefined) return undefined;
  const sort = kind.lined === 'none' ? 'steel' : 'disc';
  const measured = readings.find((r) => r.source?.date)?.source?.date;
  return {
    id,
    label: nextLabel(stock, sort),
    sort,
    nominal: nominal ?? thickness,
    thickness,
    count: 1,
    isNew: plate.isNew === true && thinnest === undefined,
    ...(sort === 'disc' ? { lining: kind.lining } : {}),
    ...(plate.outOfFlat ? { outOfFlat: plate.outOfFlat.value } : {}),
    ...(thinnest === undefined ? {} : { measured: measured ?? today }),
    from: `${job.number}, plate ${number}`,
  };
}

/**
 * The same plate for the scrap, with why.
 * @example scrapOf(stock.plates[0], 'warped', '2026-11-28').why // "warped"
 */
export const scrapOf = (plate: StockPlate, why: string, today: string): ScrapPlate => ({
  ...plate,
  why,
  scrapped: today,
});

/**
 * Springs of a job as a shelf item, with the shortest free length, which is what remains. Springs from the shelf keep their
 * shelf data.
 * @returns nothing where their number is not known
 * @example stockSpringsOf(job, job.springs.coil.groups[0], 'new').id // "new"
 */
export function stockSpringsOf(job: Job, group: CoilGroup, id: string): StockSpring | undefined {
  const count = group.count?.value;
  if (!count) return undefined;
  const { shelfId: _shelf, count: _count, ...rest } = group;
  const shortest = shortestOf(job, group.id);
  return {
    id,
    count,
    from: job.number,
    group: { ...rest, id, ...(shortest ? { freeLength: shortest } : {}) },
  };
}

function shortestOf(job: Job, groupId: string): Entry | undefined {
  return job.inspection.springLengths
    .flatMap((r) => (r.groupId === groupId && r.length ? [r.length] : []))
    .reduce<Entry | undefined>(
      (least, l) => (!least || l.value < least.value ? l : least),
      undefined,
    );
}

/**
 * Whether springs of a job were returned to the shelf or scrapped: their number stays what the pack needs.
 * @example springsAway(stock, job, { name: 'Fell 14' }) // false
 */
export const springsAway = (stock: Stock, job: Job, { name }: CoilGroup): boolean =>
  stock.springs.some((s) => s.from === job.number && s.group.name === name && s.count > 0) ||
  stock.scrapSprings.some((s) => s.from === job.number && s.name === name);

/**
 * The same springs for the scrap, with why.
 * @example scrapSpringsOf(stock.springs[0], 'tired', '2026-11-28').why // "tired"
 */
export const scrapSpringsOf = (springs: StockSpring, why: string, today: string): ScrapSprings => ({
  id: springs.id,
  name: springs.group.name,
  count: springs.count,
  ...(springs.group.freeLength ? { freeLength: springs.group.freeLength.value } : {}),
  ...(springs.from ? { from: springs.from } : {}),
  why,
  scrapped: today,
});

/** Parts a current job needs. */
export interface JobOrder {
  readonly job: Job;
  readonly lines: readonly OrderLine[];
}

/** Stages in which a job's parts are got. */
const STAGES_WITH_ORDERS: ReadonlySet<Stage> = new Set(['specify', 'build']);

/**
 * The parts needed by current jobs, from their order lists; jobs at other stages, signed ones, archived ones and stock on the
 * shelf are left out.
 * @example ordersOfJobs([quad]).length // 1
 */
export function ordersOfJobs(jobs: readonly Job[], units: UnitChoice = {}): JobOrder[] {
  return jobs
    .filter((job) => STAGES_WITH_ORDERS.has(job.stage) && !job.archived && !isFrozen(job))
    .map((job) => ({
      job,
      lines: orderList(job, units).filter((line) => line.from === 'order'),
    }))
    .filter(({ lines }) => lines.length > 0);
}

/** A part to order, and its purpose. */
export interface ToOrder {
  readonly what: string;
  readonly count: number;
  readonly why: string;
}

/**
 * Orders needed to reach the minimum stock of each size; free plates count, used and new.
 * @param sizeText writes a thickness
 * @example missingStock(stock, [], (mm) => `${mm} mm`).length // 0
 */
export function missingStock(
  stock: Stock,
  jobs: readonly Job[],
  sizeText: (mm: number) => string,
): ToOrder[] {
  const taken = reserved(jobs);
  const free = (w: WantedStock) =>
    stock.plates
      .filter((p) => p.sort === w.sort && Math.abs(p.nominal - w.nominal) < SAME_SIZE)
      .reduce((sum, p) => sum + Math.max(0, p.count - (taken.get(p.id) ?? 0)), 0);
  return stock.wanted.flatMap((w) => {
    const have = free(w);
    return have >= w.atLeast
      ? []
      : [
          {
            what: `${w.sort === 'steel' ? 'Steel' : 'Disc'} ${sizeText(w.nominal)}`,
            count: w.atLeast - have,
            why: `${have} free, ${w.atLeast} wanted on the shelf`,
          },
        ];
  });
}

/** Sizes closer than this are the same size as sold, mm. */
const SAME_SIZE = 0.005;
