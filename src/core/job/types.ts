/**
 * The job record: everything that a builder typed or measured for one clutch, and nothing computed.
 * Plain data, so that it can be stored, exported, compared and copied. All values are in base units
 * (mm, N, N·m, MPa, kg, s, rpm, degrees); see `units/quantity.ts`.
 */

import type { ComplaintId, TestId } from '../causes/knowledge';
import type { BuildRecord, ProveRecord, SignOff, Work } from './work';

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

/** Which clutch a machine has: a pack; a centrifugal start clutch before a pack or a belt; a belt alone. */
export type ClutchLayout = 'unknown' | 'pack' | 'startAndPack' | 'startAndBelt' | 'belt';

export interface Machine {
  /** The same for every job of one machine. */
  readonly id: string;
  readonly name: string;
  /** What it is used for: "trail single". */
  readonly use: string;
  readonly layout: ClutchLayout;
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

/** What a rider wants done. */
export const AIMS = ['restore', 'hold', 'lighter', 'handsOff', 'feel', 'inertia'] as const;
export type Aim = (typeof AIMS)[number];

/** What is in the sump: oil for wet clutches (JASO MA, MA2), friction-modified car oil, or not known. */
export type OilKind = 'unknown' | 'wetClutch' | 'frictionModified';

/** A start from standing, by which the heat of the clutch is judged. */
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

/** The complaint, the aim, and what was found by asking and trying. */
export interface Intake {
  readonly complaints: readonly ComplaintId[];
  readonly aims: readonly Aim[];
  readonly oil: OilKind;
  /** Machine hours at intake. */
  readonly hours?: Entry;
  /** Outcomes of the tests that tell causes apart. */
  readonly tests: Readonly<Partial<Record<TestId, string>>>;
  /** ISO date by which the rider wants the machine back. */
  readonly due?: string;
}

/** One line of the list by which a clutch is taken apart. */
export interface StripStep {
  readonly id: string;
  readonly text: string;
  /** What to mark or to watch while at it. */
  readonly watch?: string;
  readonly done: boolean;
}

/** A small part that is counted out, and later in. */
export interface SmallPart {
  readonly id: string;
  readonly name: string;
  readonly out?: Entry;
  readonly in?: Entry;
  readonly note: string;
}

/** Which way the marked face of a plate looks. */
export type Facing = 'outward' | 'inward';

/** A plate in the order in which it comes out, the outermost first. */
export interface FoundPlate {
  readonly id: string;
  readonly kindId: string;
  readonly facing?: Facing;
  readonly note: string;
}

/** A photograph of the job; its picture is kept apart, under the same identifier. */
export interface Photo {
  readonly id: string;
  readonly caption: string;
  readonly takenAt: string;
  readonly width: number;
  readonly height: number;
  readonly bytes: number;
}

export interface Strip {
  readonly steps: readonly StripStep[];
  readonly parts: readonly SmallPart[];
  readonly found: readonly FoundPlate[];
  readonly notes: string;
}

/** What is seen on a part that no gauge tells. */
export const SIGHTS = [
  'blued',
  'hotSpots',
  'glazed',
  'burnt',
  'weldedLining',
  'cracked',
  'tangsWorn',
  'splinesWorn',
  'grooved',
  'overTravel',
  'loose',
  'pitted',
] as const;
export type Sight = (typeof SIGHTS)[number];

/** Parts besides plates that are looked at. */
export const FIXTURES = [
  'basket',
  'hub',
  'pressurePlate',
  'springs',
  'bearing',
  'release',
  'cover',
] as const;
export type Fixture = (typeof FIXTURES)[number];

/** What was measured and seen on the parts around the plates, and the limits for all of it. */
export interface Inspection {
  /** Points at which a disc and a steel are measured in a run, 1 to 6. */
  readonly discPoints: number;
  readonly steelPoints: number;
  readonly basketNotch?: Entry;
  readonly hubNotch?: Entry;
  readonly pressurePlateFlatness?: Entry;
  readonly pressurePlateThickness?: Entry;
  readonly seatSquareness?: Entry;
  readonly damperPlay?: Entry;
  readonly steelWarpLimit?: Entry;
  readonly taperLimit?: Entry;
  readonly tangClearanceMin?: Entry;
  readonly tangClearanceMax?: Entry;
  readonly notchLimit?: Entry;
  readonly pressurePlateFlatnessLimit?: Entry;
  readonly pressurePlateMinThickness?: Entry;
  readonly seatSquarenessLimit?: Entry;
  readonly damperPlayLimit?: Entry;
  readonly coneMin?: Entry;
  /** Free lengths of the springs as they are measured. */
  readonly springLengths: readonly SpringReading[];
  readonly seen: Readonly<Partial<Record<Fixture, readonly Sight[]>>>;
}

export interface SpringReading {
  readonly id: string;
  readonly groupId: string;
  readonly length?: Entry;
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
  /** Of one plate, weighed. */
  readonly mass?: Entry;
  readonly frictionLow?: Entry;
  readonly frictionTypical?: Entry;
  readonly frictionHigh?: Entry;
  readonly groovedShare?: Entry;
  readonly pressureLimit?: Entry;
  /** It must point with the rotation. */
  readonly directional?: boolean;
  /** May be ground when out of flat, down to its least thickness. */
  readonly grindable?: boolean;
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
  readonly tangClearance?: Entry;
  readonly facing?: Facing;
  readonly seen?: readonly Sight[];
  /** A judder spring and its seat lie in the bore of this disc; they have no share in the stack. */
  readonly judder?: boolean;
  /** Its tangs go into the basket's offset slots, half a pitch from those of the other discs. */
  readonly offsetSlot?: boolean;
  /** The item of the shop's shelf that it is; it is reserved there. */
  readonly shelfId?: string;
  /** A new part: nothing on it needs measuring. */
  readonly isNew?: boolean;
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
  /** A caliper over the whole pack, and how it was taken. */
  readonly caliper?: Entry;
  readonly caliperTaken: CaliperWay;
  readonly caliperAllowance?: Entry;
}

export const CALIPER_WAYS = ['dryByHand', 'dryClamped', 'oiledByHand', 'oiledClamped'] as const;
export type CaliperWay = (typeof CALIPER_WAYS)[number];

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

/** A reading of lever gain at a setting of the adjuster. */
export interface GainRecord {
  readonly id: string;
  readonly turns?: Entry;
  readonly gain?: Entry;
}

/** The adjuster, the install gap that it sets, and what the lever said of it. */
export interface Setting {
  readonly installGap?: Entry;
  readonly gapMin?: Entry;
  readonly gapMax?: Entry;
  readonly pitch?: Entry;
  readonly marksPerTurn?: Entry;
  readonly linkage?: Entry;
  readonly targetGain?: Entry;
  readonly readings: readonly GainRecord[];
  /** Where the adjuster stands: turns and marks out from the start point. */
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
  /** Lining gone from each shoe, and the rate of its spring: what wear does to first contact. */
  readonly wear?: Entry;
  readonly springRate?: Entry;
  readonly massLost?: Entry;
}

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
  /** Angle of the arm at rest from square to the cable; below 0 while square lies before it. */
  readonly armStart?: Entry;
  /** What eats travel before anything moves, in mm at the lever. */
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
  /** Least clearance at each slipping face. */
  readonly faceClearance?: Entry;
}

