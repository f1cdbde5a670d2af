import Joi from 'joi';

import { SPRING_KINDS } from '@/core/clutch/fitted';
import { CLUTCH_TYPES } from '@/core/clutch/type';
import {
  MAX_JOBS,
  MAX_KINDS,
  MAX_LINES,
  MAX_NAME,
  MAX_NOTES,
  MAX_OWN_STEPS,
  MAX_PLATES,
} from '@/core/job/fields';
import { CALIPER_WAYS, HEIGHT_ACTS, ROTATIONS, STEP_MEASURES } from '@/core/job/types';
import { FASTENER_ROLES, LOCKS } from '@/core/job/work';
import { LIMIT_PATTERNS } from '@/core/library/limitNames';
import { MAX_LIMITS, MAX_SPEC_SHEETS } from '@/core/library/limits';
import { GAUGE_SETS } from '@/core/setting/gauges';
import { STOCK_LENGTHS } from '@/core/shelf/stock';

import { FACING, GROUP, KIND_CHOICES, LINING } from './pack';
import { DATE, ID, list, text, TIME } from './parts';
import { LEAFLET } from './stages';
import { STEP_KEY } from './work';

/* The schema of a workshop file: all jobs, the shelf, the shop's own sheets and limits. Jobs in it are whole job files. */

export const WORKSHOP_FORMAT = 'under-ridge-workshop';
/** Version 2: limits library; scrap, minimum stock and more data of shelf plates. */
export const WORKSHOP_VERSION = 3;

const SORT = Joi.string().valid('steel', 'disc');
const THICKNESS = Joi.number().greater(0).max(60);
const STOCK_PLATE = {
  id: ID.required(),
  label: text(MAX_NAME).required(),
  sort: SORT.required(),
  nominal: THICKNESS.required(),
  thickness: THICKNESS.required(),
  count: Joi.number().integer().min(0).max(10_000).required(),
  isNew: Joi.boolean().required(),
  lining: LINING,
  outOfFlat: Joi.number().min(0).max(10),
  measured: DATE,
  from: text(MAX_NAME),
};

const SHELF = Joi.object({
  plates: list(Joi.object(STOCK_PLATE), STOCK_LENGTHS.plates),
  scrap: list(
    Joi.object({ ...STOCK_PLATE, why: text(400).required(), scrapped: DATE.required() }),
    STOCK_LENGTHS.scrap,
  ),
  scrapSprings: list(
    Joi.object({
      id: ID.required(),
      name: text(MAX_NAME).required(),
      count: Joi.number().integer().min(1).max(10_000).required(),
      freeLength: Joi.number().greater(0).max(1000),
      from: text(MAX_NAME),
      why: text(400).required(),
      scrapped: DATE.required(),
    }),
    STOCK_LENGTHS.scrapSprings,
  ),
  wanted: list(
    Joi.object({
      id: ID.required(),
      sort: SORT.required(),
      nominal: THICKNESS.required(),
      atLeast: Joi.number().integer().min(1).max(10_000).required(),
    }),
    STOCK_LENGTHS.wanted,
  ),
  springs: list(
    Joi.object({
      id: ID.required(),
      group: GROUP.required(),
      from: text(MAX_NAME),
      count: Joi.number().integer().min(0).max(10_000).required(),
    }),
    STOCK_LENGTHS.springs,
  ),
  gauges: list(Joi.string().valid(...Object.keys(GAUGE_SETS)), 20),
});

/** A value of a spec sheet; its range is checked against its field after the frame. */
const LIMIT = Joi.object({
  id: ID.required(),
  pattern: Joi.string()
    .valid(...LIMIT_PATTERNS)
    .required(),
  of: text(MAX_NAME),
  entry: Joi.object({ value: Joi.number().unsafe().required() }).unknown(),
  draft: text(400),
  fastener: Joi.object({
    role: Joi.string()
      .valid(...FASTENER_ROLES)
      .required(),
    lock: Joi.string()
      .valid(...LOCKS)
      .required(),
    grade: text(MAX_NAME).required(),
    ownScrews: Joi.boolean(),
  }),
});

const LEAFLET_PACK = Joi.object({
  kinds: list(
    Joi.object({
      name: text(MAX_NAME).required(),
      ...KIND_CHOICES,
    }),
    MAX_KINDS,
  ),
  plates: list(
    Joi.object({
      id: ID.required(),
      of: text(MAX_NAME).required(),
      isNew: Joi.boolean(),
      facing: FACING,
      judder: Joi.boolean(),
      offsetSlot: Joi.boolean(),
    }),
    MAX_PLATES,
  ),
});

/** What a leaflet says beyond its numbers. */
const SHEET_LEAFLET = Joi.object({
  clutch: Joi.string().valid(...CLUTCH_TYPES),
  springs: Joi.string().valid(...SPRING_KINDS.map(({ id }) => id)),
  release: Joi.string().valid('measured', 'hydraulic', 'cable'),
  hubStays: Joi.boolean(),
  separatePrimary: Joi.boolean(),
  pack: LEAFLET_PACK,
  rotation: Joi.string().valid(...ROTATIONS),
  measure: Joi.object({
    stepBy: Joi.string()
      .valid(...STEP_MEASURES)
      .required(),
    taken: Joi.string()
      .valid(...CALIPER_WAYS)
      .required(),
  }),
  heightActs: Joi.string().valid(...HEIGHT_ACTS),
  stages: Joi.number().integer().min(1).max(4),
  starts: Joi.array()
    .items(
      Joi.object({
        id: ID.required(),
        name: text(MAX_NAME).required(),
        wanted: Joi.number().integer().min(1).max(1000),
      }),
    )
    .max(MAX_LINES),
  texts: LEAFLET,
});

const LIMIT_SHEET = Joi.object({
  id: ID.required(),
  name: text(MAX_NAME).required(),
  note: text(MAX_NOTES).required(),
  updatedAt: TIME.required(),
  limits: list(LIMIT, MAX_LIMITS),
  leaflet: SHEET_LEAFLET,
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
        words: Joi.object().pattern(STEP_KEY, text(400)).max(400),
      }),
    )
    .max(200)
    .required(),
  library: list(LIMIT_SHEET, MAX_SPEC_SHEETS),
});
