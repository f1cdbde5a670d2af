import type { Entry } from './entry';
import type { SpringType } from './springs';

/* Removed parts, counts, and the plate order as found. */

/** One line of the list by which a clutch is taken apart. */
export interface StripStep {
  readonly id: string;
  /** Of a line of the standard lists; the builder's own have none. */
  readonly key?: string;
  readonly text: string;
  /** Marks and precautions for the step. */
  readonly watch?: string;
  readonly done: boolean;
}

/** A small part that is counted out, and later in. */
export interface SmallPart {
  readonly id: string;
  readonly key?: string;
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

/** The clutch that is on the machine as it comes, kept apart from the one that is designed. */
export interface AsCame {
  /** Absent while only the clutch type is known. */
  readonly springs?: SpringType;
  /** The choice of each kind of attachment, by its identifier. */
  readonly attached: Readonly<Record<string, string>>;
}

export interface Strip {
  /** Absent while both are the same clutch. */
  readonly came?: AsCame;
  /** The hub is not taken off: its nut, lock washer and thrust washer are not touched. */
  readonly hubStays?: boolean;
  readonly steps: readonly StripStep[];
  readonly parts: readonly SmallPart[];
  readonly found: readonly FoundPlate[];
  readonly notes: string;
}
