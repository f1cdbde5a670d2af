import { engagesByItself } from '../clutch/fitted';
import { DomainError } from '../errors';
import type { VerdictId } from '../evaluate/engine/verdict';
import { evaluate, workOut } from '../evaluate/evaluate';
import type { Job } from '../job/types';
import type { ShelfPlate } from '../shelf/solver';
import type { MapAnswer } from './asked';
import { Asked } from './asked';
import type { BuildCondition } from './build';
import {
  bodyOf,
  BUILD_CONDITIONS,
  holdOf,
  measure,
  ownSteels,
  presentOf,
  trainOf,
  whyNot,
} from './build';
import type { Measured } from './measures';
import { Front, PAIRS } from './measures';
import type { Option } from './options';
import { discOptions, springOptions, trainOptions } from './options';
import type { MapPack, MapRequest, Priced } from './pack';
import { jobOfPack } from './pack';
import type { SteelSet } from './steelSets';
import { steelSets } from './steelSets';

/* Every pack that a shop could build for a job, and those that nothing beats. */

export interface TradeMap {
  /** Combinations looked at, all of them. */
  readonly looked: number;
  /** Those that meet every condition. */
  readonly buildable: number;
  readonly fails: Readonly<Record<BuildCondition, number>>;
  /** All packs that nothing beats in some two measures. */
  readonly packs: readonly MapPack[];
  readonly present: Measured | undefined;
  /** Only with limits: the pack that meets them with the lightest lever, else the nearest one. */
  readonly answer?: MapAnswer;
  /** Stopped before the end. */
  readonly cancelled: boolean;
}

/** Combinations between two reports. */
const REPORT = 20_000;
/** Verdicts that a pack of the map must not have as a stop. */
const MUST: readonly VerdictId[] = [
  'order',
  'holds',
  'releases',
  'coils',
  'gap',
  'step',
  'retention',
  'basketRetention',
  'heads',
  'ramps:drive',
];

/**
 * Enumerates every pack that can be built and keeps those that nothing beats. Nothing is pruned but steel sets of one height
 * and one number of new parts that are less flat than another.
 * @param onProgress the share done, and the map so far; an answer of `false` stops with what there is
 * @throws {DomainError} for a job without stack limits, or one whose springs, torque or release are not known
 * Source: exhaustive enumeration, Pareto fronts; `docs/mechanics.md` section 18.
 * @example tradeMap(job, { vary: ['shims'], steels: [], springs: [], discs: [] }).looked // 4
 */
export function tradeMap(
  job: Job,
  request: MapRequest,
  onProgress?: (share: number, soFar: () => TradeMap) => boolean,
): TradeMap {
  refuseUnknown(job);
  const { vary } = request;
  const springs = springOptions(job, request.springs, vary);
  const discs = discOptions(job, request.discs, vary);
  const trains = trainOptions(job, vary);
  const steels = vary.includes('steels') ? request.steels : [];
  const excluded = new Set<string>();
  // Where plates must stay on a length it matters which steels they are; else only what is round them.
  const key =
    job.pack.splineLength || job.pack.fingerLength
      ? keyOf
      : ({ springs: a, discs: b, train: c }: MapPack) => `${a}|${b}|${c}`;
  const judged = new Map<string, boolean>();
  const stops = (pack: MapPack): boolean => {
    const id = key(pack);
    const known = judged.get(id) ?? isStopped(jobOfPack(job, request, pack));
    judged.set(id, known);
    return known;
  };
  for (;;) {
    const found = enumerate(
      job,
      { springs, discs, trains, steels, isOut: (p) => excluded.has(key(p)), request },
      excluded.size > 0,
      onProgress,
    );
    // Conditions that are only judged of the whole job.
    const stopped = found.packs.filter(stops);
    if (stopped.length === 0 || found.cancelled) return found;
    for (const pack of stopped) excluded.add(key(pack));
  }
}

const keyOf = ({ springs, discs, train, steels }: Omit<MapPack, 'measured' | 'name'>): string =>
  [springs, discs, train, steels.height, steels.newParts, steels.picks.length].join('|');

/** Whether a verdict on the whole job forbids the pack. */
const isStopped = (job: Job): boolean =>
  evaluate(job).verdicts.some((v) => v.state === 'stop' && MUST.includes(v.id as VerdictId));

