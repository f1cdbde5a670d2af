import type { CauseId } from '../../causes/cause';
import type { Plate } from './pack';

/* What was found on a part in free words, and sets of readings that were taken again. */

/** Readings that are taken in sets, before and after work on the machine. */
export const READING_KINDS = ['dial', 'caliper', 'freePlay', 'gain', 'stack', 'thumb'] as const;
export type ReadingKind = (typeof READING_KINDS)[number];

/** One reading of a set, as it was: a length in mm, or words. */
export interface SetLine {
  readonly name: string;
  readonly value?: number;
  readonly text?: string;
}

/** A set of readings that was followed by another; the latest set is in the fields themselves. */
export interface ReadingSet {
  readonly id: string;
  readonly kind: ReadingKind;
  /** ISO day on which it was closed. */
  readonly date: string;
  /** State of the machine: cold, springs out. */
  readonly machine: string;
  /** What was done after it: "seat machined". */
  readonly then: string;
  readonly lines: readonly SetLine[];
}

/** Parts on which something is found. */
export const FINDING_PARTS = [
  'plate',
  'basket',
  'hub',
  'pressurePlate',
  'springs',
  'bearing',
  'worm',
  'seal',
  'damper',
  'shaft',
  'cover',
  'lever',
  'other',
] as const;
export type FindingPart = (typeof FINDING_PARTS)[number];

export const FINDING_DECISIONS = ['keep', 'watch', 'replace', 'ordered', 'done'] as const;
export type FindingDecision = (typeof FINDING_DECISIONS)[number];

export interface Finding {
  readonly id: string;
  readonly part: FindingPart;
  readonly text: string;
  readonly decision: FindingDecision;
  /** Cost, or what the customer agreed to. */
  readonly agreed: string;
  readonly photoIds: readonly string[];
  /** The cause for or against which the builder takes it. */
  readonly cause?: CauseId;
  readonly against?: boolean;
}

/** A plate that came out, with its readings; its place has a new one. */
export interface ReplacedPlate {
  readonly id: string;
  /** As it was called: "Steel, plate 4". */
  readonly name: string;
  /** The reason in one sentence. */
  readonly why: string;
  readonly plate: Plate;
}
