// cspell:ignore eter
import { isWithin } from '../errors';
import type { Unit } from './quantity';
import type { UnitChoice } from './format';
import { formatValue, formatWithUnit, shownUnit, withoutZeros } from './format';
import { toBase, unitById, UNITS } from './quantity';
import { acceptedText, asShown, isPlausible, outOfRange, reading, unitsFor } from './entrySpec';
import type { EntrySpec, ParsedEntry, Reading } from './entrySpec';
import { TURNED, foreignUnit, readNumber, readRange, readTurns, splitUnit } from './written';
import type { Range } from './written';

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

  const turned = readScrew(trimmed, spec, current, refuse);
  if (turned) return turned;
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

/** A thread by its turns per inch, turns of a screw, or a length by turns of its screw; undefined where none is spoken of. */
function readScrew(
  trimmed: string,
  spec: EntrySpec,
  current: Unit,
  refuse: (why: string) => ParsedEntry,
): ParsedEntry | undefined {
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
  return undefined;
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
