import type { EntrySpec } from '../../units/entrySpec';

/** A field for one value: its label, its range, and its assumed value. */
export interface FieldSpec extends EntrySpec {
  readonly label: string;
  /** As in the formulas of `docs/mechanics.md`. */
  readonly symbol: string;
  /** Used, and marked as an assumed value, while nothing is entered. */
  readonly estimate?: { readonly value: number; readonly why: string };
  /** Meaning of an empty field, where that is a fact: no shim is a shim of 0. */
  readonly absent?: { readonly value: number; readonly why: string };
  /** One line of help, where the label is not enough. */
  readonly hint?: string;
}

/**
 * Only for the type: every field is checked, and all look alike from outside.
 * @example spec({ label: 'Lift', symbol: 'x', quantity: 'length', bounds: { above: 0, max: 20 } }).label // "Lift"
 */
export const spec = (s: FieldSpec): FieldSpec => s;

export const thickness = {
  quantity: 'length',
  bounds: { above: 0, max: 20 },
  plausible: [0.5, 8],
} as const;
export const radius = {
  quantity: 'length',
  bounds: { above: 0, max: 250 },
  plausible: [12, 150],
  radius: true,
} as const;
export const friction = { quantity: 'ratio', bounds: { above: 0, max: 1 } } as const;
