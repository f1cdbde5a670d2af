/* One value that was typed, and where it comes from. */

/** Where a value comes from; shown in every working. */
export type SourceKind = 'entered' | 'measured' | 'manual' | 'tested' | 'estimate';

export interface Source {
  readonly kind: SourceKind;
  /** ISO date, `2026-11-24`. */
  readonly date?: string;
  /** Page of the manual, name of the gauge, or person. */
  readonly note?: string;
}

/** One value that was typed, in the base unit of its field. */
export interface Entry {
  readonly value: number;
  /** The text as entered, when it has more information than the value: `5/32 in`. */
  readonly typed?: string;
  /** A range from a manual; the value is its middle. */
  readonly range?: { readonly low: number; readonly high: number };
  readonly source?: Source;
}
