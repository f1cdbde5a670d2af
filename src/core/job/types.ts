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
}

export interface Springs {
  readonly coil: CoilSprings;
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
  readonly release: Release;
  readonly notes: string;
}
