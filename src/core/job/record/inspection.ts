import type { Entry } from './entry';

/* Readings and damage of the parts around the plates. */

/** Visible damage that no gauge shows. */
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
  'shoes',
  'drum',
  'oneWay',
] as const;
export type Fixture = (typeof FIXTURES)[number];

/** Readings and damage of the parts around the plates, with their limits. */
export interface InspectionRecord {
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
