import { entry } from '@/core/job/entry';
import type { Job, Plate, Source } from '@/core/job/types';
import { ofThickness } from '@/core/pack/edit';
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
  const lined = new Set(job.pack.kinds.filter((k) => k.lined !== 'none').map((k) => k.id));
  const picks = set.picks.flatMap((pick) => Array.from({ length: pick.count }, () => pick));
  let next = withShelfOption(job, set.option, springSetsOf(stock, job));
  const steels = next.pack.plates.filter((p) => !lined.has(p.kindId));
  steels.forEach((plate, i) => {
    const pick = picks[i];
    if (!pick) return;
    const item = stock.plates.find((p) => p.id === pick.id);
    next = ofThickness(next, [plate.id], item?.nominal ?? pick.thickness, newId);
    const chosen = (p: Plate): Plate => ({
      id: p.id,
      kindId: p.kindId,
      readings: { '1': entry(pick.thickness, source) },
      ...(item?.outOfFlat === undefined ? {} : { outOfFlat: entry(item.outOfFlat, source) }),
      shelfId: pick.id,
      ...(item?.isNew ? { isNew: true } : {}),
    });
    next = {
      ...next,
      pack: {
        ...next.pack,
        plates: next.pack.plates.map((p) => (p.id === plate.id ? chosen(p) : p)),
      },
    };
  });
  return next;
}