/** What makes up one variant of a pack. */
export interface VariantParts {
  readonly pack: Pack;
  readonly springs: Springs;
  readonly assist: Assist;
  readonly startClutch: StartClutchRecord;
  readonly release: Release;
  readonly expanding: ExpandingDiscRecord;
  readonly setting: Setting;
}

export const VARIANT_PARTS = [
  'pack',
  'springs',
  'assist',
  'startClutch',
  'release',
  'expanding',
  'setting',
] as const satisfies readonly (keyof VariantParts)[];

/** Another pack that was thought of for the same job, whole, as it was put aside. */
export interface Variant extends VariantParts {
  readonly id: string;
  readonly name: string;
}

export interface Job extends VariantParts {
  readonly id: string;
  readonly number: string;
  readonly stage: Stage;
  readonly createdAt: string;
  readonly updatedAt: string;
  readonly archived: boolean;
  readonly machine: Machine;
  readonly intake: Intake;
  readonly engine: Engine;
  readonly duty: StartDuty;
  readonly strip: Strip;
  readonly inspection: Inspection;
  /** Other packs for this job, put aside; none is lost when another is taken up. */
  readonly variants: readonly Variant[];
  /** Name of the pack that is being worked on. */
  readonly variantName?: string;
  /** What was done, counted, proved and signed. */
  readonly work: Work;
  readonly build: BuildRecord;
  readonly prove: ProveRecord;
  readonly signOff: SignOff;
  readonly photos: readonly Photo[];
  readonly notes: string;
}
