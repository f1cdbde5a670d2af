import type { Job, RetainerStep } from '../../job/types';

/**
 * The step that the retainer is on; undefined while none is chosen, and for other springs.
 * @example stepInUse(quad).name // "2"
 */
export const stepInUse = ({ springs: { type, diaphragm } }: Job): RetainerStep | undefined =>
  type === 'diaphragm' ? diaphragm.steps.find((s) => s.id === diaphragm.stepId) : undefined;

/**
 * The steps that the retainer could be put on instead; none for other springs.
 * @example otherSteps(job).length // 0
 */
export const otherSteps = ({ springs: { type, diaphragm } }: Job): readonly RetainerStep[] =>
  type === 'diaphragm' ? diaphragm.steps.filter((s) => s.id !== diaphragm.stepId) : [];

/**
 * The job with its retainer on another step.
 * @example onStep(quad, 'two').springs.diaphragm.stepId // "two"
 */
export const onStep = (job: Job, stepId: string): Job => ({
  ...job,
  springs: { ...job.springs, diaphragm: { ...job.springs.diaphragm, stepId } },
});
