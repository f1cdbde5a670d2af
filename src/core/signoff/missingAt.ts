import { engagesByItself } from '@/core/clutch/fitted';
import { stageOfVerdict } from '@/core/advice/manualFix';
import type { Evaluation } from '@/core/evaluate/evaluate';
import { lowerFirst } from '@/core/text/sentence';
import { hasPack } from '@/core/guide/layouts';
import type { Inspection } from '@/core/inspect/inspect';
import type { PartVerdict } from '@/core/inspect/partVerdict';
import { missingLimits } from '@/core/inspect/missingLimits';
import { demandsOf, isStepDemanded } from '../job/purpose';
import type { Job, Stage } from '@/core/job/types';
import { STAGES } from '@/core/job/types';
import { isFrozen } from '@/core/job/signOff';
import type { WorkStage } from '@/core/job/work';
import { isOpen, stepsOf } from '@/core/worksheet/worksheet';
import { partMissing } from './partItems';
import { countOf } from '@/core/text/countOf';

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
 * @example missingAt('intake', job, { evaluation: evaluate(job), inspection: inspect(job, evaluate(job)) }) // []
 */
export function missingAt(stage: Stage, job: Job, judged: Judged): readonly string[] {
  return MISSING[stage](job, judged).filter((words) => words !== '');
}

/**
 * Passed stages with missing entries. Empty for a signed job: its open items have reasons.
 * Never throws for a job that passes the schema. Source: as {@link missingAt}.
 * @example incompleteStages(job, { evaluation: evaluate(job), inspection: inspect(job, evaluate(job)) }) // []
 */
export const incompleteStages = (job: Job, judged: Judged): readonly Stage[] =>
  isFrozen(job)
    ? []
    : STAGES.slice(0, STAGES.indexOf(job.stage)).filter(
        (stage) => missingAt(stage, job, judged).length > 0,
      );

type MissingItems = (job: Job, judged: Judged) => readonly string[];

const MISSING: Readonly<Record<Stage, MissingItems>> = {
  intake: (job) => {
    const { intake, machine, engine } = job;
    const demanded = demandsOf(job).intake;
    const none = intake.complaints.length + intake.aims.length === 0;
    const torque = engine.peakTorque !== undefined || engine.curve !== undefined;
    return [
      missingIf(machine.name === '', 'machine name'),
      missingIf(machine.layout === 'unknown', 'clutch type'),
      missingIf(demanded.includes('complaint') && none, 'complaint or goal'),
      missingIf(demanded.includes('oil') && intake.oil === 'unknown', 'oil'),
      missingIf(demanded.includes('torque') && hasPack(machine.layout) && !torque, 'engine torque'),
    ];
  },
  strip: (job) => (demandsOf(job).parts ? strippedItems(job) : []),
  inspect: (job, judged) => {
    if (!demandsOf(job).plates) return [];
    const { parts } = judged.inspection;
    return [
      counted(parts.filter(isUnmeasured).length, 'part', ' not measured'),
      ...missingLimits(job, parts).map(({ name }) => name),
    ];
  },
  specify: (job, judged) => {
    const { overall, verdicts } = judged.evaluation;
    const demands = demandsOf(job);
    if (overall.state === 'good' || !demands.stops) return [];
    const unknown = verdicts.filter(
      (v) => v.state === 'unknown' && demands.verdicts.includes(v.id),
    );
    if (overall.state === 'unknown' && unknown.length > 0)
      return [...new Set(unknown.map((v) => lowerFirst(v.title)))];
    // Later readings and settings are missing at the later stage.
    const here = verdicts.filter(
      (v) =>
        (v.state === 'stop' || v.state === 'watch') &&
        stageOfVerdict(job, v.id).stage === 'specify',
    );
    const worst = here.find((v) => v.state === 'stop') ?? here[0];
    return worst ? [lowerFirst(worst.title)] : [];
  },
  build: (job) => [
    openStepsOf(job, 'build'),
    counted(job.strip.parts.filter(partMissing).length, 'small part', ' not fitted'),
    missingIf(
      isStepDemanded(job, 'build', 'hub') &&
        (job.build.fasteners.length === 0 || job.build.fasteners.some((f) => !f.torque)),
      'tightening torques',
    ),
  ],
  set: (job) => [
    openStepsOf(job, 'set'),
    missingIf(
      isStepDemanded(job, 'set', 'gap') &&
        engagesByItself(job, 'inPack') !== undefined &&
        !job.setting.installGap,
      'install gap',
    ),
    missingIf(
      isStepDemanded(job, 'set', 'lift') &&
        hasPack(job.machine.layout) &&
        job.release.liftReadings.length === 0 &&
        !job.release.measuredLift,
      'lift reading',
    ),
  ],
  prove: (job) => [
    openStepsOf(job, 'prove'),
    counted(
      (isStepDemanded(job, 'prove', 'breakIn') ? job.prove.starts : []).reduce(
        (sum, s) => sum + Math.max(0, (s.wanted?.value ?? 0) - (s.done?.value ?? 0)),
        0,
      ),
      'break-in start',
    ),
  ],
  log: () => [],
};

function strippedItems({ strip, pack, machine }: Job): readonly string[] {
  return [
    missingIf(strip.steps.length === 0, 'strip list'),
    counted(strip.steps.filter((s) => !s.done).length, 'step'),
    missingIf(strip.parts.length === 0, 'small parts'),
    counted(strip.parts.filter((p) => !p.out).length, 'small part', ' not counted'),
    missingIf(
      hasPack(machine.layout) && pack.plates.length + strip.found.length === 0,
      'plate order',
    ),
  ];
}

const missingIf = (isMissing: boolean, words: string): string => (isMissing ? words : '');

const counted = (n: number, one: string, after = ''): string =>
  missingIf(n > 0, `${countOf(n, one)}${after}`);

const openStepsOf = (job: Job, stage: WorkStage): string =>
  counted(stepsOf(job, stage).filter(isOpen).length, 'step');

/** Whether a part waits for a reading, and not for a limit only. */
const isUnmeasured = (part: PartVerdict): boolean =>
  part.decision === 'open' && !part.reasons.some((r) => r.missing);
