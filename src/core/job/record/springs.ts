import type { Entry } from './entry';

/* Springs of every family. */

export type RateSource = 'rate' | 'wire' | 'tester';

export interface TesterPoint {
  readonly id: string;
  readonly length?: Entry;
  readonly force?: Entry;
}

/** Coil springs of one kind within a set. */
export interface CoilGroup {
  readonly id: string;
  readonly name: string;
  readonly count?: Entry;
  readonly rateFrom: RateSource;
  readonly rate?: Entry;
  readonly freeLength?: Entry;
  readonly solidLength?: Entry;
  readonly wireDiameter?: Entry;
  readonly meanDiameter?: Entry;
  readonly activeCoils?: Entry;
  readonly totalCoils?: Entry;
  readonly shearModulus?: Entry;
  readonly testerPoints: readonly TesterPoint[];
  /** The item of the shop's shelf that these are. */
  readonly shelfId?: string;
  readonly minFreeLength?: Entry;
}

export interface CoilSprings {
  readonly groups: readonly CoilGroup[];
  /** Length in place as measured, without shims, at a stack; takes the place of the distances. */
  readonly fittedLength?: Entry;
  readonly fittedStack?: Entry;
  /** Hub floor to the spring's fixed seat. */
  readonly seatDistance?: Entry;
  /** Part of the pressure plate between pack and spring cup. */
  readonly pressurePlate?: Entry;
  /** Under each spring. */
  readonly shim?: Entry;
  /** Radius of the spring ring. */
  readonly ringRadius?: Entry;
  /** Kinds in their order round the ring; empty while it is not recorded. */
  readonly ring: readonly string[];
}

/** Which way the height printed on a retainer step acts: it presses the spring further, or less far. */
export const HEIGHT_ACTS = ['further', 'less'] as const;
export type HeightActs = (typeof HEIGHT_ACTS)[number];

/** A numbered step of a retainer: how much further it presses the spring, and the stacks that select it. */
export interface RetainerStep {
  readonly id: string;
  readonly name: string;
  /** How much further than the first step it presses; follows from the heights where those are entered. */
  readonly offset?: Entry;
  /** As printed on the ring or its leaflet. */
  readonly height?: Entry;
  readonly bandMin?: Entry;
  readonly bandMax?: Entry;
}

/** The measure of the stack that selects a step. */
export const STEP_MEASURES = ['sum', 'caliper'] as const;
export type StepMeasure = (typeof STEP_MEASURES)[number];

export interface DeflectionPoint {
  readonly id: string;
  readonly deflection?: Entry;
  readonly force?: Entry;
}

export interface DiaphragmSpring {
  readonly forceFrom: 'geometry' | 'tester';
  readonly outerDiameter?: Entry;
  readonly innerDiameter?: Entry;
  readonly thickness?: Entry;
  /** New free cone height, and the measured one, which takes its place. */
  readonly coneHeight?: Entry;
  readonly measuredCone?: Entry;
  /** Deflection of the new spring at a reference stack, on the step of offset 0. */
  readonly referenceDeflection?: Entry;
  readonly referenceStack?: Entry;
  /** Finger tip travel ÷ travel of the load edge. */
  readonly fingerRatio?: Entry;
  readonly steps: readonly RetainerStep[];
  /** Absent while no step has a height. */
  readonly heightActs?: HeightActs;
  /** The measure by which the leaflet selects the step; the sum of the plates where it is absent. */
  readonly stepBy?: StepMeasure;
  /** The step in use. */
  readonly stepId?: string;
  readonly points: readonly DeflectionPoint[];
}

/** Loose springs between two plates tightened to a stop by nuts; their types are those of `coil`. */
export interface LooseSprings {
  /** The gap as measured, at a stack; takes the place of the span. */
  readonly gapFitted?: Entry;
  readonly gapStack?: Entry;
  readonly span?: Entry;
  readonly pocketInner?: Entry;
  readonly pocketOuter?: Entry;
  readonly gapMin?: Entry;
  readonly gapMax?: Entry;
  /** The gap as it was read at three places round the plates, all nuts home. */
  readonly gapRead1?: Entry;
  readonly gapRead2?: Entry;
  readonly gapRead3?: Entry;
}

/** `coil`: under bolts; `diaphragm`; `loose`: between two plates. Data of unused types are kept. */
export type SpringType = 'coil' | 'diaphragm' | 'loose';

export interface Springs {
  readonly type: SpringType;
  /** A new job: the springs are not chosen yet. */
  readonly undecided?: true;
  readonly coil: CoilSprings;
  readonly diaphragm: DiaphragmSpring;
  readonly loose: LooseSprings;
}
