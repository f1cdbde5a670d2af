import type { Job } from '../job/types';

/** Where in the order of taking apart a kind of clutch has lines of its own. */
export type StripPlace = 'underCover' | 'springs' | 'plates';

/** A line of a strip list before it belongs to a job. */
export interface StripLine {
  /** The same line in the list of another clutch. */
  readonly key: string;
  readonly text: string;
  readonly watch?: string;
}

export interface PartLine {
  readonly key: string;
  readonly name: string;
  readonly note: string;
}

/**
 * A line of a strip list.
 * @example line('cover', 'Cover off').text // "Cover off"
 */
export const line = (key: string, text: string, watch?: string): StripLine =>
  watch ? { key, text, watch } : { key, text };

/**
 * A small part to count out and in.
 * @example part('dowels', 'Dowels').note // ""
 */
export const part = (key: string, name: string, note = ''): PartLine => ({ key, name, note });

/** The small part with the number of springs. */
export const SPRINGS = 'springs';

/** More of one fastener than any clutch has: a slip of the finger. */
const MOST_FASTENERS = 60;

/**
 * The quantity of a fastener by the small parts that were counted out.
 * @param key the small part of which there is one for each fastener
 * @example countedOut(job, 'coverBolts') // { count: { value: 2 } }
 */
export function countedOut(job: Job, key: string): { readonly count?: { readonly value: number } } {
  const out = job.strip.parts.find((p) => p.key === key)?.out?.value ?? 0;
  return out > 0 && out <= MOST_FASTENERS ? { count: { value: out } } : {};
}
