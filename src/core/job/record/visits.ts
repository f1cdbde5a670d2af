import type { Entry } from './entry';

/* Service visits, added after the signature and not covered by it. */

/** A service visit: the meter reading, and the disc thicknesses. */
export interface Visit {
  readonly id: string;
  /** ISO date. */
  readonly date: string;
  /** Machine hours. */
  readonly hours?: Entry;
  /** Distance run, km. */
  readonly distance?: Entry;
  /** Least thickness of a disc, by the identifier of its plate. */
  readonly readings: Readonly<Record<string, Entry>>;
  readonly freePlay?: Entry;
  readonly lift?: Entry;
  readonly note: string;
}

export const MAX_VISITS = 60;
