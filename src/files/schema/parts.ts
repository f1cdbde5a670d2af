import Joi from 'joi';

import type { Bounds } from '@/core/errors';
import type { FieldPattern } from '@/core/job/fields';
import { FIELDS } from '@/core/job/fields';

/* What the parts of the schema are made of. Ranges of numbers come from FIELDS, so that a file takes exactly what the fields take. */

export const ID = Joi.string().pattern(/^[A-Za-z0-9_-]{1,64}$/);
export const DATE = Joi.string().pattern(/^\d{4}-\d{2}-\d{2}$/);
export const TIME = Joi.string().pattern(/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}(\.\d{1,3})?Z$/);
export const MEMBER = Joi.string().valid('basket', 'hub');
export const text = (max: number) => Joi.string().allow('').max(max);

const SOURCE = Joi.object({
  kind: Joi.string().valid('entered', 'measured', 'manual', 'tested', 'estimate').required(),
  date: DATE,
  note: text(400),
});

function bounded({ above, min, below, max, integer }: Bounds): Joi.NumberSchema {
  let number = Joi.number().unsafe();
  if (above !== undefined) number = number.greater(above);
  if (min !== undefined) number = number.min(min);
  if (below !== undefined) number = number.less(below);
  if (max !== undefined) number = number.max(max);
  return integer ? number.integer() : number;
}

export function entryOf(pattern: FieldPattern): Joi.ObjectSchema {
  return Joi.object({
    value: bounded(FIELDS[pattern].bounds).required(),
    typed: text(80),
    source: SOURCE,
  });
}

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
