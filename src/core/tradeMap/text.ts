import type { Amount, Sentence } from '../text/sentence';
import { force, length, say, times } from '../text/sentence';
import type { Measure, Measured } from './measures';
import { isLessBetter } from './measures';

/* The map in words. */

export const MEASURE_NAME: Readonly<Record<Measure, string>> = {
  pull: 'Maximum lever pull',
  reserve: 'Torque reserve, worst case',
  clearance: 'Clearance per face',
  life: 'Wear to the first limit',
  margin: 'Stack margin',
  newParts: 'New parts, or their cost',
};

/** The same where there is little room. */
export const MEASURE_SHORT: Readonly<Record<Measure, string>> = {
  pull: 'Pull',
  reserve: 'Reserve',
  clearance: 'Clearance',
  life: 'Life',
  margin: 'Margin',
  newParts: 'New parts',
};

/** A number of parts, or a cost. */
const count = (value: number): Amount =>
  Number.isInteger(value)
    ? { value, quantity: 'count' }
    : { value, quantity: 'count', decimals: 2 };

/**
 * An amount of a measure.
 * @example amountOf('pull', 60).quantity // "force"
 */
export function amountOf(measure: Measure, value: number): Amount {
  switch (measure) {
    case 'pull':
      return force(value);
    case 'reserve':
      return times(value);
    case 'newParts':
      return count(value);
    case 'clearance':
    case 'life':
    case 'margin':
      return length(value);
  }
}

/**
 * What happens between two neighbours of a front, in one sentence: what is gained in the first measure, and its price in the
 * second.
 * @example stepText(a, b, 'pull', 'reserve').length > 2 // true
 */
export function stepText(from: Measured, to: Measured, first: Measure, second: Measure): Sentence {
  const gain = Math.abs(to[first] - from[first]);
  const price = Math.abs(to[second] - from[second]);
  const name = (m: Measure) => MEASURE_SHORT[m].toLowerCase();
  return say`${amountOf(first, gain)} ${isLessBetter(first) ? 'less' : 'more'} ${name(first)} costs ${amountOf(second, price)} ${name(second)}.`;
}
