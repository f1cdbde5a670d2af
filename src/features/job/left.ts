import type { Job, Stage } from '@/core/job/types';
import type { Judged } from '@/core/signoff/leftAt';
import { leftAt, stagesLeft } from '@/core/signoff/leftAt';
import { inspectionOf } from '@/features/inspect/useInspection';
import { evaluationOf } from '@/features/jobs/evaluations';
import { useJobLater } from '@/features/jobs/useJob';

const judged = (job: Job) => (): Judged => ({
  evaluation: evaluationOf(job),
  inspection: inspectionOf(job),
});

/** What a stage of this very record still lacks, a few words each. */
export const leftHere = (stage: Stage, job: Job): readonly string[] =>
  leftAt(stage, job, judged(job));

/** The stages that the job on screen has gone past with something left at them; a frame behind what is typed. */
export function useStagesLeft(): readonly Stage[] {
  const job = useJobLater();
  return stagesLeft(job, judged(job));
}
