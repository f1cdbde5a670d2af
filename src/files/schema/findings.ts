import Joi from 'joi';

import { CAUSES } from '@/core/causes/knowledge';
import { MAX_LINES, MAX_PHOTOS } from '@/core/job/fields';
import { FINDING_DECISIONS, FINDING_PARTS, READING_KINDS } from '@/core/job/record/findings';

import { PLATE } from './pack';
import { DATE, ID, list, text } from './parts';

/* Findings in free words, replaced plates, and earlier sets of readings. */

const LONGEST = 400;

export const FINDINGS = list(
  Joi.object({
    id: ID.required(),
    part: Joi.string()
      .valid(...FINDING_PARTS)
      .required(),
    text: text(LONGEST).required(),
    decision: Joi.string()
      .valid(...FINDING_DECISIONS)
      .required(),
    agreed: text(LONGEST).required(),
    photoIds: Joi.array().items(ID).max(MAX_PHOTOS).required(),
    cause: Joi.string().valid(...Object.keys(CAUSES)),
    against: Joi.boolean(),
  }),
  MAX_LINES,
).optional();

export const READING_SETS = list(
  Joi.object({
    id: ID.required(),
    kind: Joi.string()
      .valid(...READING_KINDS)
      .required(),
    date: DATE.required(),
    machine: text(LONGEST).required(),
    then: text(LONGEST).required(),
    lines: Joi.array()
      .items(
        Joi.object({
          name: text(LONGEST).required(),
          value: Joi.number().unsafe().min(-1e6).max(1e6),
          text: text(LONGEST),
        }),
      )
      .max(MAX_LINES)
      .required(),
  }),
  MAX_LINES,
).optional();

export const REPLACED = list(
  Joi.object({
    id: ID.required(),
    name: text(LONGEST).required(),
    why: text(LONGEST).required(),
    plate: PLATE.required(),
  }),
  MAX_LINES,
).optional();
