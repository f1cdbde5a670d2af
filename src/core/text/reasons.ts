import type { DomainError } from '@/core/errors';
import { Impossible } from '@/core/errors';
import type { Need, Unknown } from '@/core/evaluate/engine/figure';
import { lowerFirst } from './sentence';

/* Reasons for an unknown figure, in words. */

/** Reason for an overflow. */
export const NOT_FINITE = 'the result would be too large or too small.';

/**
 * The missing inputs of a figure in a sentence; more than three are shortened to two and a count.
 * Never throws.
 * @example neededFor([{ label: 'Wire' }, { label: 'Free length' }], 'Rate') // "Wire and free length are needed for rate."
 */
export function neededFor(needs: readonly Need[], label: string): string {
  const list = shortened(asSentence(needs), 3);
  return `${list} ${needs.length === 1 ? 'is' : 'are'} needed for ${lowerFirst(label)}.`;
}

/**
 * Several unknown figures in two sentences: which, and the inputs they wait for, each named once.
 * Never throws.
 * @example unknownsText([{ label: 'Clamp', needs: [{ label: 'Rate' }] }]) // "Not known yet: clamp. Missing: rate."
 */
export function unknownsText(unknowns: readonly Pick<Unknown, 'label' | 'needs'>[]): string {
  const needs = [...new Map(unknowns.flatMap((u) => u.needs).map((n) => [n.label, n])).values()];
  const of = joinAnd(unknowns.map((u) => lowerFirst(u.label)));
  return `Not known yet: ${of}. ${missingText(needs)}`;
}

/**
 * Inputs to enter, the last of many as a count.
 * Never throws.
 * @example missingText([{ label: 'Lever ratio' }]) // "Missing: lever ratio."
 */
export const missingText = (needs: readonly Need[]): string =>
  `Missing: ${shortened(
    needs.map((n) => lowerFirst(n.label)),
    5,
  )}.`;

const asSentence = (needs: readonly Need[]): string[] =>
  needs.map((n, i) => (i === 0 ? n.label : lowerFirst(n.label)));

/** @param most names that are given in full; of more, the last are counted */
const shortened = (names: readonly string[], most: number): string =>
  names.length <= most
    ? joinAnd(names)
    : `${names.slice(0, most - 1).join(', ')} and ${names.length - most + 1} more`;

/**
 * Joins names as a list: "a", "a and b", "a, b and c". Never throws.
 * @example joinAnd(['a', 'b']) // "a and b"
 */
export function joinAnd(names: readonly string[]): string {
  return names.length < 2
    ? names.join('')
    : `${names.slice(0, -1).join(', ')} and ${names.at(-1) ?? ''}`;
}

/**
 * The reason a value is refused, for a builder; overflows are not named.
 * @example domainSentence({ path: 'faces.0.tangRadius', accepted: 'above 0', given: -1 }) // "tang radius must be above 0."
 */
export function domainSentence(error: DomainError): string {
  if (error instanceof Impossible) return error.sentence;
  const { path, accepted, given } = error;
  // An overflowed value was not entered by anybody.
  if (typeof given === 'number' && !Number.isFinite(given)) return NOT_FINITE;
  // The value would be in base units here; the field shows it in the builder's units.
  return `${readable(path)} must be ${accepted}.`;
}

/** "faces.0.tangRadius" as words: "tang radius". */
function readable(path: string): string {
  const last =
    path
      .split('.')
      .filter((p) => !/^\d+$/.test(p))
      .at(-1) ?? path;
  return last.replace(/([A-Z])/g, ' $1').toLowerCase();
}
