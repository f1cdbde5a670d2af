import type { Entry } from './entry';

/* Centrifugal weights, release train and settings. */

export type AssistType = 'none' | 'levers' | 'balls';

/** Weights that add clamp with rpm. */
export interface Assist {
  readonly type: AssistType;
  readonly count?: Entry;
  readonly mass?: Entry;
  readonly radius?: Entry;
  readonly leverRatio?: Entry;
  readonly rampAngle?: Entry;
}

/** An expanding disc in place of the outermost friction disc: an auto-clutch. */
export interface ExpandingDiscRecord {
  readonly fitted: boolean;
  readonly count?: Entry;
  readonly mass?: Entry;
  readonly radius?: Entry;
  /** Axial force ÷ centrifugal force. */
  readonly advantage?: Entry;
  readonly returnForce?: Entry;
  readonly returnRate?: Entry;
  /** Full growth in thickness. */
  readonly growth?: Entry;
}

export const ENGINE_HEATS = ['warm', 'cold'] as const;
export type EngineHeat = (typeof ENGINE_HEATS)[number];

/** A reading of lever gain at a setting of the adjuster. */
export interface GainRecord {
  readonly id: string;
  /** Engine temperature at the reading; readings of one kind only are compared. Absent in old records, which were warm. */
  readonly engine?: EngineHeat;
  readonly turns?: Entry;
  readonly gain?: Entry;
}

/** The adjuster, its install gap, and the lever readings. */
export interface Setting {
  readonly installGap?: Entry;
  readonly gapMin?: Entry;
  readonly gapMax?: Entry;
  readonly pitch?: Entry;
  readonly marksPerTurn?: Entry;
  readonly linkage?: Entry;
  readonly targetGain?: Entry;
  readonly readings: readonly GainRecord[];
  /** Turns out from the start point, marks included, as the leaflet gives them. */
  readonly turnsGiven?: Entry;
  /** Adjuster position: turns and marks out from the start point. */
  readonly turnsOut?: Entry;
  readonly marksOut?: Entry;
  /** The gap by caliper, and by the gauges that went in and did not. */
  readonly gapMeasured?: Entry;
  readonly goSize?: Entry;
  readonly noGoSize?: Entry;
  readonly freePlayMin?: Entry;
  readonly freePlayMax?: Entry;
  readonly pushrodClearance?: Entry;
  readonly pushrodPitch?: Entry;
  /** A primary of its own, with a chain and an end float to set. */
  readonly separatePrimary?: boolean;
  readonly endFloatWanted?: Entry;
  readonly endFloatPitch?: Entry;
  readonly endFloat?: Entry;
  readonly chainSlackMin?: Entry;
  readonly chainSlackMax?: Entry;
  readonly chainSlack?: Entry;
  /** Springs out, plate lifted by thumb: does it still tilt? */
  readonly thumbTest?: ThumbTest;
}

export const THUMB_TESTS = ['tilts', 'true'] as const;
export type ThumbTest = (typeof THUMB_TESTS)[number];

/** Where the start clutch sits, which is the speed that its shoes turn at. */
export type StartClutchPlace = 'none' | 'crank' | 'input';

export interface StartClutchRecord {
  readonly place: StartClutchPlace;
  readonly shoes?: Entry;
  readonly mass?: Entry;
  readonly radius?: Entry;
  readonly springPull?: Entry;
  readonly drumRadius?: Entry;
  readonly friction?: Entry;
  /** Lining wear of each shoe, and the rate of its spring: the effect of wear on first contact. */
  readonly wear?: Entry;
  readonly springRate?: Entry;
  readonly massLost?: Entry;
  /** As measured, with the manual's limits: the thinnest lining, and the drum as a radius. */
  readonly shoeLining?: Entry;
  readonly shoeLiningMin?: Entry;
  readonly drumBore?: Entry;
  readonly drumBoreMax?: Entry;
  /** Turned by hand: does it lock one way and run free the other? */
  readonly oneWay?: OneWay;
}

export const ONE_WAYS = ['locksOneWay', 'slips', 'rough'] as const;
export type OneWay = (typeof ONE_WAYS)[number];

export type ReleaseType = 'measured' | 'hydraulic' | 'cable';

/** A dial reading at an angle round the pressure plate. */
export interface LiftRecord {
  readonly id: string;
  readonly angle?: Entry;
  readonly lift?: Entry;
}

/** The release train, from lever to pressure plate. Values of the ways not in use are kept. */
export interface Release {
  readonly type: ReleaseType;
  /** A new job: the release is not chosen yet. */
  readonly undecided?: true;
  /** Dial reading at the pressure plate. */
  readonly measuredLift?: Entry;
  readonly leverTravel?: Entry;
  /** Maximum lever pull for the rider's hand. */
  readonly pullMax?: Entry;
  readonly leverRatio?: Entry;
  readonly efficiency?: Entry;
  /** Hydraulic: piston travel lost to free play and line expansion. */
  readonly lostTravel?: Entry;
  readonly masterDiameter?: Entry;
  readonly slaveDiameter?: Entry;
  /** Cable: slack at the cable, after the lever ratio. */
  readonly cableSlack?: Entry;
  readonly armLength?: Entry;
  /** Axial travel per turn of the worm, screw or ramp. */
  readonly lead?: Entry;
  /** Arm angle at rest from square to the cable; below 0 before square. */
  readonly armStart?: Entry;
  /** Lever travel lost before anything moves, mm at the lever. */
  readonly freePlay?: Entry;
  readonly stretch?: Entry;
  readonly pivotWear?: Entry;
  readonly air?: Entry;
  /** Ratio of a reduced-effort part: lifts and pulls less by this factor. */
  readonly reducedEffort?: Entry;
  /** Dial readings round the plate. */
  readonly liftReadings: readonly LiftRecord[];
  /** A maker's own figure for lift. */
  readonly requiredLift?: Entry;
  /** Minimum clearance per friction face. */
  readonly faceClearance?: Entry;
}
