import { attempt } from '../../errors';
import { workOut } from '../../evaluate/evaluate';
import type { Job } from '../../job/types';
import type { Resultant } from '../../springs/circle';
import { placeEvenly, springResultant } from '../../springs/circle';
import type { Degree, Mm, Newton } from '../../units/quantity';
import { coilGroups } from '../fitted';

/** One spring on the ring, by its place in the order. */
export interface RingSpring {
  readonly groupId: string;
  readonly angle: Degree;
  readonly force: Newton;
}

export interface RingLook {
  readonly springs: readonly RingSpring[];
  readonly radius: Mm;
  readonly resultant: Resultant;
}

/**
 * The ring of coil springs with the force of each as built, and the point of the resultant.
 * @returns nothing for a diaphragm, while the order or a spring is not known, or when no spring presses
 * Never throws for a job that passes the schema. Source: `docs/mechanics.md` section 4.
 * @example ringLook(loose).springs.length // 8
 */
export function ringLook(job: Job): RingLook | undefined {
  const { coil } = job.springs;
  if (coilGroups(job).length === 0 || coil.ring.length === 0) return undefined;
  const forces = new Map<string, Newton>();
  for (const group of coil.groups) {
    // The force of a single spring of this type in its place.
    const alone: Job = {
      ...job,
      springs: {
        ...job.springs,
        coil: { ...coil, groups: [{ ...group, count: { value: 1 } }], ring: [] },
      },
    };
    const clamp = workOut(alone).sheet.known('clamp')?.value;
    if (clamp !== undefined) forces.set(group.id, clamp);
  }
  const radius = coil.ringRadius?.value ?? 0;
  const placed = coil.ring.map((id) => forces.get(id));
  if (placed.some((f) => f === undefined) || radius <= 0) return undefined;
  const at = placeEvenly(
    placed.map((f) => f ?? 0),
    radius,
  );
  const resultant = attempt(() => springResultant(at));
  return (
    resultant && {
      radius,
      resultant,
      springs: at.map((s, i) => ({
        groupId: coil.ring[i] ?? '',
        angle: s.angle,
        force: s.force,
      })),
    }
  );
}
