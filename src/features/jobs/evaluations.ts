import type { Evaluation } from '@/core/evaluate/evaluate';
import { evaluate } from '@/core/evaluate/evaluate';
import type { Job } from '@/core/job/types';

import { useJob } from './useJob';

const evaluations = new WeakMap<Job, Evaluation>();

/** The evaluation of a job record; worked out once for each version of it. */
export function evaluationOf(job: Job): Evaluation {
  const known = evaluations.get(job);
  if (known) return known;
  const made = evaluate(job);
  evaluations.set(job, made);
  return made;
}

export const useEvaluation = (): Evaluation => evaluationOf(useJob());
