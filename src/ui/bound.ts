import { UNITS } from '@/core/units/quantity';

const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\/]/g, '\\$&');

const SYMBOLS = [
  ...new Set(
    Object.values(UNITS)
      .flat()
      .map((unit) => unit.symbol),
  ),
]
  .filter((symbol) => symbol !== '' && symbol !== '°')
  // The longer first: N·m before N.
  .sort((a, b) => b.length - a.length)
  .map(escaped);

const VALUE_AND_UNIT = new RegExp(`(\\d) (?=(?:${SYMBOLS.join('|')})(?![\\p{L}\\d]))`, 'gu');

/** Keeps a number and its unit on one line: the space between them does not break. */
export const bound = (text: string): string => text.replace(VALUE_AND_UNIT, '$1\u00a0');
