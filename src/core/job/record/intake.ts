import type { ComplaintId } from '../../causes/complaints';
import type { TestId } from '../../causes/cause';
import type { Entry } from './entry';

/* Stage, machine, engine, complaint and findings of intake. */

export const STAGES = [
  'intake',
  'strip',
  'inspect',
  'specify',
  'build',
  'set',
  'prove',
  'log',
] as const;
export type Stage = (typeof STAGES)[number];

/** Which clutch a machine has: a pack; a centrifugal start clutch before a pack or a belt; a belt alone. */
export type ClutchLayout = 'unknown' | 'pack' | 'startAndPack' | 'startAndBelt' | 'belt';

/** The meter of a machine's running time. */
export const METERS = ['hours', 'distance'] as const;
export type Meter = (typeof METERS)[number];

export interface Machine {
  /** The same for every job of one machine. */
  readonly id: string;
  readonly name: string;
  /** Use: "trail single". */
  readonly use: string;
  readonly layout: ClutchLayout;
  /** Hours where it is absent. */
  readonly meter?: Meter;
  /** The sheet of the shop's library that its limits come from. */
  readonly limitsId?: string;
}

/** One point of an engine's curve, rpm and N·m. */
export interface TorquePoint {
  readonly rpm: number;
  readonly torque: number;
}

/** Torque over engine speed, from a dyno or a file. */
export interface TorqueCurve {
  /** Where it came from: the file's name. */
  readonly name: string;
  /** Two or more, by rising rpm. */
  readonly points: readonly TorquePoint[];
}

export interface Engine {
  readonly peakTorque?: Entry;
  readonly peakTorqueRpm?: Entry;
  readonly idleRpm?: Entry;
  readonly primaryRatio?: Entry;
  readonly primaryEfficiency?: Entry;
  readonly curve?: TorqueCurve;
}

/** Goals of a rider. */
export const AIMS = ['restore', 'hold', 'lighter', 'handsOff', 'feel', 'inertia'] as const;
export type Aim = (typeof AIMS)[number];

/** Oil in the engine: for wet clutches (JASO MA, MA2), friction-modified car oil, or unknown. */
export type OilKind = 'unknown' | 'wetClutch' | 'frictionModified';

/** A start from standstill, the basis of the clutch heat. */
export interface StartDuty {
  readonly mass?: Entry;
  readonly wheelRadius?: Entry;
  readonly gearRatio?: Entry;
  readonly startRpm?: Entry;
  readonly engineInertia?: Entry;
  readonly throttle?: Entry;
  readonly letOut?: Entry;
  readonly grade?: Entry;
}

/** Kinds of job: each demands only some of the stages. */
export const PURPOSES = ['replacePlates', 'installKit', 'findFault', 'buildToSpec'] as const;
export type Purpose = (typeof PURPOSES)[number];

/** Plates that are replaced: all, the discs, or some that are marked one by one. */
export const NEW_PLATES = ['all', 'discs', 'some'] as const;
export type NewPlates = (typeof NEW_PLATES)[number];

/** Kind of job, complaint, goal, and the results of questions and checks. */
export interface Intake {
  /** Absent in jobs of earlier versions, and until it is chosen. */
  readonly purpose?: Purpose;
  /** Which plates are replaced, where that is the job. */
  readonly newPlates?: NewPlates;
  readonly complaints: readonly ComplaintId[];
  readonly aims: readonly Aim[];
  readonly oil: OilKind;
  /** Machine hours at intake. */
  readonly hours?: Entry;
  /** Distance run at intake, km. */
  readonly distance?: Entry;
  /** Results of the checks that separate causes. */
  readonly tests: Readonly<Partial<Record<TestId, string>>>;
  /** ISO date, due to the rider. */
  readonly due?: string;
}
