// cspell:ignore eter
import type { Bounds } from '../errors';
import { isWithin } from '../errors';
import type { Quantity, Unit, UnitChoice, UnitId } from './quantity';
import {
  formatValue,
  formatWithUnit,
  fromBase,
  shownUnit,
  toBase,
  unitById,
  unitSpelled,
  withSymbol,
  UNITS,
  withoutZeros,
} from './quantity';

/** The entry rules of a field: its quantity and range, in the base unit. */
export interface EntrySpec {
  readonly quantity: Quantity;
  readonly bounds: Bounds;
  /** Range of real parts; a value outside it that would fit in another unit is questioned. */
  readonly plausible?: readonly [number, number];
  /** The unit of the field unless the builder has chosen another. */
  readonly unit?: UnitId;
  /** The field is a radius, so "117 dia" or "Ø117" is halved. */
  readonly radius?: boolean;
  /** The radius is entered as a diameter, as a caliper reads it, under this name; "58.5 rad" is still a radius. */
  readonly across?: string;
  /** The field is the pitch of a thread, so "20 tpi" is taken as an inch parted by it. */
  readonly thread?: boolean;
  /** The field counts turns of a screw, so "1 turn 4" is a turn and four of its marks. */
  readonly turns?: boolean;
  /** Marks in one turn of that screw, once they are known. */
  readonly marksPerTurn?: number;
  /** The length is set by a screw, so "3/8 turn" is so much of its pitch. */
  readonly byScrew?: boolean;
  /** Pitch of that screw, mm, once it is known. */
  readonly perTurn?: number;
}

/** One interpretation of the typed text. */
export interface Reading {
  /** In the base unit. */
  readonly value: number;
  readonly unit: Unit;
  /** Where a range was given: the value is its middle. In the base unit. */
  readonly range?: { readonly low: number; readonly high: number };
  /** The value as it would be shown, with its unit. */
  readonly text: string;
}

export type ParsedEntry =
  | { readonly kind: 'empty' }
  | ({ readonly kind: 'value' } & Reading)
  /** Readable, but more likely meant otherwise: the builder decides. */
  | { readonly kind: 'question'; readonly message: string; readonly readings: readonly Reading[] }
  | { readonly kind: 'refused'; readonly message: string };

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
/** Threads per inch, as people write it after the number. */
const PER_INCH = /\s*(?:tpi|t\.p\.i\.?|threads?\s*(?:per|\/)\s*in(?:ch)?)$/i;
/** More than this many characters cannot be a number that somebody meant. */
const MAX_LENGTH = 60;

/**
 * Reads a number as people write it: `2.92`, `2,92`, `.115"`, `115 thou`, `5/32 in`, `1 1/4"`, `8.1 ft-lb`, `12.5 Nm`, `11–13
 * N·m`, `1 turn 4`. A bare number has the unit shown for the quantity; of a range the middle is used.
 *
 * A value outside the field's range is refused with the range; a value far outside what is plausible that would be right in
 * another unit, a point or comma that may part thousands, an exponent, and a bare share below 1 % become a question.
 * Never throws. Source: the workshop rules for entries, `docs/mechanics.md` section 13.
 * @example parseEntry('.115"', { quantity: 'length', bounds: { above: 0 } }) // value 2.921
 */
