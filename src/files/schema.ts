import Joi from 'joi';

import type { Bounds } from '@/core/errors';
import type { FieldPattern } from '@/core/job/fields';
import { MAX_VARIANTS } from '@/core/job/variants';
import {
  FIELDS,
  MAX_CURVE_POINTS,
  MAX_GROUPS,
  MAX_KINDS,
  MAX_LINES,
  MAX_NAME,
  MAX_NOTES,
  MAX_OWN_STEPS,
  MAX_PHOTOS,
  MAX_PLATES,
  MAX_READINGS,
  MAX_REVISIONS,
  MAX_RING,
  MAX_STEPS,
  MAX_TESTER_POINTS,
} from '@/core/job/fields';
import { COMPLAINTS, TESTS } from '@/core/causes/knowledge';
import {
  AIMS,
  CALIPER_WAYS,
  FIXTURES,
  POINTS,
  SIGHTS,
  STAGES,
  THUMB_TESTS,
} from '@/core/job/types';
import {
  blankBuild,
  blankProve,
  blankSignOff,
  blankWork,
  FASTENER_ROLES,
  LOCKS,
  PROVE_TESTS,
} from '@/core/job/work';

/*
 * The schema of a job file. Ranges of numbers come from FIELDS, so that a file takes exactly what the fields
 * take. `npm run schema` writes it out as JSON Schema to docs/job-file.schema.json.
 */

export const FORMAT = 'under-ridge-job';
export const VERSION = 1;

const ID = Joi.string().pattern(/^[A-Za-z0-9_-]{1,64}$/);
const DATE = Joi.string().pattern(/^\d{4}-\d{2}-\d{2}$/);
const TIME = Joi.string().pattern(/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}(\.\d{1,3})?Z$/);
const MEMBER = Joi.string().valid('basket', 'hub');
const text = (max: number) => Joi.string().allow('').max(max);

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

function entryOf(pattern: FieldPattern): Joi.ObjectSchema {
  return Joi.object({
    value: bounded(FIELDS[pattern].bounds).required(),
    typed: text(80),
    source: SOURCE,
  });
}

/** All entries whose pattern is `prefix` and one more name. */
function entriesUnder(prefix: string): Record<string, Joi.ObjectSchema> {
  const patterns = Object.keys(FIELDS) as FieldPattern[];
  return Object.fromEntries(
    patterns
      .filter((p) => p.startsWith(`${prefix}.`) && !p.slice(prefix.length + 1).includes('.'))
      .map((p) => [p.slice(prefix.length + 1), entryOf(p)] as const),
  );
}

const list = (item: Joi.Schema, max: number) => Joi.array().items(item).max(max).required();

const KIND = Joi.object({
  id: ID.required(),
  name: text(MAX_NAME).required(),
  turnsWith: MEMBER.required(),
  lined: Joi.string().valid('both', 'inner', 'outer', 'none').required(),
  lining: Joi.string().valid('paper', 'cork', 'aramid', 'sintered').required(),
  material: Joi.string().valid('steel', 'aluminium').required(),
  directional: Joi.boolean(),
  grindable: Joi.boolean(),
  ...entriesUnder('pack.kinds.*'),
});

const FACING = Joi.string().valid('outward', 'inward');
const SEEN = Joi.array()
  .items(Joi.string().valid(...SIGHTS))
  .unique()
  .max(SIGHTS.length);

const PLATE = Joi.object({
  id: ID.required(),
  kindId: ID.required(),
  readings: Joi.object(
    Object.fromEntries(POINTS.map((point) => [point, entryOf('pack.plates.*.readings.*')])),
  ),
  facing: FACING,
  seen: SEEN,
  judder: Joi.boolean(),
  offsetSlot: Joi.boolean(),
  shelfId: ID,
  isNew: Joi.boolean(),
  ...entriesUnder('pack.plates.*'),
});

const GROUP = Joi.object({
  id: ID.required(),
  name: text(MAX_NAME).required(),
  rateFrom: Joi.string().valid('rate', 'wire', 'tester').required(),
  shelfId: ID,
  testerPoints: list(
    Joi.object({ id: ID.required(), ...entriesUnder('springs.coil.groups.*.testerPoints.*') }),
    MAX_TESTER_POINTS,
  ),
  ...entriesUnder('springs.coil.groups.*'),
});

const DIAPHRAGM = Joi.object({
  forceFrom: Joi.string().valid('geometry', 'tester').required(),
  stepId: ID,
  steps: list(
    Joi.object({
      id: ID.required(),
      name: text(MAX_NAME).required(),
      ...entriesUnder('springs.diaphragm.steps.*'),
    }),
    MAX_STEPS,
  ),
  points: list(
    Joi.object({ id: ID.required(), ...entriesUnder('springs.diaphragm.points.*') }),
    MAX_TESTER_POINTS,
  ),
  ...entriesUnder('springs.diaphragm'),
});

