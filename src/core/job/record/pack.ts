import type { Entry } from './entry';
import type { Sight } from './inspection';
import type { Facing } from './strip';

/* Kinds of plate, and the pack as a sequence of plates. */

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

/** One plate of the pack, with its readings. */
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

export const ROTATIONS = ['clockwise', 'counterclockwise'] as const;
export type Rotation = (typeof ROTATIONS)[number];

export type RadiusModel = 'uniformWear' | 'uniformPressure';

/**
 * The readings of a plate in the order of their points.
 * @example readingsOf({ id: 'p1', kindId: 'disc', readings: { 1: { value: 2.9 } } }).length // 1
 */
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
  /** Direction in which the basket turns, seen from the cover. */
  readonly rotation?: Rotation;
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
  /** Length of the basket's fingers from the plane of the hub floor. */
  readonly fingerLength?: Entry;
  /** A caliper over the whole pack, and how it was taken. */
  readonly caliper?: Entry;
  readonly caliperTaken: CaliperWay;
  readonly caliperAllowance?: Entry;
}

export const CALIPER_WAYS = ['dryByHand', 'dryClamped', 'oiledByHand', 'oiledClamped'] as const;
export type CaliperWay = (typeof CALIPER_WAYS)[number];
