import type { UnitChoice } from '../units/format';
import { shownUnit } from '../units/format';
import type { RunPart, RunStep } from './runStep';

/** Plates and gauges measure less than 10 mm: one digit before the point. */
const ONE_BEFORE: ReadonlySet<RunPart> = new Set(['discs', 'steels', 'flatness']);

/**
 * After how many digits the point sets itself while a reading is keyed in mm: 1 for plates, blades and the cone of a
 * diaphragm, 2 for coil springs, 0 where it does not. Never throws.
 * @example isPointAutomatic({ part: 'discs', path: 'pack.plates.p1.readings.1', nominal: 3 }, {}) // 1
 */
export function isPointAutomatic(
  { part, nominal, path }: Pick<RunStep, 'part' | 'nominal' | 'path'>,
  units: UnitChoice,
): number {
  if (shownUnit('length', units).id !== 'mm') return 0;
  if (part === 'springs') {
    const coil = path.startsWith('inspection.springLengths.');
    const usual = coil ? 2 : 1;
    return nominal === undefined || digitsBefore(nominal) === usual ? usual : 0;
  }
  return ONE_BEFORE.has(part) && (nominal ?? 0) < 10 ? 1 : 0;
}

const digitsBefore = (value: number): number => String(Math.trunc(value)).length;

/**
 * The text after one more key of a keypad. A point that set itself moves to where one is pressed. Never throws.
 * @param key a digit or the point
 * @param itself after how many digits the point sets itself, 0 for never
 * @example keyed('2', '9', 1) // "2.9"
 */
export function keyed(text: string, key: string, itself: number): string {
  if (key === '.') {
    if (!text.includes('.')) return `${text}.`;
    const set = itself > 0 && text.indexOf('.') === itself && text.length > itself + 1;
    return set ? `${text.replace('.', '')}.` : text;
  }
  return itself > 0 && text.length === itself && !text.includes('.')
    ? `${text}.${key}`
    : `${text}${key}`;
}
