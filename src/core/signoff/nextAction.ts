import { openSteps, measuringRun } from '../inspect/run';
import { isFrozen } from '../job/signOff';
import type { Job } from '../job/types';
import { STAGES } from '../job/types';
import { STAGE_NAME } from '../job/words';
import { WORK_STAGES } from '../job/work';
import { countOf } from '../text/countOf';
import { readSentence } from '../text/sentence';
import type { UnitChoice } from '../units/format';
import { isOpen, stepsOf } from '../worksheet/worksheet';
import type { Judged } from './missingAt';
import { missingAt } from './missingAt';

/**
 * What is to be done next on a job, in a few words; nothing on a signed one.
 * @param judged the evaluation and inspection of that very record
 * Never throws for a job that passes the schema. Source: as {@link missingAt}.
 * @example nextAction(blank, { evaluation: evaluate(blank), inspection: inspect(blank, evaluate(blank)) }) // "Enter: machine name"
 */
export function nextAction(job: Job, judged: Judged, units: UnitChoice = {}): string | undefined {
  if (isFrozen(job)) return undefined;
  const { stage } = job;
  const work = WORK_STAGES.find((s) => s === stage);
  const step = work && stepsOf(job, work).find(isOpen);
  if (step) return readSentence(step.line.text, units);
  if (stage === 'strip') {
    const line = job.strip.steps.find((s) => !s.done);
    if (line) return line.text;
  }
  const [missing] = missingAt(stage, job, judged);
  if (stage === 'inspect' && missing) {
    const left = openSteps(job, measuringRun(job, ['discs', 'steels', 'flatness', 'start'])).length;
    if (left > 0) return `${countOf(left, 'reading')} to take`;
  }
  // At Specify a verdict is what is left: it is fixed, not entered.
  if (missing && stage === 'specify')
    return missing === 'verdict' ? 'Enter what the verdict needs' : `Fix: ${missing}`;
  if (missing) return `Enter: ${missing}`;
  const next = STAGES[STAGES.indexOf(stage) + 1];
  return next === undefined ? 'Sign the job' : `Go on to ${STAGE_NAME[next]}`;
}
