import type { Job, Plate } from '../job/types';
import type { Move } from './move';
import { countOf } from '@/core/text/countOf';

/**
 * Reorders the present plates so that discs and steels alternate, starting with either: the fix for a mixed-up pack. Surplus
 * steels are left out. Each plate keeps its place among its kind, so the outermost disc stays outermost.
 * Never throws. Source: workshop practice; `docs/mechanics.md` section 2.
 * @example orderMoves(job).map((m) => m.effort) // [0, 0]
 */
export function orderMoves(job: Job): Move[] {
  return [
    laid(job, 'Discs and steels alternating, a disc at the floor', 'disc'),
    laid(job, 'Discs and steels alternating, a steel at the floor', 'steel'),
  ].flatMap((move) => move ?? []);
}

type Sort = 'disc' | 'steel';

function laid(job: Job, label: string, first: Sort): Move | undefined {
  const plates = alternating(job, first);
  if (!plates) return undefined;
  const out = job.pack.plates.length - plates.length;
  const left = out === 0 ? '' : `, ${countOf(out, 'steel')} left out`;
  return {
    family: 'order',
    label: [`${label}${left}`],
    // Nothing is bought and nothing is changed.
    effort: 0,
    apply: (j) => {
      // The plates as they are then: another move may have come before.
      const next = alternating(j, first);
      return !next || next.every((p, i) => p === j.pack.plates[i])
        ? undefined
        : { ...j, pack: { ...j.pack, plates: next } };
    },
  };
}

/** Alternates two lists. Surplus discs end up together at the end, surplus steels are dropped. Undefined unless both exist. */
function alternating({ pack }: Job, first: Sort): readonly Plate[] | undefined {
  const lined = new Set(pack.kinds.filter((k) => k.lined !== 'none').map((k) => k.id));
  const isSteel = (plate: Plate | undefined) => plate !== undefined && !lined.has(plate.kindId);
  const steels = pack.plates.filter(isSteel);
  const discs = pack.plates.filter((p) => !isSteel(p));
  if (discs.length === 0 || steels.length === 0) return undefined;
  const [one, other] = first === 'disc' ? [discs, steels] : [steels, discs];
  const plates: Plate[] = [];
  for (let i = 0; i < Math.max(one.length, other.length); i++)
    for (const plate of [one[i], other[i]])
      if (plate && !(isSteel(plate) && isSteel(plates.at(-1)))) plates.push(plate);
  return plates;
}