function refuseUnknown(job: Job): void {
  const { windowMin, windowMax } = job.pack;
  if (!windowMin || !windowMax)
    throw new DomainError('pack.windowMin', 'stack limits, both of them', undefined);
  if (engagesByItself(job, 'inPack'))
    throw new DomainError('expanding', 'a pack without an expanding disc', undefined);
  const { sheet } = workOut(job);
  for (const id of ['stack', 'clamp', 'reserveWithTangs', 'liftHad', 'leverPull'] as const) {
    const outcome = sheet.outcomes.get(id);
    if (outcome?.status !== 'known')
      throw new DomainError(id, outcome?.reason ?? `${id} first`, undefined);
  }
}

interface Lists {
  readonly springs: readonly Option[];
  readonly discs: readonly Option[];
  readonly trains: readonly Option[];
  readonly steels: readonly ShelfPlate[];
  /** Found to be stopped by a verdict on the whole job. */
  readonly isOut: (pack: MapPack) => boolean;
  readonly request: MapRequest;
}

function enumerate(
  job: Job,
  { springs, discs, trains, steels, isOut, request }: Lists,
  again: boolean,
  onProgress?: (share: number, soFar: () => TradeMap) => boolean,
): TradeMap {
  const fails = Object.fromEntries(BUILD_CONDITIONS.map((c) => [c, 0])) as Record<
    BuildCondition,
    number
  >;
  const fronts = PAIRS.map(([first, second]) => new Front<MapPack>(first, second));
  const priceOf = (part: Priced) => (request.prices ? (request.prices[part] ?? 0) : 1);
  const [steelPrice, discPrice, trainPrice] = [priceOf('steel'), priceOf('disc'), priceOf('train')];
  const asked = request.limits && new Asked(request.limits);
  let [looked, buildable, cancelled] = [0, 0, false];
  const present = presentOf(job);
  const mapOf = (kept: readonly Front<MapPack>[]): TradeMap => {
    const unique = new Map<string, MapPack>();
    for (const front of kept) for (const pack of front.items()) unique.set(keyOf(pack), pack);
    const answer = asked?.answer();
    return {
      looked,
      buildable,
      fails,
      packs: [...unique.values()],
      present,
      ...(answer ? { answer } : {}),
      cancelled,
    };
  };
  // While it grows, the lever against the hold is enough to look at.
  const soFar = (): TradeMap => mapOf(fronts.slice(0, 1));
  // Discs and springs together decide the hold; only then the train.
  const pairs = springs.flatMap((s) => discs.map((d) => [s, d] as const));
  const setsBy = new Map<string, readonly SteelSet[]>();
  pairs.forEach(([s, d], done) => {
    if (cancelled) return;
    const made = d.apply(s.apply(job));
    const base = bodyOf(made);
    const own = ownSteels(base);
    let sets = setsBy.get(d.id);
    if (!sets) {
      const shelf = steelSets(
        steels,
        base.steels.length,
        base.min - base.fixed,
        base.max - base.fixed,
      );
      // Steels that are in the pack stay a choice where their number fits.
      sets = [own, ...shelf];
      setsBy.set(d.id, sets);
    }
    const held = sets.map((set) => holdOf(base, set));
    for (const t of trains) {
      const train = trainOf(t.apply(made), base);
      sets.forEach((set, i) => {
        looked++;
        const hold = held[i];
        if (!hold) return;
        if (hold.fails.length > 0) {
          for (const f of hold.fails) fails[f]++;
          return;
        }
        const failed = whyNot(base, train, set, hold);
        if (failed) {
          fails[failed]++;
          return;
        }
        const measured = measure(base, train, set, hold);
        const newParts =
          discPrice * d.newParts + trainPrice * t.newParts + steelPrice * set.newParts;
        const of: Measured = { ...measured, newParts };
        const pack = (): MapPack => ({
          springs: s.id,
          discs: d.id,
          train: t.id,
          name: [s.name, d.name, t.name].filter(Boolean).join(', '),
          steels: set,
          measured: of,
        });
        if (again && isOut(pack())) return;
        buildable++;
        for (const front of fronts) front.offer(of, pack);
        asked?.offer(of, pack);
        if (looked % REPORT === 0 && onProgress?.((done + 0.5) / pairs.length, soFar) === false)
          cancelled = true;
      });
      if (cancelled) return;
    }
    if (onProgress?.((done + 1) / pairs.length, soFar) === false) cancelled = true;
  });
  return mapOf(fronts);
}
