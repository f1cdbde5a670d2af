import type { ShelfPlate } from '../shelf/solver';
import type { Mm } from '../units/quantity';

/* Every height that a number of steels from a shelf can have, each with its flattest set. */

/** Steels chosen from a shelf. */
export interface SteelSet {
  readonly height: Mm;
  /** Out-of-flat of all of them; an unchecked plate counts as flat. */
  readonly outOfFlat: Mm;
  readonly newParts: number;
  /** Ids of the plates, one for each piece; empty for the steels that are in the pack. */
  readonly picks: readonly string[];
}

/** Thickness is counted in thousandths, as a micrometer reads. */
const PER_MM = 1000;

/** A chosen piece, and those before it. */
interface Chosen {
  readonly flat: number;
  readonly id: string;
  readonly before: Chosen | undefined;
}

/** So many new parts at most are counted apart. */
const NEW = 32;

/**
 * For every height and number of new parts that `choose` steels can have, the flattest set. Nothing is lost: a set of the same
 * height and the same new parts that is less flat is beaten in every respect.
 * @param choose plates, 1 to 30
 * @param from least height of the steels together, mm
 * @param to largest height, mm
 * Source: bounded knapsack by dynamic programming. Never throws for plates of a shelf.
 * @example steelSets([{ id: 'a', thickness: 1.5, count: 2, isNew: false }], 2, 0, 9).map((s) => s.height) // [3]
 */
export function steelSets(
  plates: readonly ShelfPlate[],
  choose: number,
  from: Mm,
  to: Mm,
): readonly SteelSet[] {
  const pieces = plates
    .flatMap((p) => Array.from({ length: Math.min(p.count, choose) }, () => p))
    .map((p) => ({
      id: p.id,
      size: Math.round(p.thickness * PER_MM),
      fresh: p.isNew ? 1 : 0,
      flat: p.outOfFlat ?? 0,
    }))
    .sort((a, b) => a.size - b.size);
  if (pieces.length < choose) return [];
  const [least, most] = [Math.ceil(from * PER_MM - 1e-6), Math.floor(to * PER_MM + 1e-6)];
  // Prefix sums of the sorted sizes: what the remaining pieces can add at least and at most.
  const sums = [0];
  for (const { size } of pieces) sums.push((sums.at(-1) ?? 0) + size);
  const total = sums.at(-1) ?? 0;
  const states = Array.from({ length: choose + 1 }, () => new Map<number, Chosen | undefined>());
  states[0]?.set(0, undefined);
  pieces.forEach(({ id, size, fresh, flat }, i) => {
    const left = pieces.length - i - 1;
    for (let n = Math.min(i, choose - 1); n >= 0; n--) {
      const rest = choose - n - 1;
      if (rest > left) continue;
      // The pieces after this one are the larger ones.
      const min = (sums[i + 1 + rest] ?? total) - (sums[i + 1] ?? 0);
      const max = total - (sums[pieces.length - rest] ?? total);
      const here = states[n];
      const next = states[n + 1];
      if (!here || !next) continue;
      for (const [key, before] of here) {
        const sum = Math.floor(key / NEW) + size;
        if (sum + min > most || sum + max < least) continue;
        const to_ = sum * NEW + (key % NEW) + fresh;
        const made = (before?.flat ?? 0) + flat;
        const known = next.get(to_);
        if (known === undefined || made < known.flat - 1e-12)
          next.set(to_, { flat: made, id, before });
      }
    }
  });
  return [...(states[choose] ?? [])]
    .filter(([key]) => {
      const sum = Math.floor(key / NEW);
      return sum >= least && sum <= most;
    })
    .sort(([a], [b]) => a - b)
    .map(([key, chosen]) => {
      const picks: string[] = [];
      for (let at = chosen; at; at = at.before) picks.push(at.id);
      return {
        height: Math.floor(key / NEW) / PER_MM,
        outOfFlat: chosen?.flat ?? 0,
        newParts: key % NEW,
        picks,
      };
    });
}
