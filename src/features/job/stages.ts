import type { Stage } from '@/core/job/types';
import { STAGES } from '@/core/job/types';

export const isStage = (stage: string | undefined): stage is Stage =>
  STAGES.some((s) => s === stage);

/** The stage after this one. */
export function stageAfter(stage: Stage): Stage {
  return STAGES[STAGES.indexOf(stage) + 1] ?? stage;
}
