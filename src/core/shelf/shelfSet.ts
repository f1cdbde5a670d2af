import { entry } from '@/core/job/entry';
import type { Job, Plate, Source } from '@/core/job/types';
import { ofThickness } from '@/core/pack/edit';
import type { Mm } from '../units/quantity';
import { withShelfOption } from './jobShelf';
import type { ShelfSet } from './solver';
import type { Stock } from './stock';
import { springSetsOf } from './stock';

/**
 * Applies a set from the shelf to a job: its unlined plates become the chosen ones with their readings, and the option's
 * springs or step are used. Used stock is reserved by being in the job.
 * @param source of the readings: when and how the shelf's plates were measured
 * @param newId names a kind that has to be made for a nominal thickness
 * Never throws; a pick that is not on the shelf keeps its thickness and no label.
 * @example withShelfSet(job, { option: 'present', height: 34, off: 0, reserve: 1, newParts: 0, picks: [] }, stock, { kind: 'measured' }, id).id // "crag"
 */
export function withShelfSet(
  job: Job,
  set: ShelfSet,
  stock: Stock,
  source: Source,
  newId: () => string,
): Job {
  return withSteels(
    withShelfOption(job, set.option, springSetsOf(stock, job)),
    set.picks.flatMap((pick) => {
      const {
        nominal = pick.thickness,
        outOfFlat,
        isNew = false,
      } = stock.plates.find((p) => p.id === pick.id) ?? {};
      const flat = outOfFlat === undefined ? {} : { outOfFlat };
      return Array.from({ length: pick.count }, () => ({ ...pick, nominal, isNew, ...flat }));
    }),
    source,
    newId,
  );
}

/** A steel of the shelf, chosen for a pack. */
interface ChosenSteel {
  readonly id: string;
  readonly thickness: Mm;
  /** As sold: the type of plate that it is. */
  readonly nominal?: Mm;
  readonly outOfFlat?: Mm;
  readonly isNew: boolean;
}

/**
 * Puts chosen steels into a job in their order, from the hub floor outward; where there are fewer, the rest stays.
 * @param source of their readings
 * @param newId names a kind that has to be made for a nominal thickness
 * Never throws.
 * @example withSteels(job, [], undefined, id).id // "crag"
 */
export function withSteels(
  job: Job,
  picks: readonly ChosenSteel[],
  source: Source | undefined,
  newId: () => string,
): Job {
  const lined = new Set(job.pack.kinds.filter((k) => k.lined !== 'none').map((k) => k.id));
  const steels = job.pack.plates.filter((p) => !lined.has(p.kindId));
  const chosen = new Map(steels.flatMap(({ id }, i) => (picks[i] ? [[id, picks[i]]] : [])));
  let next = job;
  for (const [id, { nominal }] of chosen)
    if (nominal !== undefined) next = ofThickness(next, [id], nominal, newId);
  return {
    ...next,
    pack: {
      ...next.pack,
      plates: next.pack.plates.map((plate): Plate => {
        const pick = chosen.get(plate.id);
        if (!pick) return plate;
        return {
          id: plate.id,
          kindId: plate.kindId,
          readings: { '1': entry(pick.thickness, source) },
          ...(pick.outOfFlat === undefined ? {} : { outOfFlat: entry(pick.outOfFlat, source) }),
          shelfId: pick.id,
          ...(pick.isNew ? { isNew: true } : {}),
        };
      }),
    },
  };
}
