import type { Sheet } from '../../evaluate/engine/sheet';
import type { Term } from '../../evaluate/engine/term';
import { collectTerms } from '../../evaluate/engine/term';
import { fieldPath } from '../../job/fieldPath';
import type { DiaphragmSpring, Job, RetainerStep } from '../../job/types';
import type { Band } from '../../pack/bands';

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

/**
 * The retainer's bands, in the order of the steps. A band may be open at one end; one without any edge, or upside down,
 * is left out.
 * @example bandsOf(quad).length // 3
 */
export function bandsOf({ springs: { diaphragm } }: Pick<Job, 'springs'>): Band[] {
  return diaphragm.steps.flatMap(({ id, bandMin, bandMax }) => {
    const min = bandMin?.value ?? 0;
    const max = bandMax?.value ?? Infinity;
    return (bandMin ?? bandMax) && min <= max ? [{ step: id, min, max }] : [];
  });
}

/**
 * Whether the heights of the steps are used: two of them, and the way more height acts.
 * @example usesHeights(quad.springs.diaphragm) // false
 */
export const usesHeights = ({ steps, heightActs }: DiaphragmSpring): boolean =>
  heightActs !== undefined && steps.filter((s) => s.height).length > 1;

/**
 * How much further than the first step a step presses: from the printed heights, else its offset.
 * Source: `docs/mechanics.md` section 5. Never throws.
 * @example stepOffset(workOut(quad).sheet, quad.springs.diaphragm.steps[1]).value // 0.3
 */
export function stepOffset(sheet: Sheet, step: RetainerStep): Term {
  const { diaphragm } = sheet.job.springs;
  const [first] = diaphragm.steps;
  if (!first || !usesHeights(diaphragm))
    return sheet.entry(fieldPath('springs.diaphragm.steps.*.offset', step.id));
  const sign = diaphragm.heightActs === 'further' ? 1 : -1;
  const height = (id: string) => sheet.entry(fieldPath('springs.diaphragm.steps.*.height', id));
  return collectTerms([height(step.id), height(first.id)], ([h = 0, h1 = 0]) => sign * (h - h1));
}
