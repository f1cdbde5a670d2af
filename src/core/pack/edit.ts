import { omit } from '../omit';
import { entry } from '../job/entry';
import { MAX_KINDS, MAX_PLATES } from '../job/fields';
import type { Facing, Job, Pack, Plate, PlateKind } from '../job/types';
import type { Mm } from '../units/quantity';

/*
 * Edits of the pack, from one record to the next. An impossible edit returns the same record. Plates are listed from the hub
 * floor outward, so "outward" is to a higher index. Several plates are edited at once.
 */

const EDGE: Mm = 1e-6;

const withPack = (job: Job, part: Partial<Pack>): Job => ({
  ...job,
  pack: { ...job.pack, ...part },
});

const withPlates = (job: Job, plates: readonly Plate[]): Job => withPack(job, { plates });

/** Changes every plate named; the same record when none is. */
function mapPlates(job: Job, ids: Iterable<string>, change: (plate: Plate) => Plate): Job {
  const chosen = new Set(ids);
  const plates = job.pack.plates.map((p) => (chosen.has(p.id) ? change(p) : p));
  return plates.some((p, i) => p !== job.pack.plates[i]) ? withPlates(job, plates) : job;
}

/**
 * Moves plates by one place outward or inward, keeping their order among themselves; at the end of the pack they stay.
 * @param by 1 outward, −1 inward
 * @example movedByOne(job, ['p3'], 1)
 */
export function movedByOne(job: Job, ids: readonly string[], by: 1 | -1): Job {
  const chosen = new Set(ids);
  const plates = [...job.pack.plates];
  // The leading plate moves first, so that the others can follow.
  const order = plates.map((_, i) => (by === 1 ? plates.length - 1 - i : i));
  let moved = false;
  for (const from of order) {
    const plate = plates[from];
    const next = plates[from + by];
    if (!plate || !next || !chosen.has(plate.id) || chosen.has(next.id)) continue;
    plates[from] = next;
    plates[from + by] = plate;
    moved = true;
  }
  return moved ? withPlates(job, plates) : job;
}

/**
 * Moves plates together into a gap between two others, as a hand does that drags them.
 * @param gap plates below the gap, 0 (on the hub floor) to all, counted with the moved ones still in their places
 * @example movedTo(job, [job.pack.plates[0].id], 2).pack.plates.findIndex((p) => p.id === job.pack.plates[0].id) // 1
 */
export function movedTo(job: Job, ids: readonly string[], gap: number): Job {
  const chosen = new Set(ids);
  const { plates } = job.pack;
  const at = Math.max(0, Math.min(plates.length, Math.round(gap)));
  const stays = (p: Plate) => !chosen.has(p.id);
  const next = [
    ...plates.slice(0, at).filter(stays),
    ...plates.filter((p) => chosen.has(p.id)),
    ...plates.slice(at).filter(stays),
  ];
  return next.every((p, i) => p === plates[i]) ? job : withPlates(job, next);
}

/**
 * Inserts a copy outward of each plate, without readings. Unchanged when the pack would exceed {@link MAX_PLATES}.
 * @example duplicated(job, [job.pack.plates[0].id], id).pack.plates.length // 16
 */
export function duplicated(job: Job, ids: readonly string[], newId: () => string): Job {
  const chosen = new Set(ids);
  const plates = job.pack.plates.flatMap((p) =>
    chosen.has(p.id) ? [p, { id: newId(), kindId: p.kindId }] : [p],
  );
  return plates.length > MAX_PLATES || plates.length === job.pack.plates.length
    ? job
    : withPlates(job, plates);
}

/**
 * Takes plates out.
 * @example removed(job, [job.pack.plates[0].id]).pack.plates.length // 14
 */
export function removed(job: Job, ids: readonly string[]): Job {
  const chosen = new Set(ids);
  const plates = job.pack.plates.filter((p) => !chosen.has(p.id));
  return plates.length === job.pack.plates.length ? job : withPlates(job, plates);
}

/**
 * Puts a new plate of a kind in at an index, 0 being on the hub floor; a full pack stays as it is.
 * @example inserted(blank, 'disc', 0, 'p1').pack.plates[0].kindId // "disc"
 */
