import type { Stage } from '@/core/job/types';
import { STAGES } from '@/core/job/types';

/** Stages that have a screen of their own. */
export const VIEWS = ['intake', 'strip', 'inspect', 'specify'] as const satisfies readonly Stage[];
export type View = (typeof VIEWS)[number];

export const isView = (stage: string | undefined): stage is View => VIEWS.some((v) => v === stage);

/** The screen that a job opens at: where it stands, or the pack once it stands further on. */
export const viewFor = (stage: Stage): View => (isView(stage) ? stage : 'specify');

/** The stage after this one. */
export function stageAfter(stage: Stage): Stage {
  return STAGES[STAGES.indexOf(stage) + 1] ?? stage;
}
