import Joi from 'joi';

import { SPRING_KINDS } from '@/core/clutch/fitted';
import { COMPLAINTS } from '@/core/causes/complaints';
import { TESTS } from '@/core/causes/tests';
import {
  MAX_LEAFLET,
  MAX_LINES,
  MAX_NAME,
  MAX_NOTES,
  MAX_PLATES,
  MAX_READINGS,
} from '@/core/job/fields';
import { AIMS, FIXTURES, LEAFLET_PARTS, NEW_PLATES, POINTS, PURPOSES } from '@/core/job/types';

import { FACING, SEEN } from './pack';
import { DATE, entriesUnder, ID, list, text, TIME } from './parts';

/* Intake, strip, inspection and photographs. */

export const INTAKE = Joi.object({
  complaints: Joi.array()
    .items(Joi.string().valid(...Object.keys(COMPLAINTS)))
    .unique()
    .required(),
  aims: Joi.array()
    .items(Joi.string().valid(...AIMS))
    .unique()
    .required(),
  purpose: Joi.string().valid(...PURPOSES),
  newPlates: Joi.string().valid(...NEW_PLATES),
  oil: Joi.string().valid('unknown', 'wetClutch', 'frictionModified').required(),
  tests: Joi.object(
    Object.fromEntries(
      Object.entries(TESTS).map(([id, { outcomes }]) => [
        id,
        Joi.string().valid(...outcomes.map((o) => o.id)),
      ]),
    ),
  ).required(),
  due: DATE,
  ...entriesUnder('intake'),
});

export const STRIP = Joi.object({
  came: Joi.object({
    springs: Joi.string().valid(...SPRING_KINDS.map(({ id }) => id)),
    attached: Joi.object().pattern(ID, ID).max(40).required(),
  }),
  hubStays: Joi.boolean(),
  steps: list(
    Joi.object({
      id: ID.required(),
      key: ID,
      text: text(400).required(),
      watch: text(400),
      done: Joi.boolean().required(),
    }),
    MAX_LINES,
  ),
  parts: list(
    Joi.object({
      id: ID.required(),
      key: ID,
      name: text(MAX_NAME).required(),
      note: text(400).required(),
      ...entriesUnder('strip.parts.*'),
    }),
    MAX_LINES,
  ),
  found: list(
    Joi.object({
      id: ID.required(),
      kindId: ID.required(),
      facing: FACING,
      note: text(400).required(),
    }),
    MAX_PLATES,
  ),
  notes: text(MAX_NOTES).required(),
});

export const INSPECTION = Joi.object({
  discPoints: Joi.number().integer().min(1).max(POINTS.length).required(),
  steelPoints: Joi.number().integer().min(1).max(POINTS.length).required(),
  springLengths: list(
    Joi.object({
      id: ID.required(),
      groupId: ID.required(),
      ...entriesUnder('inspection.springLengths.*'),
    }),
    MAX_READINGS,
  ),
  seen: Joi.object(Object.fromEntries(FIXTURES.map((f) => [f, SEEN]))).required(),
  ...entriesUnder('inspection'),
});

export const PHOTO = Joi.object({
  id: ID.required(),
  caption: text(400).required(),
  takenAt: TIME.required(),
  width: Joi.number().integer().min(1).max(20_000).required(),
  height: Joi.number().integer().min(1).max(20_000).required(),
  bytes: Joi.number().integer().min(0).max(10_000_000).required(),
});

/** What a leaflet says in words. */
export const LEAFLET = Joi.object(
  Object.fromEntries(LEAFLET_PARTS.map((part) => [part, text(MAX_LEAFLET)])),
);
