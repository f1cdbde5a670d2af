import type { CoilGroup, Job } from '../job/types';
import { withSteels } from '../shelf/shelfSet';
import type { ShelfPlate } from '../shelf/solver';
import type { Measure, Measured } from './measures';
import type { Option, ShelfDiscs, Varied } from './options';
import { discOptions, springOptions, trainOptions } from './options';
import type { SteelSet } from './steelSets';

/** What there is to build with, and what may vary. */
export interface MapRequest {
  readonly vary: readonly Varied[];
  readonly steels: readonly ShelfPlate[];
  readonly springs: readonly CoilGroup[];
  readonly discs: readonly ShelfDiscs[];
  /** Prices of new parts; without any their number counts. */
  readonly prices?: Readonly<Partial<Record<Priced, number>>>;
  /** What a pack must be: at most so much of a pull or of new parts, at least so much of the others. */
  readonly limits?: Readonly<Partial<Record<Measure, number>>>;
}

/** New parts that have a price; a train part is a master cylinder or an arm. */
export const PRICED = ['steel', 'disc', 'train'] as const;
export type Priced = (typeof PRICED)[number];

/** One pack: what it is built with, and what it measures. */
export interface MapPack {
  readonly springs: string;
  readonly discs: string;
  readonly train: string;
  /** In words: "Springs 14, a disc and a steel more"; empty for the present pack. */
  readonly name: string;
  readonly steels: SteelSet;
  readonly measured: Measured;
}

/** Names that no kept kind has. */
function counted(): () => string {
  let n = 0;
  return () => `map:${n++}`;
}

/**
 * The job with a pack of the map.
 * @param newId names a kind that has to be made for a nominal thickness; only for a job that is kept
 * @example jobOfPack(job, { vary: [], steels: [], springs: [], discs: [] }, { springs: '', discs: '', train: '', name: '', steels: { height: 0, outOfFlat: 0, newParts: 0, picks: [] }, measured: { pull: 1, reserve: 1, clearance: 1, life: 1, margin: 1, newParts: 0 } }).id // "crag"
 */
export function jobOfPack(
  job: Job,
  request: MapRequest,
  pack: MapPack,
  newId: () => string = counted(),
): Job {
  const { vary } = request;
  const find = (all: readonly Option[], id: string) => all.find((o) => o.id === id);
  let made = find(springOptions(job, request.springs, vary), pack.springs)?.apply(job) ?? job;
  made = find(discOptions(job, request.discs, vary), pack.discs)?.apply(made) ?? made;
  made = find(trainOptions(job, vary), pack.train)?.apply(made) ?? made;
  if (pack.steels.picks.length === 0) return made;
  const byId = new Map(request.steels.map((p) => [p.id, p]));
  return withSteels(
    made,
    pack.steels.picks.flatMap((id) => byId.get(id) ?? []),
    undefined,
    newId,
  );
}
