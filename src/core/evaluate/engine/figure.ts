import type { FieldPath, ListPath } from '@/core/job/fieldPath';
import type { Source } from '@/core/job/types';
import type { Quantity } from '@/core/units/quantity';
import type { Sentence } from '@/core/text/sentence';

/** State of a figure or a verdict. Never shown by colour alone: see `src/ui/StateMark.tsx`. */
export type State = 'good' | 'watch' | 'stop';

/** One value that went into a figure. */
export interface WorkingInput {
  readonly symbol: string;
  readonly label: string;
  readonly value: number;
  readonly quantity: Quantity;
  readonly source: Source;
  /** Not entered and not required: the value means none, and the note of the source says which. */
  readonly absent?: true | undefined;
  /** The field it was typed in, for a way back to it. */
  readonly path?: FieldPath;
  /** The figure it was worked out as. */
  readonly figure?: FigureId;
}

/** How a figure came about: enough to work it out again on paper. */
export interface Working {
  readonly formula: string;
  readonly inputs: readonly WorkingInput[];
  /** Notes on the calculation, with amounts in the builder's units. */
  readonly notes: readonly Sentence[];
  /** Section of `docs/mechanics.md`. */
  readonly section: number;
}

export type FigureId =
  | 'stack'
  | 'stackMargin'
  | 'faces'
  | 'springRate'
  | 'installedLength'
  | 'clamp'
  | 'torqueAtClutch'
  | 'capacity'
  | 'capacityWithTangs'
  | 'reserve'
  | 'reserveWithTangs'
  | 'clampAtInnerFace'
  | 'liningPressure'
  | 'liftHad'
  | 'liftNeeded'
  | 'clearancePerFace'
  | 'overallRatio'
  | 'releaseForce'
  | 'leverPull'
  | 'leverPullFull'
  | 'pullLift'
  | 'coilClearance'
  | 'springStress'
  | 'plateGap'
  | 'deflection'
  | 'springOffset'
  | 'assistClamp'
  | 'clampAtPeak'
  | 'startContact'
  | 'startHolding'
  | 'retention'
  | 'basketRetention'
  | 'packWear'
  | 'warpSum'
  | 'thinnestLeft'
  | 'caliperDifference'
  | 'leastCurveReserve'
  | 'leastCurveSpeed'
  | 'liftLost'
  | 'liftMeasured'
  | 'liftUnexplained'
  | 'liftBare'
  | 'leverPullBack'
  | 'viscosityCold'
  | 'dragCold'
  | 'dragFreeFrom'
  | 'dragAtWheel'
  | 'roadResistance'
  | 'ratioMeasured'
  | 'armBestStart'
  | 'armLost'
  | 'liftTilt'
  | 'liftAcross'
  | 'liftResidual'
  | 'liftLeast'
  | 'expandContact'
  | 'expandLockUp'
  | 'leverGain'
  | 'gapPerMark'
  | 'startContactWorn'
  | 'packMass'
  | 'packInertia'
  | 'startHeat'
  | 'steelRise'
  | 'gapSet'
  | 'gapGauged'
  | 'gapByLever'
  | 'liftRepeat'
  | 'ownRatio'
  /** A kind of clutch may bring figures of its own: `ramps:gain`. */
  | `${string}:${string}`;

/** A value of the core with its unit, its range where there is one, and its working. */
export interface Figure {
  readonly status: 'known';
  readonly id: FigureId;
  readonly label: string;
  readonly quantity: Quantity;
  /** In the base unit of the quantity. */
  readonly value: number;
  /** Possible range, such as from low to high friction; a note of the working gives the reason. */
  readonly range?: { readonly low: number; readonly high: number } | undefined;
  readonly decimals?: number | undefined;
  /** A assumed value went into it, at any depth. */
  readonly estimated: boolean;
  readonly working: Working;
}

/** Something that must be entered first. */
export interface Need {
  readonly path?: FieldPath | ListPath;
  /** "Lever ratio". */
  readonly label: string;
}

/** A figure that can't be known yet, or not from these values. */
export interface Unknown {
  readonly status: 'unknown';
  readonly id: FigureId;
  readonly label: string;
  /** Missing inputs; empty when values are complete but contradict each other. */
  readonly needs: readonly Need[];
  /** Reason when all inputs are there and the figure is still unknown. */
  readonly cause?: string;
  /** In a sentence: "Lever ratio is needed for lever pull." */
  readonly reason: string;
}

export type Outcome = Figure | Unknown;
