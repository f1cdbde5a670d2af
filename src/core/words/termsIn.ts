import type { TermId } from './glossary';
import { GLOSSARY, TERM_IDS } from './glossary';

/** A piece of a text: plain, or a word of the glossary. */
export type Piece = string | { readonly text: string; readonly term: TermId };

/** Words too common in sentences to be picked out of them; as a whole text they still are terms. */
const PLAIN_WORDS: ReadonlySet<string> = new Set([
  'face',
  'friction',
  'step',
  'gap',
  'pull',
  'disc',
  'centre',
  'slip',
  'slips',
  'rate',
  'steel',
  'pack',
]);

const WORDS: ReadonlyMap<string, TermId> = new Map(
  TERM_IDS.flatMap((id) =>
    [GLOSSARY[id].name, ...(GLOSSARY[id].also ?? [])].map((w) => [w.toLowerCase(), id] as const),
  ),
);
const escaped = (word: string) => word.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
// Longest first, so that a pressure plate is not found as a plate; an s at the end is a plural.
const FINDER = new RegExp(
  `(?<![\\p{L}-])(${[...WORDS.keys()]
    .toSorted((a, b) => b.length - a.length)
    .map(escaped)
    .join('|')})(s|es)?(?![\\p{L}-])`,
  'giu',
);

const KNOWN = new Map<string, readonly Piece[]>();
const MOST_KNOWN = 2000;

/**
 * The term that a whole text is, such as a label: "Install gap", "Lever pull at full lift".
 * @example termOf('Torque reserve') // "reserve"
 */
export function termOf(text: string): TermId | undefined {
  const plain = text.trim().toLowerCase();
  const bare = plain.split(/,| at /)[0]?.replace(/^(minimum|maximum) /, '') ?? '';
  return WORDS.get(plain) ?? WORDS.get(plain.replace(/e?s$/, '')) ?? WORDS.get(bare);
}

/**
 * Splits a text at its glossary terms, each at its first occurrence.
 * @example termsIn('Mind the thrust washer.') // ['Mind the ', { text: 'thrust washer', term: 'thrustWasher' }, '.']
 */
export function termsIn(text: string): readonly Piece[] {
  const known = KNOWN.get(text);
  if (known) return known;
  const pieces: Piece[] = [];
  const seen = new Set<TermId>();
  const whole = termOf(text);
  let from = 0;
  if (whole) pieces.push({ text, term: whole });
  else {
    for (const found of text.matchAll(FINDER)) {
      const [match, word = ''] = found;
      const term = WORDS.get(word.toLowerCase());
      if (!term || seen.has(term) || PLAIN_WORDS.has(word.toLowerCase())) continue;
      seen.add(term);
      if (found.index > from) pieces.push(text.slice(from, found.index));
      pieces.push({ text: match, term });
      from = found.index + match.length;
    }
    if (from < text.length) pieces.push(text.slice(from));
  }
  if (KNOWN.size >= MOST_KNOWN) KNOWN.clear();
  KNOWN.set(text, pieces);
  return pieces;
}
