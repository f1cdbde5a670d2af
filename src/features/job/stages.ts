import type { Stage } from '@/core/job/types';
import { STAGES } from '@/core/job/types';

export const isStage = (stage: string | undefined): stage is Stage =>
  STAGES.some((s) => s === stage);

/** The stage on screen: from the address, from its tab, or the current stage of the job. */
export const viewedStage = (
  named: string | undefined,
  tab: string | undefined,
  standsAt: Stage,
): Stage => (isStage(named) ? named : tab ? 'specify' : standsAt);

/** The stage after this one. */
export function stageAfter(stage: Stage): Stage {
  return STAGES[STAGES.indexOf(stage) + 1] ?? stage;
}
