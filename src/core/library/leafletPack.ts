import type { ClutchType } from '../clutch/type';
import { blankKind } from '../job/blank';
import { newByIntake } from '../job/edits/pack';
import type {
  CaliperWay,
  Facing,
  HeightActs,
  Job,
  LeafletTexts,
  Pack,
  Plate,
  PlateKind,
  Release,
  Rotation,
  SpringType,
  StepMeasure,
} from '../job/types';
import { omit } from '../omit';

/*
 * What a leaflet says beyond its numbers: the clutch, the order of its plates, how it measures, and its words. Plates and
 * their types are named, so that a sheet fits every job.
 */

/** A plate of a leaflet, from the hub floor outward. */
export interface LeafletPlate {
  readonly id: string;
  /** Name of its type. */
  readonly of: string;
  /** New, or reused; absent where the leaflet leaves it open. */
  readonly isNew?: boolean;
  readonly facing?: Facing;
  readonly judder?: boolean;
  readonly offsetSlot?: boolean;
}

/** A plate type of a leaflet; its thicknesses and limits are among the sheet's values. */
export type LeafletKind = Pick<
  PlateKind,
  'name' | 'turnsWith' | 'lined' | 'lining' | 'material' | 'directional' | 'grindable'
>;

export interface LeafletPack {
  readonly kinds: readonly LeafletKind[];
  readonly plates: readonly LeafletPlate[];
}

/** How the leaflet measures the stack, and the measure that selects a step. */
export interface LeafletMeasure {
  readonly stepBy: StepMeasure;
  readonly taken: CaliperWay;
}

/** Break-in starts in one gear. */
export interface LeafletStarts {
  readonly id: string;
  readonly name: string;
  readonly wanted?: number;
}

export interface Leaflet {
  readonly clutch?: ClutchType;
  readonly springs?: SpringType;
  readonly release?: Release['type'];
  readonly hubStays?: boolean;
  readonly separatePrimary?: boolean;
  readonly pack?: LeafletPack;
  readonly rotation?: Rotation;
  readonly measure?: LeafletMeasure;
  readonly heightActs?: HeightActs;
  /** Steps in which a bolt circle comes to its torque. */
  readonly stages?: number;
  readonly starts?: readonly LeafletStarts[];
  readonly texts?: LeafletTexts;
}

export type Id = () => string;

const sameName = (a: string, b: string): boolean =>
  a.trim().toLocaleLowerCase() === b.trim().toLocaleLowerCase();

const kindAlone = (kind: PlateKind): LeafletKind => ({
  name: kind.name,
  turnsWith: kind.turnsWith,
  lined: kind.lined,
  lining: kind.lining,
  material: kind.material,
  ...(kind.directional ? { directional: true } : {}),
  ...(kind.grindable ? { grindable: true } : {}),
});

export function packOf({ pack }: Job): LeafletPack | undefined {
  if (pack.plates.length === 0) return undefined;
  const used = pack.kinds.filter((k) => pack.plates.some((p) => p.kindId === k.id));
  return {
    kinds: used.map(kindAlone),
    plates: pack.plates.map(({ id, kindId, isNew, facing, judder, offsetSlot }) => ({
      id,
      of: pack.kinds.find((k) => k.id === kindId)?.name ?? '',
      ...(isNew ? { isNew } : {}),
      ...(facing ? { facing } : {}),
      ...(judder ? { judder } : {}),
      ...(offsetSlot ? { offsetSlot } : {}),
    })),
  };
}

/**
 * A pack with the kinds of a leaflet, by their names; a kind that nobody filled in takes the name of the first of its sort.
 * @example putKinds(job.pack, [], id).kinds.length // 2
 */
export function putKinds(pack: Pack, wanted: readonly LeafletKind[], newId: Id): Pack {
  const kinds = [...pack.kinds];
  for (const kind of wanted) {
    const named = kinds.findIndex((k) => sameName(k.name, kind.name));
    const blank = kinds.findIndex(
      (k) =>
        !pack.plates.some((p) => p.kindId === k.id) &&
        (k.lined === 'none') === (kind.lined === 'none') &&
        !wanted.some((w) => sameName(w.name, k.name)) &&
        Object.keys(k).length <= BLANK_PARTS,
    );
    const at = named >= 0 ? named : blank;
    const old = kinds[at];
    if (old) kinds[at] = { ...omit(old, 'directional', 'grindable'), ...kind };
    else
      kinds.push({
        ...blankKind(newId(), kind.lined === 'none' ? 'steel' : 'friction', kind.name),
        ...kind,
      });
  }
  return { ...pack, kinds };
}

/** Parts of a kind with no entry. */
const BLANK_PARTS = Object.keys(blankKind('', 'steel', '')).length;

export function putPack(job: Job, { kinds, plates }: LeafletPack, newId: Id): Job {
  const pack = putKinds(job.pack, kinds, newId);
  const kindOf = (name: string) => pack.kinds.find((k) => sameName(k.name, name))?.id;
  const order = plates.flatMap(({ id: _id, of, isNew, ...rest }): Omit<Plate, 'id'>[] => {
    const kindId = kindOf(of);
    return kindId === undefined ? [] : [{ kindId, ...(isNew ? { isNew } : {}), ...rest }];
  });
  // Plates in the same order keep their readings.
  const same =
    order.length === pack.plates.length &&
    order.every((p, i) => p.kindId === pack.plates[i]?.kindId);
  return newByIntake({
    ...job,
    pack: {
      ...pack,
      plates: order.map((plate, i) => {
        const old = same ? pack.plates[i] : undefined;
        return old
          ? { ...omit(old, 'facing', 'judder', 'offsetSlot', 'isNew'), ...plate }
          : { id: newId(), ...plate };
      }),
    },
  });
}

export function putStarts(job: Job, starts: readonly LeafletStarts[], newId: Id): Job {
  const { prove } = job;
  return {
    ...job,
    prove: {
      ...prove,
      starts: starts.map(({ name, wanted }) => {
        const old = prove.starts.find((s) => sameName(s.name, name));
        return {
          id: old?.id ?? newId(),
          name,
          ...(wanted === undefined ? {} : { wanted: { value: wanted } }),
          ...(old?.done ? { done: old.done } : {}),
        };
      }),
    },
  };
}
