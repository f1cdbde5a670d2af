import type { Sheet } from '../../evaluate/engine/sheet';
import type { Verdict } from '../../evaluate/engine/verdict';
import { length, say } from '../../text/sentence';
import { selectStep } from './selection';
import { bandsOf } from './steps';

/**
 * Judges whether the retainer step suits the stack.
 * @example judgeStep(workOut(quad).sheet).title // "Retainer step OK"
 */
export function judgeStep(sheet: Sheet): Verdict | undefined {
  const { diaphragm } = sheet.job.springs;
  const selection = selectStep(sheet);
  if (!selection)
    return diaphragm.stepBy === 'caliper' && bandsOf(sheet.job).length > 0
      ? {
          id: 'step',
          state: 'unknown',
          title: 'Step not selected',
          sentence: ['The leaflet goes by the caliper: the stack by caliper is missing.'],
          need: { label: 'Stack by caliper', path: 'pack.caliper' },
          figures: [],
        }
      : undefined;
  const { measured, steps: allowed, by } = selection;
  const what = by === 'caliper' ? 'stack by caliper' : 'stack';
  const base = { id: 'step', figures: ['stack', 'deflection'] } as const;
  const name = (id: string) => diaphragm.steps.find((s) => s.id === id)?.name || id;
  const names = allowed.map(name).join(' and ');
  if (allowed.length === 0) {
    return {
      ...base,
      state: 'stop',
      title: 'No step for this stack',
      sentence: say`No retainer step covers a ${what} of ${length(measured)}.`,
    };
  }
  const current = diaphragm.stepId;
  if (current === undefined || !diaphragm.steps.some((s) => s.id === current)) {
    return {
      ...base,
      state: 'unknown',
      title: 'Step not selected',
      sentence: say`A ${what} of ${length(measured)} needs step ${names}.`,
    };
  }
  if (!allowed.includes(current)) {
    return {
      ...base,
      state: 'stop',
      title: 'Wrong retainer step',
      sentence: say`Step ${name(current)} is selected; a ${what} of ${length(measured)} needs step ${names}.`,
    };
  }
  if (selection.disagrees) {
    const [right, wrong] = by === 'caliper' ? ['caliper', 'sum'] : ['sum', 'caliper'];
    return {
      ...base,
      state: 'watch',
      title: 'Sum and caliper disagree on the step',
      sentence: say`Step ${name(current)} is correct by the ${right}, which the leaflet goes by, but not by the ${wrong}: measure both again.`,
    };
  }
  return {
    ...base,
    state: 'good',
    title: 'Retainer step OK',
    sentence:
      allowed.length > 1
        ? say`A ${what} of ${length(measured)} is on the edge of two bands: steps ${names} are both allowed.`
        : say`Step ${name(current)} is correct for a ${what} of ${length(measured)}.`,
  };
}
