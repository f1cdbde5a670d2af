import type { Verdict } from '@/core/evaluate/engine/verdict';
import { hasPack } from '../guide/layouts';
import type { Purpose } from './record/intake';
import type { Job } from './types';
import type { WorkStage } from './work';

/** Kinds of job, as chosen at the start. */
export const PURPOSE_NAME: Readonly<Record<Purpose, string>> = {
  replacePlates: 'Replace plates',
  installKit: 'Install a kit',
  findFault: 'Find a fault',
  buildToSpec: 'Build to specification',
};

/** The demands of each kind in one sentence, below the choice. */
export const PURPOSE_NOTE: Readonly<Record<Purpose, string>> = {
  replacePlates:
    'Required: plate order, assembly, free play or pedal, and the stand test. The rest is optional.',
  installKit: 'Required: parts counted, stack height, release, every checklist and the break-in.',
  findFault: 'Required: the complaint. Findings can be signed as they are until assembly begins.',
  buildToSpec: 'Required: every stage, with every verdict judged.',
};

/** What a kind of job must have before its signature; everything else can be entered, and never blocks. */
export interface Demands {
  /** Verdicts that must be known. */
  readonly verdicts: readonly Verdict['id'][];
  /** Whether a stop verdict blocks: for a fault it is the finding. */
  readonly stops: boolean;
  /** Whether small parts must be counted; a count that was begun must always be complete. */
  readonly parts: boolean;
  /** Whether every plate must be measured or new. */
  readonly plates: boolean;
  /** Entries of Intake beyond machine and clutch type. */
  readonly intake: readonly ('complaint' | 'oil' | 'torque')[];
  /** Steps of each checklist: all, none, or those with these keys. */
  readonly steps: Readonly<Record<WorkStage, 'all' | 'none' | readonly string[]>>;
}

const EVERYTHING: Demands = {
  verdicts: ['order', 'holds', 'releases', 'stack'],
  stops: true,
  parts: true,
  plates: true,
  intake: ['complaint', 'oil', 'torque'],
  steps: { build: 'all', set: 'all', prove: 'all' },
};

const DEMANDS: Readonly<Record<Purpose, Demands>> = {
  replacePlates: {
    ...EVERYTHING,
    verdicts: ['order'],
    parts: false,
    intake: [],
    steps: {
      build: 'all',
      set: ['freePlay', 'packAdjuster', 'pedal'],
      prove: ['leverWork', 'oRings', 'oil', 'dragTest', 'slip'],
    },
  },
  installKit: { ...EVERYTHING, verdicts: ['order', 'releases', 'stack'], intake: [] },
  findFault: {
    verdicts: [],
    stops: false,
    parts: false,
    plates: false,
    intake: ['complaint'],
    steps: { build: 'none', set: 'none', prove: 'none' },
  },
  buildToSpec: EVERYTHING,
};

/**
 * What a job must have before its signature. A job without a kind, as earlier versions made it, must have everything.
 * Never throws.
 * Source: workshop practice; `docs/mechanics.md`, sign-off.
 * @example demandsOf(job).parts // true
 */
export function demandsOf(job: Pick<Job, 'intake' | 'work' | 'machine'>): Demands {
  const demands = ofKind(job);
  // Without plates the start clutch alone is judged.
  return hasPack(job.machine.layout)
    ? demands
    : { ...demands, plates: false, verdicts: demands.verdicts.includes('holds') ? ['start'] : [] };
}

function ofKind({ intake, work }: Pick<Job, 'intake' | 'work'>): Demands {
  if (intake.purpose === undefined) return EVERYTHING;
  const demands = DEMANDS[intake.purpose];
  // A finding may be signed as it is; a clutch that was assembled must not be signed over a stop without a reason.
  return isAssemblyBegun({ work }) ? { ...demands, stops: true } : demands;
}

/**
 * Whether the assembly was begun: until then new plates are only to be fitted.
 * @example isAssemblyBegun(job) // true
 */
export const isAssemblyBegun = ({ work }: Pick<Job, 'work'>): boolean =>
  Object.values(work.build.records).some((record) => record.done !== undefined);

/** Steps of the shop itself, and every step that tightens a fastener. */
const ALWAYS = /^(own|unlisted|fastener|finger|stage|leaflet):/;

/**
 * Whether a step of a checklist must be done or skipped with a reason. Tightening a cover is always part of the work.
 * @example isStepDemanded(job, 'set', 'freePlay') // true
 */
export function isStepDemanded(
  job: Pick<Job, 'intake' | 'work' | 'machine'>,
  stage: WorkStage,
  key: string,
): boolean {
  const steps = demandsOf(job).steps[stage];
  if (steps === 'all') return true;
  if (steps === 'none') return false;
  return steps.includes(key) || ALWAYS.test(key);
}
