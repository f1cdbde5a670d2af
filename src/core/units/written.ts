import type { Quantity, Unit } from './quantity';
import { unitSpelled, UNITS } from './quantity';

const FRACTION = /^(?:(\d+)(?:[\s-]+|\s*\+\s*))?(\d+)\s*\/\s*(\d+)$/;

const UNICODE_FRACTIONS: Record<string, string> = {
  '⅓': '1/3',
  '⅔': '2/3',
  '⅕': '1/5',
  '⅙': '1/6',
  '¼': '1/4',
  '½': '1/2',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

/** Parts a text into its number and its unit: the longest tail that is a way to write a unit of the quantity. */
export function splitUnit(
  text: string,
  quantity: Quantity,
): { numbers: number[]; unit?: Unit } | undefined {
  const bare = readNumber(text);
  if (bare.length > 0) return { numbers: bare };
  for (let at = 1; at < text.length; at++) {
    const unit = unitSpelled(text.slice(at), quantity);
    const numbers = unit ? readNumber(text.slice(0, at)) : [];
    if (unit && numbers.length > 0) return { numbers, unit };
  }
  return undefined;
}

/**
 * The unit that a text names, if it is a number with one of the quantity.
 * @example unitWritten('8.1 ft.lbs', 'torque').id // "ftlb"
 */
export const unitWritten = (text: string, quantity: Quantity): Unit | undefined =>
  splitUnit(text, quantity)?.unit ?? readRange(text, quantity)?.unit;

export interface Range {
  readonly low: number;
  readonly high: number;
  readonly unit?: Unit;
}

/** Two numbers with a dash or "to" between them, the unit behind the last or behind both. */
export function readRange(text: string, quantity: Quantity): Range | undefined {
  for (const dash of text.matchAll(/\s*(?:[–—-]|\bto\b)\s*/g)) {
    const from = splitUnit(text.slice(0, dash.index), quantity);
    const to = splitUnit(text.slice(dash.index + dash[0].length), quantity);
    const [low] = from?.numbers ?? [];
    const [high] = to?.numbers ?? [];
    if (low === undefined || high === undefined) continue;
    if (from?.unit && to?.unit && from.unit !== to.unit) continue;
    const unit = to?.unit ?? from?.unit;
    return { low, high, ...(unit ? { unit } : {}) };
  }
  return undefined;
}

/** A text that speaks of turns or marks. */
export const TURNED = /turn|mark|notch/i;

/** Turns with the marks past them; `marks` where they are named and how many make a turn is not known. */
export function readTurns(
  text: string,
  marksPerTurn: number | undefined,
): number | 'marks' | undefined {
  const found =
    /^(?:(.+?)\s*turns?)?\s*(?:and|\+|,)?\s*(?:([\d.]+)\s*(?:marks?|notch(?:es)?)?)?$/i.exec(text);
  const [turns, marks] = [found?.[1], found?.[2]];
  if (turns === undefined && marks === undefined) return undefined;
  const whole = turns === undefined ? 0 : readNumber(turns)[0];
  const past = marks === undefined ? 0 : readNumber(marks)[0];
  if (whole === undefined || past === undefined) return undefined;
  if (past > 0 && marksPerTurn === undefined) return 'marks';
  return whole + past / (marksPerTurn ?? 1);
}

export function foreignUnit(text: string, quantity: Quantity): string {
  const tail = /[\d.,\s]([^\d.,\s].*)$/.exec(text)?.[1]?.trim();
  if (!tail || !/\d/.test(text)) return `“${text}” is not a number.`;
  const known = UNITS[quantity]
    .map((u) => u.symbol)
    .filter(Boolean)
    .join(', ');
  return known
    ? `“${tail}” is not a unit for this field (${known}).`
    : `“${tail}” is not expected here.`;
}

/** All the ways the digits can be read: one in most cases, two where a comma may part thousands. */
export function readNumber(raw: string): number[] {
  let text = raw
    .trim()
    .replace(/[⅓⅔⅕⅙¼½¾⅛⅜⅝⅞]/g, (c) => ` ${UNICODE_FRACTIONS[c] ?? ''}`)
    .trim();
  const sign = text.startsWith('-') ? -1 : 1;
  text = text.replace(/^[+-]\s*/, '');
  const fraction = FRACTION.exec(text);
  if (fraction) {
    const [, whole = '0', top = '', bottom = ''] = fraction;
    const below = Number(bottom);
    // "1 7/4" is not a usual way to write a length: probably a typing error.
    if (below === 0 || (fraction[1] !== undefined && Number(top) >= below)) return [];
    return [sign * (Number(whole) + Number(top) / below)];
  }
  if (/^\d{1,3}(?: \d{3})+(?:[.,]\d+)?$/.test(text)) text = text.replace(/ /g, '');
  if (/^\d{1,3}(?:,\d{3})+\.\d+$/.test(text)) text = text.replace(/,/g, '');
  else if (/^\d{1,3}(?:\.\d{3})+,\d+$/.test(text)) text = text.replace(/\./g, '').replace(',', '.');
  if (/^[1-9]\d{0,2}[.,]\d{3}$/.test(text)) {
    return [Number(text.replace(',', '.')), Number(text.replace(/[.,]/, ''))].map((n) => sign * n);
  }
  if (/^[1-9]\d{0,2}(?:,\d{3}){2,}$/.test(text)) return [sign * Number(text.replace(/,/g, ''))];
  const plain = text.replace(',', '.');
  if (!/^(?:\d+\.?\d*|\.\d+)(?:[eE][+-]?\d+)?$/.test(plain)) return [];
  return [sign * Number(plain)];
}
