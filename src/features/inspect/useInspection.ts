import type { Inspection } from '@/core/inspect/inspect';
import { inspect } from '@/core/inspect/inspect';
import type { Job } from '@/core/job/types';
import { evaluationOf } from '@/state/jobs/evaluations';
import { useJob } from '@/state/jobs/useJob';

const inspections = new WeakMap<Job, Inspection>();

/** The inspection of a job record; worked out once for each version of it. */
export function inspectionOf(job: Job): Inspection {
  const known = inspections.get(job);
  if (known) return known;
  const made = inspect(job, evaluationOf(job));
  inspections.set(job, made);
  return made;
}

export const useInspection = (): Inspection => inspectionOf(useJob());
