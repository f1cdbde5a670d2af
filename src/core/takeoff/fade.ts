import type { Celsius } from '../units/quantity';

/** Linings lose friction between these temperatures of the steels, down to their low end. Assumed value. */
const FADES_FROM: Celsius = 150;
const FADES_TO: Celsius = 250;

/**
 * How far linings have lost friction with the steels that hot: 0 not at all to 1 down to their low end.
 * @example fadeAt(20) // 0
 */
export const fadeAt = (steel: Celsius): number =>
  Math.min(1, Math.max(0, (steel - FADES_FROM) / (FADES_TO - FADES_FROM)));
