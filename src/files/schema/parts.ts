import Joi from 'joi';

import type { Bounds } from '@/core/errors';
import { isDay, isMoment } from '@/core/due/days';
import { isWithin } from '@/core/errors';
import type { FieldPattern } from '@/core/job/fieldPath';
import { FIELDS } from '@/core/job/fields';

/* Building blocks of the schema. Number ranges come from FIELDS, so that files and fields accept the same. */

export const ID = Joi.string().pattern(/^[A-Za-z0-9_-]{1,64}$/);
const DATE_PATTERN = /^\d{4}-\d{2}-\d{2}$/;
const inCalendar =
  (real: (text: string) => boolean): Joi.CustomValidator<string> =>
  (text, helpers) =>
    real(text) ? text : helpers.message({ custom: 'must be a date of the calendar' });
export const DATE = Joi.string().pattern(DATE_PATTERN).custom(inCalendar(isDay));
export const TIME = Joi.string()
  .pattern(/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}(\.\d{1,3})?Z$/)
  .custom(inCalendar(isMoment));
export const MEMBER = Joi.string().valid('basket', 'hub');
export const text = (max: number) => Joi.string().allow('').max(max);

const SOURCE_KINDS = ['entered', 'measured', 'manual', 'tested', 'estimate'] as const;
const SOURCE = Joi.object({
  kind: Joi.string()
    .valid(...SOURCE_KINDS)
    .required(),
  date: DATE,
  note: text(400),
});

/** Denormal numbers: arithmetic with them is not exact. */
const SMALLEST = 1e-300;
const isDenormal = (value: number): boolean => value !== 0 && Math.abs(value) < SMALLEST;
const notDenormal: Joi.CustomValidator<number> = (value, helpers) =>
  isDenormal(value) ? helpers.message({ custom: 'must be 0 or no smaller than 1e-300' }) : value;

function bounded({ above, min, below, max, integer }: Bounds): Joi.NumberSchema {
  let number = Joi.number().unsafe().custom(notDenormal);
  if (above !== undefined) number = number.greater(above);
  if (min !== undefined) number = number.min(min);
  if (below !== undefined) number = number.less(below);
  if (max !== undefined) number = number.max(max);
  return integer ? number.integer() : number;
}

/** A range from the smaller to the larger value. */
const forwards: Joi.CustomValidator<{ low: number; high: number }> = (range, helpers) =>
  range.low < range.high ? range : helpers.error('any.invalid');

export function entryOf(pattern: FieldPattern): Joi.ObjectSchema {
  const { bounds } = FIELDS[pattern];
  return Joi.object({
    value: bounded(bounds).required(),
    typed: text(80),
    range: Joi.object({ low: Joi.number().required(), high: Joi.number().required() }).custom(
      forwards,
    ),
    source: SOURCE,
  }).cache(known((value) => isEntry(value, bounds)));
}

/**
 * Joi's fast path: plainly valid entries pass at once, all others are validated in full. Entries are most of a file, and this
 * makes a large workshop readable in seconds.
 */
function known(good: (value: unknown) => boolean): {
  get: (value: unknown) => unknown;
  set: () => void;
} {
  return {
    get: (value) => (good(value) ? { value, errors: null } : undefined),
    set: () => undefined,
  };
}

/** Whether a value is surely a valid entry; never true for an invalid one. */
function isEntry(value: unknown, bounds: Bounds): boolean {
  // Entries are nowhere required: most of them are absent from most jobs.
  if (value === undefined) return true;
  if (!isPlain(value)) return false;
  for (const key of Object.keys(value))
    if (key !== 'value' && key !== 'typed' && key !== 'source') return false;
  return (
    typeof value.value === 'number' &&
    isWithin(value.value, bounds) &&
    !isDenormal(value.value) &&
    isText(value.typed, 80) &&
    (value.source === undefined || isSource(value.source))
  );
}

function isSource(value: unknown): boolean {
  if (!isPlain(value)) return false;
  for (const key of Object.keys(value))
    if (key !== 'kind' && key !== 'date' && key !== 'note') return false;
  return (
    SOURCE_KINDS.some((kind) => kind === value.kind) &&
    (value.date === undefined || (typeof value.date === 'string' && isDay(value.date))) &&
    isText(value.note, 400)
  );
}

const isText = (value: unknown, max: number): boolean =>
  value === undefined || (typeof value === 'string' && value.length <= max);

const isPlain = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && Object.getPrototypeOf(value) === Object.prototype;

/** All entries whose pattern is `prefix` and one more name. */
export function entriesUnder(prefix: string): Record<string, Joi.ObjectSchema> {
  const patterns = Object.keys(FIELDS) as FieldPattern[];
  return Object.fromEntries(
    patterns
      .filter((p) => p.startsWith(`${prefix}.`) && !p.slice(prefix.length + 1).includes('.'))
      .map((p) => [p.slice(prefix.length + 1), entryOf(p)] as const),
  );
}

export const list = (item: Joi.Schema, max: number) => Joi.array().items(item).max(max).required();
