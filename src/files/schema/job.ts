import { LAYOUTS } from '@/core/guide/layouts';
import Joi from 'joi';

import {
  MAX_CURVE_POINTS,
  MAX_NAME,
  MAX_NOTES,
  MAX_PHOTOS,
  MAX_PLATES,
  MAX_REVISIONS,
} from '@/core/job/fields';
import { OIL_GRADES } from '@/core/drag/viscosity';
import { MAX_SLIPS, MAX_VISITS, METERS, STAGES } from '@/core/job/types';
import { MAX_VARIANTS } from '@/core/job/variants';
import { blankBuild, blankProve, blankWork } from '@/core/job/work';
import { blankSignOff } from '@/core/job/signOff';

import { PACK_PARTS } from './pack';
import { DATE, entriesUnder, entryOf, ID, list, text, TIME } from './parts';
import { FINDINGS, READING_SETS, REPLACED } from './findings';
import { INSPECTION, INTAKE, LEAFLET, PHOTO, STRIP } from './stages';
import { BUILD, OVERRIDES, PROVE, WORK } from './work';

/* The schema of a job file. `npm run schema` writes it out as JSON Schema to docs/job-file.schema.json. */

export const FORMAT = 'under-ridge-job';
/** 2: oil, slips, and hubs on ramps. */
export const VERSION = 2;

/** A job without its signatures: the signed content. */
const RECORD = {
  id: ID.required(),
  number: text(MAX_NAME).required(),
  stage: Joi.string()
    .valid(...STAGES)
    .required(),
  createdAt: TIME.required(),
  updatedAt: TIME.required(),
  archived: Joi.boolean().required(),
  machine: Joi.object({
    id: ID.required(),
    name: text(MAX_NAME).required(),
    use: text(MAX_NAME).required(),
    layout: Joi.string()
      .valid(...Object.keys(LAYOUTS))
      .required(),
    meter: Joi.string().valid(...METERS),
    limitsId: ID,
  }).required(),
  intake: INTAKE.required(),
  engine: Joi.object({
    curve: Joi.object({
      name: text(MAX_NAME).required(),
      points: Joi.array()
        .items(
          Joi.object({
            rpm: Joi.number().min(0).max(30_000).required(),
            torque: Joi.number().min(-1000).max(1000).required(),
          }),
        )
        .min(2)
        .max(MAX_CURVE_POINTS)
        .required(),
    }),
    ...entriesUnder('engine'),
  }).required(),
  ...PACK_PARTS,
  duty: Joi.object(entriesUnder('duty')).default({}),
  oil: Joi.object({
    grade: Joi.string().valid(...Object.keys(OIL_GRADES)),
    ...entriesUnder('oil'),
  }),
  slips: Joi.array()
    .items(
      Joi.object({
        id: ID.required(),
        date: DATE.required(),
        kindId: ID.required(),
        note: text(MAX_NOTES).required(),
        ...entriesUnder('slips.*'),
      }),
    )
    .max(MAX_SLIPS),
  variants: Joi.array()
    .items(Joi.object({ id: ID.required(), name: text(MAX_NAME).required(), ...PACK_PARTS }))
    .max(MAX_VARIANTS - 1)
    .default([]),
  variantName: text(MAX_NAME),
  strip: STRIP.required(),
  inspection: INSPECTION.required(),
  work: WORK.default(blankWork),
  build: BUILD.default(blankBuild),
  prove: PROVE.default(blankProve),
  photos: list(PHOTO, MAX_PHOTOS),
  notes: text(MAX_NOTES).required(),
  leaflet: LEAFLET,
  findings: FINDINGS,
  replaced: REPLACED,
  earlierSets: READING_SETS,
};

const SIGN_OFF = Joi.object({
  overrides: OVERRIDES,
  revisions: list(
    Joi.object({
      number: Joi.number().integer().min(1).max(MAX_REVISIONS).required(),
      signedAt: TIME.required(),
      by: text(MAX_NAME).required(),
      digest: Joi.string()
        .pattern(/^[0-9a-f]{64}$/)
        .required(),
      why: text(400).required(),
      record: Joi.object({ ...RECORD, overrides: OVERRIDES }).required(),
    }),
    MAX_REVISIONS,
  ),
  reopened: text(400),
});

const VISIT = Joi.object({
  id: ID.required(),
  date: DATE.required(),
  readings: Joi.object()
    .pattern(/^[A-Za-z0-9_-]{1,64}$/, entryOf('visits.*.readings.*'))
    .max(MAX_PLATES)
    .required(),
  note: text(MAX_NOTES).required(),
  ...entriesUnder('visits.*'),
});

const JOB = Joi.object({
  ...RECORD,
  signOff: SIGN_OFF.default(blankSignOff),
  visits: Joi.array().items(VISIT).max(MAX_VISITS).default([]),
});

/** The whole file: format, version, job, and drafts. */
export const JOB_FILE = Joi.object({
  format: Joi.string().valid(FORMAT).required(),
  version: Joi.number().integer().valid(VERSION).required(),
  exportedAt: TIME.required(),
  job: JOB.required(),
  /** Drafts by field path; nothing typed is lost. */
  unfinished: Joi.object()
    .pattern(/^[A-Za-z0-9_.-]{1,200}$/, Joi.string().max(400))
    .max(400),
});
