import { byId, byKey, same } from './merge';
import type { Workshop } from './merge';

export interface Unmerged {
  readonly workshop: Workshop;
  /** Names of imported items that were changed since and stay. */
  readonly kept: readonly string[];
}

/**
 * Undoes an import item by item: each item is restored unless it was changed since. Other changes stay.
 * @param now the workshop as it is
 * @param before as it was when the file was taken in
 * @param after as it was just after that
 * @example unmerged(workshop, workshop, workshop).kept // []
 */
export function unmerged(now: Workshop, before: Workshop, after: Workshop): Unmerged {
  const kept: string[] = [];
  const back = <T extends object>(
    ours: ReadonlyMap<string, T>,
    was: ReadonlyMap<string, T>,
    brought: ReadonlyMap<string, T>,
    nameOf: (item: T, id: string) => string,
  ): ReadonlyMap<string, T> => {
    const result = new Map(ours);
    for (const [id, item] of brought) {
      const old = was.get(id);
      if (old && same(old, item)) continue;
      const here = ours.get(id);
      if (!here) continue;
      if (!same(here, item)) kept.push(nameOf(here, id));
      else if (old) result.set(id, old);
      else result.delete(id);
    }
    return result;
  };
  const things = <T extends { readonly id: string }>(
    of: (workshop: Workshop) => readonly T[],
    nameOf: (item: T) => string,
  ): T[] => [...back(byId(of(now)), byId(of(before)), byId(of(after)), nameOf).values()];
  const jobs = things(
    (w) => w.jobs,
    (job) => job.number || job.id,
  );
  const there = new Set(jobs.map((job) => job.id));
  return {
    workshop: {
      jobs,
      unfinished: Object.fromEntries(
        [
          ...back(
            byKey(now.unfinished),
            byKey(before.unfinished),
            byKey(after.unfinished),
            () => '',
          ),
        ].filter(([id]) => there.has(id)),
      ),
      shelf: {
        plates: things(
          (w) => w.shelf.plates,
          (p) => p.label || p.id,
        ),
        springs: things(
          (w) => w.shelf.springs,
          (s) => s.group.name || s.id,
        ),
        scrap: things(
          (w) => w.shelf.scrap,
          (p) => p.label || p.id,
        ),
        scrapSprings: things(
          (w) => w.shelf.scrapSprings,
          (s) => s.id,
        ),
        wanted: things(
          (w) => w.shelf.wanted,
          (w) => w.id,
        ),
        gauges: now.shelf.gauges.filter(
          (g) => before.shelf.gauges.includes(g) || !after.shelf.gauges.includes(g),
        ),
      },
      templates: Object.fromEntries(
        back(byKey(now.templates), byKey(before.templates), byKey(after.templates), (_t, id) => id),
      ),
      library: things(
        (w) => w.library,
        (sheet) => sheet.name || sheet.id,
      ),
    },
    kept: kept.filter((name) => name !== ''),
  };
}
