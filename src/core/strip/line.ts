/** Where in the order of taking apart a kind of clutch has lines of its own. */
export type StripPlace = 'underCover' | 'springs' | 'plates';

/** A line of a strip list before it belongs to a job. */
export interface StripLine {
  readonly text: string;
  readonly watch?: string;
}

export interface PartLine {
  readonly name: string;
  readonly note: string;
}

/**
 * A line of a strip list.
 * @example line('Cover off').text // "Cover off"
 */
export const line = (text: string, watch?: string): StripLine =>
  watch ? { text, watch } : { text };

/**
 * A small part to count out and in.
 * @example part('Dowels').note // ""
 */
export const part = (name: string, note = ''): PartLine => ({ name, note });

/** The small part that says how many springs there are. */
export const SPRINGS = 'Springs';
