import type { UnitChoice } from '../units/quantity';
import { shownUnit } from '../units/quantity';
import type { RunPart, RunStep } from './run';

/** Plates and blades measure less than 10 mm: one digit stands before the point. */
const ONE_BEFORE: ReadonlySet<RunPart> = new Set(['discs', 'steels', 'flatness']);

/**
 * Whether the point sets itself after the first digit while a reading is keyed. Never throws.
 * @example pointSetsItself({ part: 'discs', nominal: 3 }, {}) // true; in inches false
 */
export const pointSetsItself = (
  { part, nominal }: Pick<RunStep, 'part' | 'nominal'>,
  units: UnitChoice,
): boolean => ONE_BEFORE.has(part) && (nominal ?? 0) < 10 && shownUnit('length', units).id === 'mm';

/**
 * The text after one more key of a keypad. A point that set itself moves to where one is pressed. Never throws.
 * @param key a digit or the point
 * @param itself whether the point sets itself after the first digit
 * @example keyed('2', '9', true) // "2.9"
 */
export function keyed(text: string, key: string, itself: boolean): string {
  if (key === '.') {
    if (!text.includes('.')) return `${text}.`;
    return itself && /^\d\.\d+$/.test(text) ? `${text.replace('.', '')}.` : text;
  }
  return itself && /^\d$/.test(text) ? `${text}.${key}` : `${text}${key}`;
}
