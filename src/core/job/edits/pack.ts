import { alternate, blankKind } from '../blank';
import { asSpecified } from '../derive';
import { MAX_KINDS, MAX_LINES, MAX_PLATES } from '../fields';
import type { ReplacedPlate } from '../record/findings';
import type { Job, NewPlates, Pack, PlateKind } from '../types';
import { changeItem, freeName } from './lists';

/** Parts of a kind of plate that are chosen, not measured. */
export type KindChoices = Partial<
  Pick<
    PlateKind,
    'name' | 'turnsWith' | 'lined' | 'lining' | 'material' | 'directional' | 'grindable'
  >
>;

/** Parts of the pack that are chosen, not measured. */
export type PackChoices = Partial<
  Pick<Pack, 'floorTurnsWith' | 'pressurePlateTurnsWith' | 'radiusModel' | 'rotation'>
>;

const withPack = (job: Job, part: Partial<Pack>): Job => ({
  ...job,
  pack: { ...job.pack, ...part },
});

/**
 * Adds a kind of disc or steel, alike to the first kind of its sort.
 * @returns the same job where it has as many kinds as a job takes
 * @example addKind(job, 'steel', 'k9').pack.kinds.at(-1)?.id // "k9"
 */
export function addKind(job: Job, sort: 'friction' | 'steel', id: string): Job {
  const { kinds } = job.pack;
  if (kinds.length >= MAX_KINDS) return job;
  const base = sort === 'friction' ? 'Disc' : 'Steel';
  const like = kinds.find((k) => (k.lined !== 'none') === (sort === 'friction'));
  const fresh = like ? { ...like, id } : blankKind(id, sort, base);
  const name = freeName(
    base,
    kinds.map((k) => k.name),
  );
  return withPack(job, { kinds: [...kinds, { ...fresh, name }] });
}

/**
 * Changes a plate type.
 * @example changeKind(job, job.pack.kinds[0].id, { name: 'Thin' }).pack.kinds[0].name // "Thin"
 */
export const changeKind = (job: Job, kindId: string, part: KindChoices): Job =>
  withPack(job, { kinds: changeItem(job.pack.kinds, kindId, part) });

/**
 * Removes a kind of plate.
 * @returns the same job where a plate is of that kind
 * @example removeKind(job, 'nobody') // a job without that kind
 */
export const removeKind = (job: Job, kindId: string): Job =>
  job.pack.plates.some((p) => p.kindId === kindId)
    ? job
    : withPack(job, { kinds: job.pack.kinds.filter((k) => k.id !== kindId) });

/**
 * Marks every plate as a new part.
 * @example withAllNew(job).pack.plates.every((p) => p.isNew) // true
 */
export const withAllNew = (job: Job): Job =>
  withPack(job, { plates: job.pack.plates.map((p) => (p.isNew ? p : { ...p, isNew: true })) });

/**
 * Plates with those marked new that the job replaces; the others as they are.
 * @example newByIntake({ ...job, intake: { ...job.intake, newPlates: 'all' } }).pack.plates[0].isNew // true
 */
export function newByIntake(job: Job): Job {
  const { newPlates } = job.intake;
  if (newPlates !== 'all' && newPlates !== 'discs') return job;
  const lined = new Set(job.pack.kinds.filter((k) => k.lined !== 'none').map((k) => k.id));
  return withPack(job, {
    plates: job.pack.plates.map((p) =>
      p.isNew || (newPlates === 'discs' && !lined.has(p.kindId)) ? p : { ...p, isNew: true },
    ),
  });
}

/**
 * Says which plates are replaced, and marks those that are laid already.
 * @example chooseNewPlates(job, 'all').pack.plates.every((p) => p.isNew) // true
 */
export const chooseNewPlates = (job: Job, newPlates: NewPlates): Job =>
  newByIntake({ ...job, intake: { ...job.intake, newPlates } });

/** How a stack is filled. */
export interface Filling {
  /** Friction discs, 1 to 39. */
  readonly discs: number;
  readonly first: 'friction' | 'steel';
  readonly frictionKind: string;
  readonly steelKind: string;
}

/**
 * Lays discs and steels in turn in place of the present plates.
 * @param idOf the identifier of the plate of that number, from 0
 * @returns the same job where that would be more plates than a job takes
 */
export function fillStack(job: Job, filling: Filling, idOf: (n: number) => string): Job {
  const { discs, first, frictionKind, steelKind } = filling;
  const plates = alternate(frictionKind, steelKind, discs, first, idOf);
  return plates.length > MAX_PLATES ? job : newByIntake(withPack(job, { plates }));
}

/**
 * Chooses the members that floor and pressure plate turn with, and the model of the effective radius.
 * @example choosePack(job, { floorTurnsWith: 'hub' }).pack.floorTurnsWith // "hub"
 */
export const choosePack = (job: Job, part: PackChoices): Job => withPack(job, part);

/**
 * Puts a new plate in the place of each of some; what came out is kept with its readings and the reason.
 * @param why the reason in one sentence, by the id of the plate
 * @example replaceByNew(job, new Map([[job.pack.plates[0].id, 'Worn.']])).replaced.length // 1
 */
export function replaceByNew(job: Job, why: ReadonlyMap<string, string>): Job {
  const kindName = (id: string) => job.pack.kinds.find((k) => k.id === id)?.name ?? 'Plate';
  const { replaced = [] } = job;
  const out = job.pack.plates.flatMap((plate, i): ReplacedPlate[] => {
    const reason = why.get(plate.id);
    const again = replaced.filter((r) => r.plate.id === plate.id).length;
    return reason === undefined
      ? []
      : [
          {
            id: `${plate.id}-${again + 1}`,
            name: `${kindName(plate.kindId)}, plate ${i + 1}`,
            why: reason,
            plate,
          },
        ];
  });
  return out.length === 0
    ? job
    : {
        ...withPack(job, {
          plates: job.pack.plates.map((p) =>
            why.has(p.id) ? { ...asSpecified(p), isNew: true } : p,
          ),
        }),
        replaced: [...replaced, ...out].slice(-MAX_LINES),
      };
}
