import { useDeferredValue } from 'react';
import type { Job, Stage } from '@/core/job/types';
import type { Judged } from '@/core/signoff/leftAt';
import { leftAt, stagesLeft } from '@/core/signoff/leftAt';
import { inspectionOf } from '@/features/inspect/useInspection';
import { evaluationOf } from '@/state/jobs/evaluations';
import { useJob } from '@/state/jobs/useJob';

/** What is known of a record, each worked out when it is asked for. */
const judged = (job: Job): Judged => ({
  get evaluation() {
    return evaluationOf(job);
  },
  get inspection() {
    return inspectionOf(job);
  },
});

/** What a stage of this very record still lacks, a few words each. */
export const leftHere = (stage: Stage, job: Job): readonly string[] =>
  leftAt(stage, job, judged(job));

/**
 * The stages that a job has gone past with something left at them. Of a record that the core can't take nothing is said:
 * the ridge must still lead to where it is mended.
 */
export function leftBehind(job: Job): readonly Stage[] {
  try {
    return stagesLeft(job, judged(job));
  } catch {
    return [];
  }
}

/** Those of the job on screen; a frame behind what is typed. */
export const useStagesLeft = (): readonly Stage[] => leftBehind(useDeferredValue(useJob()));
