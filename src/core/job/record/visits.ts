import type { Entry } from './entry';

/* What is added after the signature: the machine's returns. A signature does not cover them. */

/** A return of the machine: how far it has run, and what the discs have come to. */
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
