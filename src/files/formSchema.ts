import Joi from 'joi';

import type { EntrySpec } from '@/core/units/entrySpec';
import { parseEntry } from '@/core/units/parseEntry';
import type { UnitChoice } from '@/core/units/format';

/** A text of one line that has to be filled in. */
const nameText = (missing: string) =>
  Joi.string().trim().max(400).required().messages({ 'string.empty': missing });

/** Validates a number as people write it, converted to the base unit; empty text is no value. */
const numberText = (spec: EntrySpec, units: UnitChoice) =>
  Joi.string()
    .trim()
    .empty('')
    .custom((text: string, helpers) => {
      const read = parseEntry(text, spec, units);
      if (read.kind === 'value') return read.value;
      return read.kind === 'empty' ? text : helpers.message({ custom: read.message });
    });

/** The parts that the schema of a form is built from. */
export const schemaParts = { Joi, nameText, numberText };
export type SchemaParts = typeof schemaParts;
