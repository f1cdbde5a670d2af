import { newByIntake } from '@/core/job/edits/pack';
import type { Job, Plate } from '@/core/job/types';
import { SPRINGS } from '@/core/strip/line';

/** Uses the plates as found as the pack, from the hub floor outward: the last plate removed is on the floor. */
export function packAsFound(job: Job): Job {
  const plates = job.strip.found.map(({ id, kindId, facing }): Plate => ({
    id,
    kindId,
    ...(facing ? { facing } : {}),
  }));
  return newByIntake({ ...job, pack: { ...job.pack, plates: plates.reverse() } });
}

/** Copies findings of Strip into empty parts of the record: the pack, and the number of springs. */
export function withFoundPack(job: Job): Job {
  const pack = job.pack.plates.length === 0 && job.strip.found.length > 0;
  return withSpringsCounted(pack ? packAsFound(job) : job);
}

function withSpringsCounted(job: Job): Job {
  const { coil } = job.springs;
  const [group] = coil.groups;
  const out = job.strip.parts.find((p) => p.key === SPRINGS)?.out;
  if (!group || coil.groups.length > 1 || group.count || !out || out.value < 1) return job;
  const groups = [{ ...group, count: { value: out.value } }];
  return { ...job, springs: { ...job.springs, coil: { ...coil, groups } } };
}
