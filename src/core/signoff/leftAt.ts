import { takesUp } from '@/core/clutch/fitted';
import { placeOfVerdict } from '../advice/remedy';
import type { Evaluation } from '../evaluate/evaluate';
import { lowerFirst } from '@/core/text/sentence';
import { hasPack } from '../guide/layouts';
import type { Inspection } from '../inspect/inspect';
import type { PartVerdict } from '../inspect/partVerdict';
import { limitsLacking } from '../inspect/limitsLacking';
import type { Job, Stage } from '../job/types';
import { STAGES } from '../job/types';
import { isFrozen } from '../job/signOff';
import type { WorkStage } from '../job/work';
import { isOpen, stepsOf } from '../worksheet/worksheet';
import { partMissing } from './openItems';

/** The judgements of a job, evaluated on demand by getters. */
export interface Judged {
  readonly evaluation: Evaluation;
  readonly inspection: Inspection;
}

/**
 * Missing entries of a stage, a few words each. They do not block the next stage; {@link openItems} block the signature.
 * @param stage the stage
 * @param job the record
 * @param judged the evaluation and inspection of that very record
 * Never throws for a job that passes the schema.
 * Source: workshop practice.
 * @example leftAt('intake', job, { evaluation: evaluate(job), inspection: inspect(job, evaluate(job)) }) // []
 */
export function leftAt(stage: Stage, job: Job, judged: Judged): readonly string[] {
  return LEFT[stage](job, judged).filter((words) => words !== '');
}

/**
 * Passed stages with missing entries. Empty for a signed job: its open items have reasons.
 * Never throws for a job that passes the schema. Source: as {@link leftAt}.
 * @example stagesLeft(job, { evaluation: evaluate(job), inspection: inspect(job, evaluate(job)) }) // []
 */
export const stagesLeft = (job: Job, judged: Judged): readonly Stage[] =>
  isFrozen(job)
    ? []
    : STAGES.slice(0, STAGES.indexOf(job.stage)).filter(
        (stage) => leftAt(stage, job, judged).length > 0,
      );

type Left = (job: Job, judged: Judged) => readonly string[];

const LEFT: Readonly<Record<Stage, Left>> = {
  intake: ({ intake, machine, engine }) => [
    lacks(machine.name === '', 'the machine’s name'),
    lacks(machine.layout === 'unknown', 'clutch type'),
    lacks(intake.complaints.length + intake.aims.length === 0, 'complaint or goal'),
    lacks(intake.oil === 'unknown', 'the oil'),
    lacks(hasPack(machine.layout) && !engine.peakTorque && !engine.curve, 'engine torque'),
  ],
  strip: ({ strip, pack, machine }) => [
    lacks(strip.steps.length === 0, 'the list'),
    counted(strip.steps.filter((s) => !s.done).length, 'step'),
    lacks(strip.parts.length === 0, 'the count of small parts'),
    counted(strip.parts.filter((p) => !p.out).length, 'small part', ' not counted'),
    lacks(hasPack(machine.layout) && pack.plates.length + strip.found.length === 0, 'plate order'),
  ],
  inspect: (job, judged) => {
    const { parts } = judged.inspection;
    return [
      counted(parts.filter(isUnmeasured).length, 'part', ' not measured'),
      ...limitsLacking(job, parts).map(({ name }) => name),
    ];
  },
  specify: (job, judged) => {
    const { overall, verdicts } = judged.evaluation;
    if (overall.state === 'good') return [];
    if (overall.state === 'unknown') return ['the verdict'];
    // Later readings and settings are missing at the later stage.
    const here = verdicts.filter(
      (v) =>
        (v.state === 'stop' || v.state === 'watch') &&
        placeOfVerdict(job, v.id).stage === 'specify',
    );
    const worst = here.find((v) => v.state === 'stop') ?? here[0];
    return worst ? [lowerFirst(worst.title)] : [];
  },
  build: (job) => [
    stepsLeft(job, 'build'),
    counted(job.strip.parts.filter(partMissing).length, 'small part', ' not counted back in'),
    lacks(
      job.build.fasteners.length === 0 || job.build.fasteners.some((f) => !f.torque),
      'torques from the manual',
    ),
  ],
  set: (job) => [
    stepsLeft(job, 'set'),
    lacks(takesUp(job, 'inPack') !== undefined && !job.setting.installGap, 'the install gap'),
    lacks(
      hasPack(job.machine.layout) &&
        job.release.liftReadings.length === 0 &&
        !job.release.measuredLift,
      'lift by the dial',
    ),
  ],
  prove: (job) => [
    stepsLeft(job, 'prove'),
    counted(
      job.prove.starts.reduce(
        (sum, s) => sum + Math.max(0, (s.wanted?.value ?? 0) - (s.done?.value ?? 0)),
        0,
      ),
      'break-in start',
    ),
  ],
  log: () => [],
};

const lacks = (lacking: boolean, words: string): string => (lacking ? words : '');

const counted = (n: number, one: string, after = ''): string =>
  lacks(n > 0, `${n} ${one}${n === 1 ? '' : 's'}${after}`);

const stepsLeft = (job: Job, stage: WorkStage): string =>
  counted(stepsOf(job, stage).filter(isOpen).length, 'step');

/** Whether a part waits for a reading, and not for a limit only. */
const isUnmeasured = (part: PartVerdict): boolean =>
  part.decision === 'open' && !part.reasons.some((r) => r.lacks);
