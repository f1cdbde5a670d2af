import type { ComplaintId } from './complaints';

export type CauseId =
  | 'wornDiscs'
  | 'weakSprings'
  | 'wrongOil'
  | 'noFreePlay'
  | 'glazedDiscs'
  | 'stackLow'
  | 'warpedSteels'
  | 'shortLift'
  | 'airInLine'
  | 'tooMuchFreePlay'
  | 'notches'
  | 'tiltedPlate'
  | 'stackTall'
  | 'tightHubNut'
  | 'thickOil'
  | 'judderMissing'
  | 'mixedSprings'
  | 'dryRelease'
  | 'overSprung'
  | 'idleHigh'
  | 'gapSmall'
  | 'gapWide'
  | 'shoeSpring'
  | 'fluidHot'
  | 'tangsBind'
  | 'rampsSharp'
  | 'rampsWorn'
  | 'rampsWrong';

/** A weight for or against a cause, in tenths of log-odds, with its reason. */
export interface Weight {
  readonly cause: CauseId;
  readonly tenths: number;
  readonly because: string;
}

export interface Cause {
  readonly name: string;
  /** How common it is among all clutch trouble, in tenths of log-odds. */
  readonly prior: number;
}

export type TestId =
  | 'oilGrade'
  | 'freePlay'
  | 'leverPump'
  | 'dialLift'
  | 'liftRound'
  | 'discThickness'
  | 'springLength'
  | 'steelFlatness'
  | 'basketNotches'
  | 'stackHeight'
  | 'idleSpeed'
  | 'cableFeel'
  | 'hubSpin'
  | 'judderPresent'
  | 'coldHot'
  | 'discLook'
  | 'tangClearance'
  | 'springKinds'
  | 'gainReading'
  | 'shoeContact'
  | 'rampLook'
  | 'rampSnap';

export interface TestOutcome {
  readonly id: string;
  readonly label: string;
  readonly weights: readonly Weight[];
}

export interface DecidingTest {
  readonly name: string;
  /** Duration in minutes; quick checks rank higher. */
  readonly minutes: number;
  /** Complaints that answer it already. */
  readonly saidBy?: readonly ComplaintId[];
  /** Measurements of the job that answer it already, as {@link MeasuredWeight} names them. */
  readonly measuredBy?: readonly string[];
  readonly outcomes: readonly TestOutcome[];
}

/** A cause that only one kind of clutch has, with the weight of each complaint for or against it, tenths of log-odds. */
export interface KindCause extends Cause {
  readonly complaints: Readonly<Partial<Record<ComplaintId, readonly [number, string]>>>;
}

/** A weight with the measurement that it comes from. */
export interface MeasuredWeight extends Weight {
  readonly from: string;
}

/**
 * A weight in one line.
 * @example w('airInLine', 30, 'Air compresses.').tenths // 30
 */
export const w = (cause: CauseId, tenths: number, because: string): Weight => ({
  cause,
  tenths,
  because,
});

/**
 * An outcome of a test that finds nothing wrong.
 * @example good([]).label // "OK"
 */
export const good = (weights: readonly Weight[], label = 'OK'): TestOutcome => ({
  id: 'good',
  label,
  weights,
});
/**
 * An outcome of a test that finds something.
 * @example bad('Too high', []).id // "bad"
 */
export const bad = (label: string, weights: readonly Weight[]): TestOutcome => ({
  id: 'bad',
  label,
  weights,
});