export function parseEntry(text: string, spec: EntrySpec, chosen: UnitChoice = {}): ParsedEntry {
  const choice = unitsFor(spec, chosen);
  const trimmed = text
    .replace(/−/g, '-')
    .replace(/⁄/g, '/')
    .replace(/[\u00a0\u2009\u202f]/g, ' ')
    .trim();
  if (trimmed === '') return { kind: 'empty' };
  const current = shownUnit(spec.quantity, choice);
  const refuse = (why: string): ParsedEntry => ({
    kind: 'refused',
    message: `${why} ${acceptedText(spec, current)}`,
  });
  if (trimmed.length > MAX_LENGTH) return refuse('Too long to be a number.');

  if (spec.thread && PER_INCH.test(trimmed)) {
    const [perInch = 0] = readNumber(trimmed.replace(PER_INCH, ''));
    const pitch = reading(toBase(1 / perInch, unitById('in')), unitById('mm'), spec);
    return isWithin(pitch.value, spec.bounds)
      ? { kind: 'value', ...pitch }
      : refuse(`“${trimmed}” is not a thread.`);
  }
  if (spec.turns && TURNED.test(trimmed)) {
    const turns = readTurns(trimmed, spec.marksPerTurn);
    if (turns === undefined) return refuse(`“${trimmed}” is not a number of turns.`);
    if (turns === 'marks')
      return refuse('Enter the marks per turn first, or the part of a turn, such as 1 3/8 turn.');
    return isWithin(turns, spec.bounds)
      ? { kind: 'value', ...reading(turns, current, spec) }
      : refuse(outOfRange(reading(turns, current, spec), spec));
  }
  if (spec.byScrew && TURNED.test(trimmed)) {
    const turns = readTurns(trimmed, undefined);
    if (typeof turns !== 'number') return refuse(`“${trimmed}” is not a number of turns.`);
    if (spec.perTurn === undefined)
      return refuse('Enter the pitch of the screw first, or a length.');
    const length = reading(turns * spec.perTurn, unitById('mm'), spec);
    return isWithin(length.value, spec.bounds)
      ? { kind: 'value', ...length }
      : refuse(outOfRange(length, spec));
  }
  const { rest, scale } = spec.radius ? stripDiameter(trimmed, spec) : { rest: trimmed, scale: 1 };
  const split = splitUnit(rest, spec.quantity);
  if (!split) {
    const range = readRange(rest, spec.quantity);
    return range
      ? rangeRead(range, { spec, current, scale, refuse })
      : refuse(foreignUnit(rest, spec.quantity));
  }
  const { numbers } = split;

  const unit = split.unit ?? current;
  const readings = numbers.map((n) => reading(toBase(n, unit) * scale, unit, spec));
  const possible = readings.filter((r) => isWithin(r.value, spec.bounds));
  const plausible = possible.filter((r) => isPlausible(r.value, spec));

  const twoWays = (both: readonly Reading[]): ParsedEntry => ({
    kind: 'question',
    message: `“${trimmed}” can be read two ways. Which is meant?`,
    readings: likeliestFirst(both, spec),
  });
  if (numbers.length > 1 && possible.length > 1) return twoWays(possible);
  const [only] = plausible;
  if (numbers.length > 1 && only) return { kind: 'value', ...only };
  const [given = Number.NaN] = numbers;
  if (spec.quantity === 'share' && !split.unit && given > 0 && given < 1) {
    const both = [reading(given, unit, spec), reading(toBase(given, unit), unit, spec)];
    const fit = both.filter((r) => isWithin(r.value, spec.bounds));
    if (fit.length > 1) return twoWays(fit);
  }
  const first = readings[0];
  if (!first) return refuse(`“${trimmed}” is not a number.`);
  const allowed = isWithin(first.value, spec.bounds);
  if (allowed && /\de[+-]?\d/i.test(rest))
    return {
      kind: 'question',
      message: `“${trimmed}” is read as ${first.text}. Is that correct?`,
      readings: [first],
    };
  if (allowed && isPlausible(first.value, spec)) return { kind: 'value', ...first };
  const inOtherUnits = otherUnits(numbers[0] ?? Number.NaN, unit, scale, spec);
  const others = allowed
    ? inOtherUnits
    : likeliestFirst([...withPoint(rest, unit, scale, spec), ...inOtherUnits], spec);
  if (!allowed) {
    if (others.length > 0 && Number.isFinite(first.value) && first.value > 0) {
      return {
        kind: 'question',
        message: `${first.text} is outside the accepted range. Did you mean ${orList(others)}?`,
        readings: others,
      };
    }
    return refuse(outOfRange(first, spec));
  }
  if (others.length > 0) {
    const inOwn = formatWithUnit(first.value, spec.quantity, {});
    return {
      kind: 'question',
      message: `${first.text}${unit.factor === 1 ? '' : `? That is ${inOwn}`}: did you mean ${orList(others)}?`,
      readings: [...others, first],
    };
  }
  return { kind: 'value', ...first };
}

/**
 * The units of a field: those the builder has chosen, else the field's own.
 * Never throws.
 * @example unitsFor({ quantity: 'mass', unit: 'g', bounds: {} }) // { mass: 'g' }
 */
export const unitsFor = ({ quantity, unit }: EntrySpec, chosen: UnitChoice = {}): UnitChoice =>
  unit === undefined || chosen[quantity] ? chosen : { ...chosen, [quantity]: unit };

