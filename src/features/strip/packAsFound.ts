import type { Job, Plate } from '@/core/job/types';

/** The pack as found becomes the pack, from the hub floor outward: the last plate out lies on the floor. */
export function packAsFound(job: Job): Job {
  const plates = job.strip.found.map(({ id, kindId, facing }): Plate => ({
    id,
    kindId,
    ...(facing ? { facing } : {}),
  }));
  return { ...job, pack: { ...job.pack, plates: plates.reverse() } };
}