export function inserted(job: Job, kindId: string, index: number, newId: string): Job {
  const { plates, kinds } = job.pack;
  if (plates.length >= MAX_PLATES || !kinds.some((k) => k.id === kindId)) return job;
  return withPlates(job, plates.toSpliced(index, 0, { id: newId, kindId }));
}

/**
 * Replaces plates by another type. Readings belong to the old parts.
 * @example ofKind(inserted(blank, 'disc', 0, 'p1'), ['p1'], 'steel').pack.plates[0].kindId // "steel"
 */
export function ofKind(job: Job, ids: readonly string[], kindId: string): Job {
  if (!job.pack.kinds.some((k) => k.id === kindId)) return job;
  return mapPlates(job, ids, (p) => (p.kindId === kindId ? p : { id: p.id, kindId }));
}

/**
 * Turns plates over: outward to inward and back; one that has no mark yet looks outward then.
 * @example flipped(inserted(blank, 'disc', 0, 'p1'), ['p1']).pack.plates[0].facing // "outward"
 */
export function flipped(job: Job, ids: readonly string[]): Job {
  return mapPlates(job, ids, (p) => ({
    ...p,
    facing: (p.facing === 'outward' ? 'inward' : 'outward') satisfies Facing,
  }));
}

/**
 * Other plates that lie in the pack as the same sort of part: "all steels".
 * @example alikeTo(inserted(blank, 'disc', 0, 'p1'), 'p1') // ["p1"]
 */
export function alikeTo(job: Job, id: string): readonly string[] {
  const kindId = job.pack.plates.find((p) => p.id === id)?.kindId;
  return job.pack.plates.filter((p) => p.kindId === kindId).map((p) => p.id);
}

/** "Steel 1.5" becomes "Steel 1.2"; a name without its thickness gets it. */
function nameFor(kind: PlateKind, thickness: Mm): string {
  const now = String(thickness);
  const old = kind.thickness?.value;
  const forms = old === undefined ? [] : [String(old), old.toFixed(1), old.toFixed(2)];
  const form = forms.find((f) =>
    new RegExp(`(^|\\s)${f.replace('.', '\\.')}(\\s|$)`).test(kind.name),
  );
  return form ? kind.name.replace(form, now) : `${kind.name} ${now}`.trim();
}

/**
 * Replaces plates by another thickness, otherwise the same: all steels 1.5 to 1.2. Uses an existing type of that thickness, or
 * adds one. Readings belong to the old parts.
 * @param thickness mm, above 0
 * @param newId names a kind that has to be made
 * @returns the same record where there is no room for another kind
 * @example ofThickness(inserted(blank, 'steel', 0, 'p1'), ['p1'], 1.2, id).pack.kinds.length // 3
 */
export function ofThickness(
  job: Job,
  ids: readonly string[],
  thickness: Mm,
  newId: () => string,
): Job {
  const chosen = new Set(ids);
  let next = job;
  for (const kind of job.pack.kinds) {
    const mine = job.pack.plates.filter((p) => p.kindId === kind.id && chosen.has(p.id));
    if (mine.length === 0 || Math.abs((kind.thickness?.value ?? 0) - thickness) < EDGE) continue;
    const like = next.pack.kinds.find(
      (k) =>
        Math.abs((k.thickness?.value ?? 0) - thickness) < EDGE &&
        k.lined === kind.lined &&
        k.turnsWith === kind.turnsWith &&
        k.lining === kind.lining &&
        k.material === kind.material,
    );
    if (!like && next.pack.kinds.length >= MAX_KINDS) return job;
    const to = like ?? {
      ...kind,
      id: newId(),
      name: nameFor(kind, thickness),
      thickness: entry(thickness),
    };
    if (!like) next = withPack(next, { kinds: [...next.pack.kinds, to] });
    next = ofKind(
      next,
      mine.map((p) => p.id),
      to.id,
    );
  }
  return next;
}

/**
 * Marks plates as new parts, or as used ones.
 * @param ids of the plates; others stay
 * @example markedNew(job, ['p1'], true).pack.plates[0].isNew // true
 */
export const markedNew = (job: Job, ids: readonly string[], isNew: boolean): Job => ({
  ...job,
  pack: {
    ...job.pack,
    plates: job.pack.plates.map((p) =>
      ids.includes(p.id) && (p.isNew ?? false) !== isNew
        ? { ...omit(p, 'isNew'), ...(isNew ? { isNew } : {}) }
        : p,
    ),
  },
});
