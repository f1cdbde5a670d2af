import Joi from 'joi';

import { SPRING_KINDS } from '@/core/clutch/fitted';
import { CLUTCH_KINDS } from '@/core/clutch/kinds';
import {
  MAX_GROUPS,
  MAX_KINDS,
  MAX_NAME,
  MAX_PLATES,
  MAX_READINGS,
  MAX_RING,
  MAX_STEPS,
  MAX_TESTER_POINTS,
} from '@/core/job/fields';
import {
  CALIPER_WAYS,
  ENGINE_HEATS,
  HEIGHT_ACTS,
  ONE_WAYS,
  POINTS,
  ROTATIONS,
  SIGHTS,
  STEP_MEASURES,
  THUMB_TESTS,
} from '@/core/job/types';

import { entriesUnder, entryOf, ID, list, MEMBER, text } from './parts';

export const LINING = Joi.string().valid('paper', 'cork', 'aramid', 'sintered');

/** What is chosen of a plate type, in a job and on a spec sheet. */
export const KIND_CHOICES = {
  turnsWith: MEMBER.required(),
  lined: Joi.string().valid('both', 'inner', 'outer', 'none').required(),
  lining: LINING.required(),
  material: Joi.string().valid('steel', 'aluminium').required(),
  directional: Joi.boolean(),
  grindable: Joi.boolean(),
};

const KIND = Joi.object({
  id: ID.required(),
  name: text(MAX_NAME).required(),
  ...KIND_CHOICES,
  ...entriesUnder('pack.kinds.*'),
});

export const FACING = Joi.string().valid('outward', 'inward');
export const SEEN = Joi.array()
  .items(Joi.string().valid(...SIGHTS))
  .unique()
  .max(SIGHTS.length);

export const PLATE = Joi.object({
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

export const GROUP = Joi.object({
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
  heightActs: Joi.string().valid(...HEIGHT_ACTS),
  stepBy: Joi.string().valid(...STEP_MEASURES),
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

/** Kinds of clutch that keep their entries with the other fittings. */
const FITTINGS = CLUTCH_KINDS.flatMap(({ id, choice }) => {
  const entries = entriesUnder(`fittings.${id}`);
  return Object.keys(entries).length === 0
    ? []
    : [
        [
          id,
          Joi.object({
            type: Joi.string().valid(...(choice?.options ?? []).map(({ value }) => value)),
            ...entries,
          }),
        ] as const,
      ];
});

/** The parts of a pack, its springs and its release: of the job, and of each variant. */
export const PACK_PARTS = {
  pack: Joi.object({
    kinds: list(KIND, MAX_KINDS),
    plates: list(PLATE, MAX_PLATES),
    floorTurnsWith: MEMBER.required(),
    pressurePlateTurnsWith: MEMBER.required(),
    radiusModel: Joi.string().valid('uniformWear', 'uniformPressure').required(),
    rotation: Joi.string().valid(...ROTATIONS),
    caliperTaken: Joi.string()
      .valid(...CALIPER_WAYS)
      .required(),
    ...entriesUnder('pack'),
  }).required(),
  springs: Joi.object({
    type: Joi.string()
      .valid(...SPRING_KINDS.map(({ id }) => id))
      .required(),
    undecided: Joi.valid(true),
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
    oneWay: Joi.string().valid(...ONE_WAYS),
    ...entriesUnder('startClutch'),
  }).required(),
  release: Joi.object({
    type: Joi.string().valid('measured', 'hydraulic', 'cable').required(),
    undecided: Joi.valid(true),
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
      Joi.object({
        id: ID.required(),
        engine: Joi.string().valid(...ENGINE_HEATS),
        ...entriesUnder('setting.readings.*'),
      }),
      MAX_READINGS,
    ),
    separatePrimary: Joi.boolean(),
    thumbTest: Joi.string().valid(...THUMB_TESTS),
    ...entriesUnder('setting'),
  }).required(),
  ...(FITTINGS.length > 0 ? { fittings: Joi.object(Object.fromEntries(FITTINGS)) } : {}),
};
