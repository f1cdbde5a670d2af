import type { Move } from '../../advice/move';
import { size } from '../../advice/move';
import { entry } from '../../job/entry';
import { entryAt } from '../../job/entryAt';
import type { Job } from '../../job/types';
import { arrangeEvenly } from '../../springs/circle';
import { say } from '../../text/sentence';
import type { Mm } from '../../units/quantity';
import type { SetEntry } from '../form';

/* Changes a builder can make to coil springs. */

/** Available shims, mm. Assumed values. */
const SHIMS: readonly Mm[] = [0.5, 1, 1.5];

/**
 * Shims under the springs: more of them, or none.
 * @example shimMoves(job, withEntry)[0].family // "shim"
 */
export function shimMoves(job: Job, set: SetEntry): Move[] {
  const path = 'springs.coil.shim';
  const now = entryAt(job, path)?.value ?? 0;
  const add = SHIMS.map((s): Move => ({
    family: 'shim',
    label: say`${size(s)} more shim under each spring`,
    effort: 1,
    apply: (j) => set(j, path, entry(now + s)),
  }));
  const out: Move = {
    family: 'shim',
    label: ['Shims removed'],
    effort: 1,
    apply: (j) => set(j, path, entry(0)),
  };
  return now > 0 ? [...add, out] : add;
}

/**
 * The springs that are there, laid evenly in turn.
 * @example ringMoves(job).length // 0
 */
export function ringMoves(job: Job): Move[] {
  const { coil } = job.springs;
  if (coil.ring.length === 0) return [];
  const ring = arrangeEvenly(
    coil.groups.map((g) => ({ id: g.id, count: coil.ring.filter((id) => id === g.id).length })),
  );
  return ring.join() === coil.ring.join()
    ? []
    : [
        {
          family: 'ring',
          label: ['The springs alternating evenly round the ring'],
          effort: 1,
          apply: (j) => ({
            ...j,
            springs: { ...j.springs, coil: { ...j.springs.coil, ring } },
          }),
        },
      ];
}
