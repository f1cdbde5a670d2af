import type { Sheet } from '../../evaluate/engine/sheet';
import type { Verdict } from '../../evaluate/engine/verdict';
import type { Job } from '../../job/types';
import type { Band } from '../../pack/bands';
import { bandsAt } from '../../pack/bands';
import { length, say } from '../../text/sentence';

/**
 * The retainer's bands, as far as both edges are entered.
 * @example bandsOf(quad).length // 3
 */
export function bandsOf(job: Job): Band[] {
  return job.springs.diaphragm.steps.flatMap(({ id, bandMin, bandMax }) =>
    bandMin && bandMax && bandMin.value <= bandMax.value
      ? [{ step: id, min: bandMin.value, max: bandMax.value }]
      : [],
  );
}

/**
 * Judges whether the retainer step suits the stack.
 * @example judgeStep(workOut(quad).sheet).title // "Retainer step OK"
 */
export function judgeStep(sheet: Sheet): Verdict | undefined {
  const { diaphragm } = sheet.job.springs;
  const stack = sheet.known('stack');
  const bands = bandsOf(sheet.job);
  if (!stack || bands.length === 0) return undefined;
  const base = { id: 'step', figures: ['stack', 'deflection'] } as const;
  const name = (id: string) => diaphragm.steps.find((s) => s.id === id)?.name || id;
  const allowed = bandsAt(stack.value, bands);
  const names = allowed.map((b) => name(b.step)).join(' and ');
  if (allowed.length === 0) {
    return {
      ...base,
      state: 'stop',
      title: 'No step for this stack',
      sentence: say`No retainer step covers a stack of ${length(stack.value)}.`,
    };
  }
  const current = diaphragm.stepId;
  if (current === undefined || !diaphragm.steps.some((s) => s.id === current)) {
    return {
      ...base,
      state: 'unknown',
      title: 'Step not selected',
      sentence: say`A stack of ${length(stack.value)} needs step ${names}.`,
    };
  }
  if (!allowed.some((b) => b.step === current)) {
    return {
      ...base,
      state: 'stop',
      title: 'Wrong retainer step',
      sentence: say`Step ${name(current)} is selected; a stack of ${length(stack.value)} needs step ${names}.`,
    };
  }
  return {
    ...base,
    state: 'good',
    title: 'Retainer step OK',
    sentence:
      allowed.length > 1
        ? say`A stack of ${length(stack.value)} is on the edge of two bands: steps ${names} are both allowed.`
        : say`Step ${name(current)} is correct for a stack of ${length(stack.value)}.`,
  };
}