/**
 * Describes the accepted values in the builder's unit: "Enter a number from 0.2 to 20 mm, such as 2.92, .115" or 115 thou."
 * @example acceptedText({ quantity: 'length', bounds: { above: 0, max: 20 } }, unitById('mm')) // "Enter a number above 0 and up to 20 mm, such as 2.92, 0.115 in, 115 thou or 1/8\"."
 */
export function acceptedText(spec: EntrySpec, unit: Unit): string {
  const { bounds } = spec;
  const show = (base: number) =>
    withoutZeros(fromBase(asShown(base, spec), unit).toFixed(unit.decimals));
  const symbol = unit.symbol ? ` ${unit.symbol}` : '';
  const noun = bounds.integer ? 'a whole number' : 'a number';
  const low = bounds.min ?? bounds.above;
  const high = bounds.max ?? bounds.below;
  const above = bounds.above !== undefined ? `above ${show(bounds.above)}` : '';
  const range =
    low !== undefined && high !== undefined
      ? above && bounds.max !== undefined
        ? ` ${above} and up to ${show(high)}`
        : ` from ${show(low)} to ${show(high)}`
      : low !== undefined
        ? above
          ? ` ${above}`
          : ` of ${show(low)} or more`
        : high !== undefined
          ? ` up to ${show(high)}`
          : '';
  const example = spec.thread ? '1.25, 1/20 in or 20 tpi' : EXAMPLES[spec.quantity];
  return `Enter ${noun}${range}${symbol}${example ? `, such as ${example}` : ''}.`;
}

const EXAMPLES: Partial<Record<Quantity, string>> = {
  length: '2.92, 0.115 in, 115 thou or 1/8"',
  torque: '12.5 Nm, 8.1 ft-lb, 97.4 in-lb or 11–13 Nm',
  force: '260 N or 58 lbf',
};

function reading(value: number, unit: Unit, spec: EntrySpec): Reading {
  const shown = asShown(value, spec);
  const inUnit = fromBase(shown, unit);
  // A choice must keep its exact value.
  let decimals = unit.decimals;
  while (decimals < 6 && Math.abs(Number(inUnit.toFixed(decimals)) - inUnit) > 1e-9) decimals++;
  return {
    value,
    unit,
    text: withSymbol(inUnit.toFixed(decimals), unit.symbol),
  };
}

/**
 * A value as shown in its field: twice the radius where a diameter is entered.
 * @example asShown(58.5, { quantity: 'length', bounds: {}, across: 'Lining outer diameter' }) // 117
 */
export const asShown = (value: number, spec: EntrySpec): number =>
  spec.across === undefined ? value : 2 * value;

/**
 * Whether a text is a number and nothing else: no unit, no fraction.
 * @example isPlainNumber('1.20') // true
 */
export const isPlainNumber = (text: string): boolean => /^-?\d*[.,]?\d+$/.test(text);

/**
 * A value as its field shows it: with the decimals it was typed with where that was in the unit now shown, else rounded to
 * the gauge and without zeros that only fill up.
 * @example entryText({ value: 1.2, typed: '1.20' }, { quantity: 'length', bounds: {} }) // "1.20"
 */
export function entryText(
  { value, typed }: { readonly value: number; readonly typed?: string },
  spec: EntrySpec,
  chosen: UnitChoice = {},
): string {
  if (typed !== undefined && isPlainNumber(typed)) {
    const read = parseEntry(typed, spec, chosen);
    if (read.kind === 'value' && Math.abs(read.value - value) <= 1e-9 * Math.abs(value))
      return typed;
  }
  return withoutZeros(formatValue(asShown(value, spec), spec.quantity, unitsFor(spec, chosen)));
}

function isPlausible(value: number, spec: EntrySpec): boolean {
  return !spec.plausible || (value >= spec.plausible[0] && value <= spec.plausible[1]);
}

function otherUnits(n: number, typed: Unit, scale: number, spec: EntrySpec): Reading[] {
  if (!spec.plausible) return [];
  return UNITS[spec.quantity]
    .filter((u) => u.id !== typed.id)
    .map((unit) => ({ unit, value: toBase(n, unit) * scale }))
    .filter(({ value }) => isWithin(value, spec.bounds) && isPlausible(value, spec))
    .map(({ unit, value }) => reading(value, unit, spec));
}

