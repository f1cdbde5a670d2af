/**
 * The job record: everything that a builder typed or measured for one clutch, and nothing computed.
 * Plain data, so that it can be stored, exported, compared and copied. All values are in base units
 * (mm, N, N·m, MPa, kg, s, rpm, degrees); see `units/quantity.ts`.
 */

/** Where a value comes from; shown in every working. */
export type SourceKind = 'entered' | 'measured' | 'manual' | 'tested' | 'estimate';

export interface Source {
  readonly kind: SourceKind;
  /** ISO date, `2026-11-24`. */
  readonly date?: string;
  /** Page of the manual, name of the gauge, who said so. */
  readonly note?: string;
}

/** One value that was typed, in the base unit of its field. */
export interface Entry {
  readonly value: number;
  /** As it was written, when that says more than the value: `5/32 in`. */
  readonly typed?: string;
  readonly source?: Source;
}

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

export interface Machine {
  readonly name: string;
  /** What it is used for: "trail single". */
  readonly use: string;
}

export interface Engine {
  readonly peakTorque?: Entry;
  readonly peakTorqueRpm?: Entry;
  readonly idleRpm?: Entry;
  readonly primaryRatio?: Entry;
  readonly primaryEfficiency?: Entry;
}

/** The basket turns with the engine, the hub with the gearbox input shaft. */
export type Member = 'basket' | 'hub';

/** Which faces carry lining; `inner` looks to the hub floor, `outer` to the pressure plate. */
export type LinedFaces = 'both' | 'inner' | 'outer' | 'none';

export type LiningId = 'paper' | 'cork' | 'aramid' | 'sintered';
export type PlateMaterial = 'steel' | 'aluminium';

/** A sort of plate; the pack is a sequence of plates, each of one kind. */
export interface PlateKind {
  readonly id: string;
  readonly name: string;
  readonly turnsWith: Member;
  readonly lined: LinedFaces;
  readonly lining: LiningId;
  readonly material: PlateMaterial;
  /** New or nominal thickness. */
  readonly thickness?: Entry;
  readonly minThickness?: Entry;
  /** Half width of the band in which new plates of this kind come. */
  readonly tolerance?: Entry;
  /** Outer and inner radius of the lining, or of the rubbing face of a steel. */
  readonly outerRadius?: Entry;
  readonly innerRadius?: Entry;
  /** Radius at which the tangs bear on the basket's fingers or the hub's splines. */
  readonly tangRadius?: Entry;
  readonly frictionLow?: Entry;
  readonly frictionTypical?: Entry;
  readonly frictionHigh?: Entry;
  readonly groovedShare?: Entry;
  readonly pressureLimit?: Entry;
}

/** Places at which one plate is measured, in the order of the run. */
export const POINTS = ['1', '2', '3', '4', '5', '6'] as const;
export type Point = (typeof POINTS)[number];

/** One plate of the pack, with what was measured on it. */
export interface Plate {
  readonly id: string;
  readonly kindId: string;
  /** Thickness at each point that was measured; a point may be left out or taken again. */
  readonly readings?: Readonly<Partial<Record<Point, Entry>>>;
  readonly outOfFlat?: Entry;
}

export type RadiusModel = 'uniformWear' | 'uniformPressure';

/** The readings of a plate in the order of their points. */
export function readingsOf({ readings }: Plate): readonly Entry[] {
  if (!readings) return NO_READINGS;
  const found: Entry[] = [];
  for (const point of POINTS) {
    const reading = readings[point];
    if (reading) found.push(reading);
  }
  return found;
}

const NO_READINGS: readonly Entry[] = [];

export interface Pack {
  readonly kinds: readonly PlateKind[];
  /** From the hub floor outward. */
  readonly plates: readonly Plate[];
  readonly floorTurnsWith: Member;
  readonly pressurePlateTurnsWith: Member;
  readonly radiusModel: RadiusModel;
  readonly windowMin?: Entry;
  readonly windowMax?: Entry;
  /** Friction of tangs in fingers and splines. */
  readonly tangFriction?: Entry;
  /** Limit for the wear of all plates together, if the maker gives one. */
  readonly maxWear?: Entry;
  /** Length of the hub's spline from the hub floor. */
  readonly splineLength?: Entry;
}

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
}

export interface CoilSprings {
  readonly groups: readonly CoilGroup[];
  /** Hub floor to the spring's fixed seat. */
  readonly seatDistance?: Entry;
  /** Part of the pressure plate between pack and spring cup. */
  readonly pressurePlate?: Entry;
  /** Under each spring. */
  readonly shim?: Entry;
  /** Radius of the ring on which the springs stand. */
  readonly ringRadius?: Entry;
  /** Kinds in their order round the ring; empty while it is not recorded. */
  readonly ring: readonly string[];
}

/** A numbered step of a retainer: how much further it presses the spring, and the stacks that select it. */
export interface RetainerStep {
  readonly id: string;
  readonly name: string;
  readonly offset?: Entry;
  readonly bandMin?: Entry;
  readonly bandMax?: Entry;
}

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
  /** The step in use. */
  readonly stepId?: string;
  readonly points: readonly DeflectionPoint[];
}

/** Loose springs stand between two plates that nuts draw together to a stop; their kinds are those of `coil`. */
export interface LooseSprings {
  readonly span?: Entry;
  readonly pocketInner?: Entry;
  readonly pocketOuter?: Entry;
  readonly gapMin?: Entry;
  readonly gapMax?: Entry;
}

/** `coil`: under bolts; `diaphragm`; `loose`: between two plates. What belongs to the ways not in use is kept. */
export type SpringType = 'coil' | 'diaphragm' | 'loose';

export interface Springs {
  readonly type: SpringType;
  readonly coil: CoilSprings;
  readonly diaphragm: DiaphragmSpring;
  readonly loose: LooseSprings;
}

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
}

export type ReleaseType = 'measured' | 'hydraulic' | 'cable';

/** The release train, from lever to pressure plate. Values of the ways not in use are kept. */
export interface Release {
  readonly type: ReleaseType;
  /** Dial reading at the pressure plate. */
  readonly measuredLift?: Entry;
  readonly leverTravel?: Entry;
  readonly leverRatio?: Entry;
  readonly efficiency?: Entry;
  /** Hydraulic: piston travel lost to free play and to taking up the line. */
  readonly lostTravel?: Entry;
  readonly masterDiameter?: Entry;
  readonly slaveDiameter?: Entry;
  /** Cable: slack at the cable, after the lever ratio. */
  readonly cableSlack?: Entry;
  readonly armLength?: Entry;
  /** Axial travel per turn of the worm, screw or ramp. */
  readonly lead?: Entry;
  /** A maker's own figure for lift. */
  readonly requiredLift?: Entry;
  /** Least clearance at each slipping face. */
  readonly faceClearance?: Entry;
}

export interface Job {
  readonly id: string;
  readonly number: string;
  readonly stage: Stage;
  readonly createdAt: string;
  readonly updatedAt: string;
  readonly machine: Machine;
  readonly engine: Engine;
  readonly pack: Pack;
  readonly springs: Springs;
  readonly assist: Assist;
  readonly startClutch: StartClutchRecord;
  readonly release: Release;
  readonly notes: string;
}
