import Joi from 'joi';

import { MAX_LINES, MAX_NAME, MAX_ORDER, MAX_OVERRIDES, MAX_OWN_STEPS } from '@/core/job/fields';
import { FASTENER_ROLES, TIGHTENING_TOOLS, LOCKS, PROVE_TESTS } from '@/core/job/work';

import { entriesUnder, ID, list, text, TIME } from './parts';

/* Steps, build and prove records, and reasons for signing. */

/** Key of a checklist line; reserved names are refused before validation. */
export const STEP_KEY = /^[A-Za-z0-9:_-]{1,160}$/;

const WORKSHEET = Joi.object({
  records: Joi.object()
    .pattern(
      STEP_KEY,
      Joi.object({
        done: Joi.object({
          at: TIME.required(),
          by: text(MAX_NAME).required(),
          said: text(1000).required(),
        }),
        otherwise: text(400),
        skipped: text(400),
        note: text(400),
      }),
    )
    .max(400)
    .required(),
  own: list(Joi.object({ id: ID.required(), text: text(400).required() }), MAX_OWN_STEPS),
  order: list(Joi.string().pattern(STEP_KEY), MAX_ORDER),
  words: Joi.object().pattern(STEP_KEY, text(400)).max(MAX_ORDER),
});

export const WORK = Joi.object({
  by: text(MAX_NAME).required(),
  build: WORKSHEET.required(),
  set: WORKSHEET.required(),
  prove: WORKSHEET.required(),
});

export const BUILD = Joi.object({
  fasteners: list(
    Joi.object({
      id: ID.required(),
      role: Joi.string()
        .valid(...FASTENER_ROLES)
        .required(),
      name: text(MAX_NAME).required(),
      lock: Joi.string()
        .valid(...LOCKS)
        .required(),
      grade: text(MAX_NAME).required(),
      ownScrews: Joi.boolean(),
      tool: Joi.string().valid(...TIGHTENING_TOOLS),
      lockReused: Joi.boolean(),
      ...entriesUnder('build.fasteners.*'),
    }),
    MAX_LINES,
  ),
  stages: Joi.number().integer().min(1).max(4).required(),
  soakStart: TIME,
  gasketReused: Joi.boolean(),
  ...entriesUnder('build'),
});

export const PROVE = Joi.object({
  outcomes: Joi.object(
    Object.fromEntries(PROVE_TESTS.map((t) => [t, Joi.string().valid('pass', 'fail')])),
  ).required(),
  starts: list(
    Joi.object({
      id: ID.required(),
      name: text(MAX_NAME).required(),
      ...entriesUnder('prove.starts.*'),
    }),
    MAX_LINES,
  ),
  ...entriesUnder('prove'),
});

export const OVERRIDES = list(
  Joi.object({
    said: text(1000),
    itemId: Joi.string().max(400).required(),
    reason: text(400).required(),
    by: text(MAX_NAME).required(),
    at: TIME.required(),
  }),
  MAX_OVERRIDES,
);
