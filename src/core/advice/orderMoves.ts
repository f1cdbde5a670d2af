import type { Job, Plate } from '../job/types';
import type { Move } from './moves';

/**
 * The plates that are there, laid disc and steel in turn from either side: what a mixed-up pack wants. Steels that no disc is
 * left for stay out. Each keeps its own place among its sort, so that the outermost disc stays the outermost.
 * Never throws. Source: workshop practice; `docs/mechanics.md` section 2.
 * @example orderMoves(job).map((m) => m.effort) // [0, 0]
 */
export function orderMoves(job: Job): Move[] {
  const lined = new Set(job.pack.kinds.filter((k) => k.lined !== 'none').map((k) => k.id));
  const discs = job.pack.plates.filter((p) => lined.has(p.kindId));
  const steels = job.pack.plates.filter((p) => !lined.has(p.kindId));
  if (discs.length === 0 || steels.length === 0) return [];
  const laid = (label: string, first: readonly Plate[], second: readonly Plate[]): Move => {
    const plates = inTurn(first, second, lined);
    const out = job.pack.plates.length - plates.length;
    const left = out === 0 ? '' : `, ${out} ${out === 1 ? 'steel' : 'steels'} left out`;
    return {
      family: 'order',
      label: `${label}${left}`,
      // Nothing is bought and nothing is changed.
      effort: 0,
      apply: (j) =>
        plates.every((p, i) => p === job.pack.plates[i])
          ? undefined
          : { ...j, pack: { ...j.pack, plates } },
    };
  };
  return [
    laid('Discs and steels laid in turn, a disc at the floor', discs, steels),
    laid('Discs and steels laid in turn, a steel at the floor', steels, discs),
  ];
}

/** One of each in turn; of what is over, discs lie together at the end, and steels don't lie at all. */
function inTurn(
  first: readonly Plate[],
  second: readonly Plate[],
  lined: ReadonlySet<string>,
): readonly Plate[] {
  const plates: Plate[] = [];
  for (let i = 0; i < Math.max(first.length, second.length); i++)
    for (const plate of [first[i], second[i]]) {
      const last = plates.at(-1);
      const isSteel = plate && !lined.has(plate.kindId);
      if (plate && !(isSteel && last && !lined.has(last.kindId))) plates.push(plate);
    }
  return plates;
}
