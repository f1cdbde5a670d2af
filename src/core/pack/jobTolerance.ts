import { DomainError } from '../errors';
import { layOut } from '@/core/evaluate/engine/layers';
import { FIELDS } from '../job/fields';
import type { Job } from '../job/types';
import type { PlateTolerance, ToleranceQuestion } from './tolerance';

/**
 * The tolerance question of a job: its plates as new, with the tolerances of their types, against its stack limits.
 * @throws {DomainError} when a thickness or a limit is missing
 * @example toleranceOf(job, 1000, 7).plates.length // 15
 */
export function toleranceOf(job: Job, packs: number, seed: number): ToleranceQuestion {
  const { windowMin, windowMax } = job.pack;
  if (!windowMin || !windowMax)
    throw new DomainError('pack.windowMin', 'stack limits, both of them', undefined);
  const plates = layOut(job).layers.map(({ kind }): PlateTolerance => {
    if (!kind.thickness)
      throw new DomainError(
        'pack.kinds.*.thickness',
        'a thickness for every type in the pack',
        undefined,
      );
    const tolerance =
      kind.tolerance?.value ?? FIELDS['pack.kinds.*.tolerance'].estimate?.value ?? 0;
    return { nominal: kind.thickness.value, tolerance, spread: 'normal' };
  });
  return { plates, min: windowMin.value, max: windowMax.value, packs, seed };
}
