import type { Entry } from './entry';

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

export interface Strip {
  readonly steps: readonly StripStep[];
  readonly parts: readonly SmallPart[];
  readonly found: readonly FoundPlate[];
  readonly notes: string;
}
