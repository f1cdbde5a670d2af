import { useDeferredValue } from 'react';
import type { Job, Stage } from '@/core/job/types';
import type { Judged } from '@/core/signoff/leftAt';
import { leftAt, stagesLeft } from '@/core/signoff/leftAt';
import { inspectionOf } from '@/features/inspect/useInspection';
import { evaluationOf } from '@/state/jobs/evaluations';
import { useJob } from '@/state/jobs/useJob';

/** Judgements of a record, evaluated on demand. */
const judged = (job: Job): Judged => ({
  get evaluation() {
    return evaluationOf(job);
  },
  get inspection() {
    return inspectionOf(job);
  },
});

/** Missing entries of a stage of this record, a few words each. */
export const leftHere = (stage: Stage, job: Job): readonly string[] =>
  leftAt(stage, job, judged(job));

/** Passed stages with missing entries. Empty for a record the core can't evaluate: the ridge must still work. */
export function leftBehind(job: Job): readonly Stage[] {
  try {
    return stagesLeft(job, judged(job));
  } catch {
    return [];
  }
}

/** Those of the job on screen; one frame behind the typing. */
export const useStagesLeft = (): readonly Stage[] => leftBehind(useDeferredValue(useJob()));