const INTAKE = Joi.object({
  complaints: Joi.array()
    .items(Joi.string().valid(...Object.keys(COMPLAINTS)))
    .unique()
    .required(),
  aims: Joi.array()
    .items(Joi.string().valid(...AIMS))
    .unique()
    .required(),
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

const STRIP = Joi.object({
  steps: list(
    Joi.object({
      id: ID.required(),
      text: text(400).required(),
      watch: text(400),
      done: Joi.boolean().required(),
    }),
    MAX_LINES,
  ),
  parts: list(
    Joi.object({
      id: ID.required(),
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

const INSPECTION = Joi.object({
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

const PHOTO = Joi.object({
  id: ID.required(),
  caption: text(400).required(),
  takenAt: TIME.required(),
  width: Joi.number().integer().min(1).max(20_000).required(),
  height: Joi.number().integer().min(1).max(20_000).required(),
  bytes: Joi.number().integer().min(0).max(10_000_000).required(),
});

/** What makes up a pack and how it is pressed and released: of the job, and of each variant put aside. */
const PARTS = {
  pack: Joi.object({
    kinds: list(KIND, MAX_KINDS),
    plates: list(PLATE, MAX_PLATES),
    floorTurnsWith: MEMBER.required(),
    pressurePlateTurnsWith: MEMBER.required(),
    radiusModel: Joi.string().valid('uniformWear', 'uniformPressure').required(),
    caliperTaken: Joi.string()
      .valid(...CALIPER_WAYS)
      .required(),
    ...entriesUnder('pack'),
  }).required(),
  springs: Joi.object({
    type: Joi.string().valid('coil', 'diaphragm', 'loose').required(),
    diaphragm: DIAPHRAGM.required(),
    loose: Joi.object(entriesUnder('springs.loose')).required(),
    coil: Joi.object({
      groups: list(GROUP, MAX_GROUPS),
      ring: list(ID, MAX_RING),
      ...entriesUnder('springs.coil'),
    }).required(),
  }).required(),
  assist: Joi.object({
    type: Joi.string().valid('none', 'levers', 'balls').required(),
    ...entriesUnder('assist'),
  }).required(),
  startClutch: Joi.object({
    place: Joi.string().valid('none', 'crank', 'input').required(),
    ...entriesUnder('startClutch'),
  }).required(),
  release: Joi.object({
    type: Joi.string().valid('measured', 'hydraulic', 'cable').required(),
    liftReadings: list(
      Joi.object({ id: ID.required(), ...entriesUnder('release.liftReadings.*') }),
      MAX_READINGS,
    ),
    ...entriesUnder('release'),
  }).required(),
  expanding: Joi.object({
    fitted: Joi.boolean().required(),
    ...entriesUnder('expanding'),
  }).required(),
  setting: Joi.object({
    readings: list(
      Joi.object({ id: ID.required(), ...entriesUnder('setting.readings.*') }),
      MAX_READINGS,
    ),
    separatePrimary: Joi.boolean(),
    thumbTest: Joi.string().valid(...THUMB_TESTS),
    ...entriesUnder('setting'),
  }).required(),
};

/** Key of a line of a worksheet; reserved names are refused before the schema is asked. */
const STEP_KEY = /^[A-Za-z0-9:_-]{1,160}$/;

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
  order: list(Joi.string().pattern(STEP_KEY), 400),
});

const WORK = Joi.object({
  by: text(MAX_NAME).required(),
  build: WORKSHEET.required(),
  set: WORKSHEET.required(),
  prove: WORKSHEET.required(),
});

const BUILD = Joi.object({
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
      ...entriesUnder('build.fasteners.*'),
    }),
    MAX_LINES,
  ),
  stages: Joi.number().integer().min(1).max(4).required(),
  soakStart: TIME,
  ...entriesUnder('build'),
});

const PROVE = Joi.object({
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

const OVERRIDES = list(
  Joi.object({
    itemId: Joi.string().max(400).required(),
    reason: text(400).required(),
    by: text(MAX_NAME).required(),
    at: TIME.required(),
  }),
  200,
);

/** A job without its signatures: what a signature covers. */
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
      .valid('unknown', 'pack', 'startAndPack', 'startAndBelt', 'belt')
      .required(),
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
  ...PARTS,
  duty: Joi.object(entriesUnder('duty')).default({}),
  variants: Joi.array()
    .items(Joi.object({ id: ID.required(), name: text(MAX_NAME).required(), ...PARTS }))
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

const JOB = Joi.object({ ...RECORD, signOff: SIGN_OFF.default(blankSignOff) });

/** The whole file: what it is, its version, the job, and what was typed but not yet a value. */
export const JOB_FILE = Joi.object({
  format: Joi.string().valid(FORMAT).required(),
  version: Joi.number().integer().valid(VERSION).required(),
  exportedAt: TIME.required(),
  job: JOB.required(),
  /** Field path to the text in it that is no value yet; nothing typed is lost. */
  unfinished: Joi.object()
    .pattern(/^[A-Za-z0-9_.-]{1,200}$/, Joi.string().max(400))
    .max(400),
});
