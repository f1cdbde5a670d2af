import { useDeferredValue } from 'react';
import type { Job, Stage } from '@/core/job/types';
import type { Judged } from '@/core/signoff/missingAt';
import { missingAt, incompleteStages } from '@/core/signoff/missingAt';
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
export const missingHere = (stage: Stage, job: Job): readonly string[] =>
  missingAt(stage, job, judged(job));

/** Passed stages with missing entries. Empty for a record the core can't evaluate: the ridge must still work. */
export function hasMissing(job: Job): readonly Stage[] {
  try {
    return incompleteStages(job, judged(job));
  } catch {
    return [];
  }
}

/** Those of the job on screen; one frame behind the typing. */
export const useIncompleteStages = (): readonly Stage[] => hasMissing(useDeferredValue(useJob()));
