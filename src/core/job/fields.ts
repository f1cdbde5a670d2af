import { CLUTCH_KINDS } from '../clutch/kinds';
import type { FieldPath, FieldPattern } from './fieldPath';
import { DUTY_FIELDS } from './specs/duty';
import { ENGINE_FIELDS } from './specs/engine';
import { INSPECTION_FIELDS } from './specs/inspection';
import { OIL_FIELDS } from './specs/oil';
import { PACK_FIELDS } from './specs/pack';
import { RELEASE_FIELDS } from './specs/release';
import { SETTING_FIELDS } from './specs/setting';
import type { FieldSpec } from './specs/spec';
import type { Job } from './types';
import { VISIT_FIELDS } from './specs/visits';
import { WORK_FIELDS } from './specs/work';

const KIND_FIELDS = Object.assign({}, ...CLUTCH_KINDS.map((k) => k.fields)) as Record<
  FieldPattern,
  FieldSpec
>;

/**
 * Every numeric field of a job, by its path with `*` for the identifier of a list item. The schema of
 * files, the messages at fields and the terms of workings all come from here.
 */
export const FIELDS: Readonly<Record<FieldPattern, FieldSpec>> = {
  ...ENGINE_FIELDS,
  ...DUTY_FIELDS,
  ...OIL_FIELDS,
  ...PACK_FIELDS,
  ...KIND_FIELDS,
  ...RELEASE_FIELDS,
  ...SETTING_FIELDS,
  ...INSPECTION_FIELDS,
  ...WORK_FIELDS,
  ...VISIT_FIELDS,
};

const LIST_PARENTS = new Set([
  'kinds',
  'plates',
  'groups',
  'testerPoints',
  'readings',
  'steps',
  'points',
  'parts',
  'springLengths',
  'liftReadings',
  'fasteners',
  'starts',
  'visits',
  'slips',
]);

/** Paths recur at every key that is typed; each is taken apart once. */
const patterns = new Map<string, FieldPattern | undefined>();
const MANY_PATHS = 20_000;

/**
 * The pattern of a path, or undefined for an unknown field.
 * @example patternOf('pack.kinds.disc.thickness') // "pack.kinds.*.thickness"
 */
export function patternOf(path: string): FieldPattern | undefined {
  if (patterns.has(path)) return patterns.get(path);
  const parts = path.split('.');
  const pattern = parts.map((p, i) => (LIST_PARENTS.has(parts[i - 1] ?? '') ? '*' : p)).join('.');
  const found = Object.hasOwn(FIELDS, pattern) ? (pattern as FieldPattern) : undefined;
  if (patterns.size >= MANY_PATHS) patterns.clear();
  patterns.set(path, found);
  return found;
}

/**
 * Whether there is a field at a path.
 * @example isFieldPath('engine.colour') // false
 */
export const isFieldPath = (path: string): path is FieldPath => patternOf(path) !== undefined;

const ranks = new Map(Object.keys(FIELDS).map((pattern, i) => [pattern, i]));

/**
 * Where a field comes among those of its group; -1 when there is none.
 * @example rankOf('release.leverTravel') < rankOf('release.leverRatio') // true
 */
export function rankOf(path: string): number {
  return ranks.get(patternOf(path) ?? '') ?? -1;
}

/**
 * The field at a path. @throws {RangeError} when there is none.
 * @example fieldAt('engine.peakTorque').label // "Engine peak torque"
 */
export function fieldAt(path: FieldPath): FieldSpec {
  const pattern = patternOf(path);
  if (!pattern) throw new RangeError(`no field at ${path}`);
  return FIELDS[pattern];
}

/** The screw that sets a length, by its field. */
const SCREW: Readonly<Partial<Record<FieldPath, 'pushrodPitch' | 'endFloatPitch'>>> = {
  'setting.pushrodClearance': 'pushrodPitch',
  'setting.endFloatWanted': 'endFloatPitch',
};

/** What a screw is known by: marks in one turn, and the travel of a turn. */
export interface ScrewOfField {
  readonly marks: number | undefined;
  readonly perTurn: number | undefined;
}

/**
 * The screw that a field is read with, as far as it is known.
 * @example screwOf(quad, 'setting.turnsOut').marks // 8
 */
export function screwOf({ setting }: Pick<Job, 'setting'>, path: FieldPath): ScrewOfField {
  const pitch = SCREW[path];
  return {
    marks: fieldAt(path).turns ? setting.marksPerTurn?.value : undefined,
    perTurn: pitch && setting[pitch]?.value,
  };
}

/**
 * A field with its screw. @throws {RangeError} for an unknown field
 * @example withScrew('setting.turnsOut', { marks: 8, perTurn: undefined }).marksPerTurn // 8
 */
export function withScrew(path: FieldPath, { marks, perTurn }: ScrewOfField): FieldSpec {
  const field = fieldAt(path);
  return marks === undefined && perTurn === undefined
    ? field
    : {
        ...field,
        ...(marks === undefined ? {} : { marksPerTurn: marks }),
        ...(perTurn === undefined ? {} : { perTurn }),
      };
}

/**
 * The field at a path of a job, with the screw that it is read with. @throws {RangeError} for an unknown field.
 * @example fieldOf(job, 'engine.peakTorque').label // "Engine peak torque"
 */
export const fieldOf = (job: Pick<Job, 'setting'>, path: FieldPath): FieldSpec =>
  withScrew(path, screwOf(job, path));

/** Most plates that a pack can have, and most lines in any other list of a job. */
export const MAX_PLATES = 60;
export const MAX_KINDS = 24;
export const MAX_GROUPS = 6;
export const MAX_TESTER_POINTS = 40;
export const MAX_STEPS = 12;
/** Springs round one ring. */
export const MAX_RING = 24;
/** Readings at the lever, round the plate, and of springs. */
export const MAX_READINGS = 60;
/** Lines of a strip list, and small parts to count. */
export const MAX_LINES = 80;
export const MAX_CURVE_POINTS = 2000;
/** Steps of the shop's own in one stage, and revisions of one job. */
export const MAX_OWN_STEPS = 40;
/** Jobs that a workshop can have. */
export const MAX_JOBS = 20_000;
/** Lines that a checklist can be put in order. */
export const MAX_ORDER = 400;
/** Written reasons to sign over an open item. */
export const MAX_OVERRIDES = 200;
export const MAX_REVISIONS = 50;
export const MAX_PHOTOS = 200;
export const MAX_NAME = 120;
export const MAX_NOTES = 20000;
/** Letters of one text of a leaflet. */
export const MAX_LEAFLET = 2000;