/** Digits keyed without their point, "297" for 2.97: where exactly one place for it makes a likely value. */
function withPoint(text: string, unit: Unit, scale: number, spec: EntrySpec): Reading[] {
  if (!spec.plausible || !/^\d{2,6}$/.test(text)) return [];
  const likely = [...text.slice(1)]
    .map((_, i) => toBase(Number(`${text.slice(0, i + 1)}.${text.slice(i + 1)}`), unit) * scale)
    .filter((value) => isWithin(value, spec.bounds) && isPlausible(value, spec));
  return likely.length === 1 ? likely.map((value) => reading(value, unit, spec)) : [];
}

/** Sorts by ratio to the middle of the plausible range. */
function likeliestFirst(readings: readonly Reading[], { plausible }: EntrySpec): Reading[] {
  const [low = 0, high = 0] = plausible ?? [];
  if (low <= 0) return [...readings];
  const middle = Math.sqrt(low * high);
  const off = ({ value }: Reading) => Math.abs(Math.log(value / middle));
  return [...readings].sort((a, b) => off(a) - off(b));
}

function orList(readings: readonly Reading[]): string {
  return readings.map((r) => r.text).join(' or ');
}

function outOfRange(first: Reading, spec: EntrySpec): string {
  if (!Number.isFinite(first.value)) return 'That is not a finite number.';
  if (spec.bounds.integer && !Number.isInteger(first.value))
    return `${withoutZeros(String(first.value))} is not a whole number.`;
  const low = spec.bounds.above ?? spec.bounds.min;
  if (
    low !== undefined &&
    (first.value < low || (spec.bounds.above !== undefined && first.value === low))
  ) {
    return first.value < 0
      ? 'A negative value is not possible here.'
      : `${first.text} is too small.`;
  }
  return `${first.text} is too large.`;
}

/** A suffix that says how it was measured, and its factor. */
function stripDiameter(text: string, spec: EntrySpec): { rest: string; scale: number } {
  const across = text
    .replace(/^(?:ø|⌀|dia\.?|diam(?:eter)?)\s*/i, '')
    .replace(/\s*(?:ø|⌀|dia\.?|diam(?:eter)?)$/i, '');
  if (across !== text) return { rest: across, scale: 0.5 };
  const radius = text.replace(/^(?:rad(?:ius)?|r)\s*/i, '').replace(/\s*(?:rad(?:ius)?|r)$/i, '');
  if (radius !== text) return { rest: radius, scale: 1 };
  return { rest: text, scale: spec.across === undefined ? 1 : 0.5 };
}

/** Parts a text into its number and its unit: the longest tail that is a way to write a unit of the quantity. */
function splitUnit(
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

interface Range {
  readonly low: number;
  readonly high: number;
  readonly unit?: Unit;
}

/** Two numbers with a dash or "to" between them, the unit behind the last or behind both. */
function readRange(text: string, quantity: Quantity): Range | undefined {
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

interface RangeIn {
  readonly spec: EntrySpec;
  readonly current: Unit;
  readonly scale: number;
  readonly refuse: (why: string) => ParsedEntry;
}

/** A range as the value of its middle, both ends kept. */
function rangeRead(range: Range, { spec, current, scale, refuse }: RangeIn): ParsedEntry {
  if (spec.bounds.integer) return refuse('A range is not accepted here.');
  const unit = range.unit ?? current;
  const [low, high] = [range.low, range.high].map((n) => toBase(n, unit) * scale);
  if (low === undefined || high === undefined || low >= high)
    return refuse('Enter a range from the smaller value to the larger.');
  const ends = [low, high].map((value) => reading(value, unit, spec));
  const outside = ends.find((end) => !isWithin(end.value, spec.bounds));
  if (outside) return refuse(outOfRange(outside, spec));
  return { kind: 'value', ...reading((low + high) / 2, unit, spec), range: { low, high } };
}

/** A text that speaks of turns or marks. */
const TURNED = /turn|mark|notch/i;

/** Turns with the marks past them; `marks` where they are named and how many make a turn is not known. */
function readTurns(text: string, marksPerTurn: number | undefined): number | 'marks' | undefined {
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

function foreignUnit(text: string, quantity: Quantity): string {
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
function readNumber(raw: string): number[] {
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
