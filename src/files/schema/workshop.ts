import Joi from 'joi';

import { MAX_NAME, MAX_OWN_STEPS } from '@/core/job/fields';
import { GAUGE_SETS } from '@/core/setting/gauges';

import { GROUP } from './pack';
import { ID, list, text, TIME } from './parts';
import { STEP_KEY } from './work';

/* The schema of a workshop file: all jobs, the shelf and the shop's own sheets. Jobs in it are whole job files. */

export const WORKSHOP_FORMAT = 'under-ridge-workshop';
export const WORKSHOP_VERSION = 1;
export const MAX_JOBS = 20_000;

const SHELF = Joi.object({
  plates: list(
    Joi.object({
      id: ID.required(),
      label: text(MAX_NAME).required(),
      sort: Joi.string().valid('steel', 'disc').required(),
      nominal: Joi.number().greater(0).max(60).required(),
      thickness: Joi.number().greater(0).max(60).required(),
      count: Joi.number().integer().min(0).max(10_000).required(),
      isNew: Joi.boolean().required(),
    }),
    20_000,
  ),
  springs: list(
    Joi.object({
      id: ID.required(),
      group: GROUP.required(),
      count: Joi.number().integer().min(0).max(10_000).required(),
    }),
    5000,
  ),
  gauges: list(Joi.string().valid(...Object.keys(GAUGE_SETS)), 20),
});

/** The frame of the file; each job in it is read by the reader of job files. */
export const WORKSHOP_FILE = Joi.object({
  format: Joi.string().valid(WORKSHOP_FORMAT).required(),
  version: Joi.number().integer().valid(WORKSHOP_VERSION).required(),
  exportedAt: TIME.required(),
  jobs: Joi.array().items(Joi.object().unknown()).max(MAX_JOBS).required(),
  shelf: SHELF.required(),
  templates: Joi.object()
    .pattern(
      /^[A-Za-z0-9:_-]{1,160}$/,
      Joi.object({
        own: list(Joi.object({ id: ID.required(), text: text(400).required() }), MAX_OWN_STEPS),
        order: list(Joi.string().pattern(STEP_KEY), 400),
      }),
    )
    .max(200)
    .required(),
});
