/*
 * The record of the work: steps with their worker, counts, torques, checks and signature. Part of the job record; see
 * `types.ts`.
 */

import type { Entry } from './record/entry';

/** Stages whose work is a list of steps made by the core. */
export const WORK_STAGES = ['build', 'set', 'prove'] as const;
export type WorkStage = (typeof WORK_STAGES)[number];

/** A completed step with its text at that time: a step with changed text must be repeated. */
export interface Mark {
  /** ISO time. */
  readonly at: string;
  readonly by: string;
  readonly said: string;
}

export interface StepRecord {
  readonly done?: Mark;
  /** The actual method where methods differ: the identifier of the alternative. */
  readonly otherwise?: string;
  /** Why the step was left out; printed. */
  readonly skipped?: string;
  /** Observation or reading at the step. */
  readonly note?: string;
}

/** A step of the shop's own. */
export interface OwnStep {
  readonly id: string;
  readonly text: string;
}

/** Records of the steps of one stage; the steps themselves are generated from the present pack. */
export interface Worksheet {
  /** By the key of the line. */
  readonly records: Readonly<Record<string, StepRecord>>;
  readonly own: readonly OwnStep[];
  /** Keys in the shop's own order; empty for the core's. */
  readonly order: readonly string[];
  /** Steps in the shop's own words, by key. */
  readonly words?: Readonly<Record<string, string>>;
}

/** Additions and order of a checklist without its records: the shop's own checklist for a clutch type. */
export type SheetTemplate = Pick<Worksheet, 'own' | 'order' | 'words'>;

export interface Work {
  /** Name of the worker; stored with every mark. */
  readonly by: string;
  readonly build: Worksheet;
  readonly set: Worksheet;
  readonly prove: Worksheet;
}

/** Ways to lock a thread. */
export const LOCKS = ['none', 'threadlocker', 'lockWasher', 'selfLocking'] as const;
export type Lock = (typeof LOCKS)[number];

/** Role of a fastener: it decides at which step it is tightened. */
export const FASTENER_ROLES = ['hubNut', 'springs', 'cover', 'other'] as const;
export type FastenerRole = (typeof FASTENER_ROLES)[number];

export const TIGHTENING_TOOLS = ['wrench', 'impact', 'hand'] as const;
export type TighteningTool = (typeof TIGHTENING_TOOLS)[number];

export interface Fastener {
  readonly id: string;
  /** The kit's own screws are to be used. */
  readonly ownScrews?: boolean;
  readonly role: FastenerRole;
  readonly name: string;
  readonly count?: Entry;
  /** Outside diameter of the thread. */
  readonly size?: Entry;
  readonly torque?: Entry;
  /** Actual torque of the wrench. */
  readonly applied?: Entry;
  /** What it was tightened with; a torque wrench where absent. */
  readonly tool?: TighteningTool;
  /** The old lock washer is fitted again. */
  readonly lockReused?: boolean;
  readonly lock: Lock;
  /** Grade of the threadlocker, as the manual names it. */
  readonly grade: string;
}

export interface BuildRecord {
  readonly fasteners: readonly Fastener[];
  /** Steps in which a bolt circle comes to its torque after finger tight. */
  readonly stages: number;
  /** The old cover gasket is fitted again. */
  readonly gasketReused?: boolean;
  /** ISO time at which the linings went into the oil. */
  readonly soakStart?: string;
  readonly soakPlan?: Entry;
  readonly soakLeast?: Entry;
  readonly headClearance?: Entry;
  readonly headClearanceMin?: Entry;
}

/** Checks before the machine is returned. */
export const PROVE_TESTS = ['lever', 'drag', 'creep', 'stall', 'slip'] as const;
export type ProveTest = (typeof PROVE_TESTS)[number];
export type ProveOutcome = 'pass' | 'fail';

/** Break-in starts in one gear. */
export interface BreakIn {
  readonly id: string;
  /** "Second gear". */
  readonly name: string;
  readonly wanted?: Entry;
  readonly done?: Entry;
}

export interface ProveRecord {
  readonly outcomes: Readonly<Partial<Record<ProveTest, ProveOutcome>>>;
  readonly starts: readonly BreakIn[];
  /** Measured again after break-in, since linings bed in. */
  readonly recheckFreePlay?: Entry;
  readonly recheckLift?: Entry;
  readonly recheckGain?: Entry;
}

const BLANK_SHEET: Worksheet = { records: {}, own: [], order: [] };
/**
 * The worksheets of a new job: no bench, no step done.
 * @example blankWork().by // ""
 */
export const blankWork = (): Work => ({
  by: '',
  build: BLANK_SHEET,
  set: BLANK_SHEET,
  prove: BLANK_SHEET,
});
/**
 * Initial Build record: circles in two stages, no fasteners.
 * @example blankBuild().stages // 2
 */
export const blankBuild = (): BuildRecord => ({ fasteners: [], stages: 2 });
/**
 * Initial Prove record: no check, no start.
 * @example blankProve().starts.length // 0
 */
export const blankProve = (): ProveRecord => ({ outcomes: {}, starts: [] });
