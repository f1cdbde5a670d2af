import type { Stage } from '@/core/job/types';
import { STAGES } from '@/core/job/types';

export const isStage = (stage: string | undefined): stage is Stage =>
  STAGES.some((s) => s === stage);

/** The stage on screen: the one that the address of the page names, that of its tab, or the one at which the job stands. */
export const viewedStage = (
  named: string | undefined,
  tab: string | undefined,
  standsAt: Stage,
): Stage => (isStage(named) ? named : tab ? 'specify' : standsAt);

/** The stage after this one. */
export function stageAfter(stage: Stage): Stage {
  return STAGES[STAGES.indexOf(stage) + 1] ?? stage;
}
