import type { Job, Plate } from '@/core/job/types';
import { SPRINGS } from '@/core/strip/line';

/** The pack as found becomes the pack, from the hub floor outward: the last plate out lies on the floor. */
export function packAsFound(job: Job): Job {
  const plates = job.strip.found.map(({ id, kindId, facing }): Plate => ({
    id,
    kindId,
    ...(facing ? { facing } : {}),
  }));
  return { ...job, pack: { ...job.pack, plates: plates.reverse() } };
}

/** What strip found out goes into the record where nothing stands there yet: the pack, and how many springs it has. */
export function withWhatWasFound(job: Job): Job {
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
