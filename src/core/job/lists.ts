import {
  MAX_CURVE_POINTS,
  MAX_GROUPS,
  MAX_KINDS,
  MAX_LINES,
  MAX_ORDER,
  MAX_OVERRIDES,
  MAX_OWN_STEPS,
  MAX_PHOTOS,
  MAX_PLATES,
  MAX_READINGS,
  MAX_REVISIONS,
  MAX_RING,
  MAX_STEPS,
  MAX_TESTER_POINTS,
} from './fields';
import { MAX_SLIPS } from './record/oil';
import { MAX_VISITS } from './record/visits';
import type { Job } from './types';
import { WORK_STAGES } from './work';
import { MAX_VARIANTS } from './variants';

/** Maximum length of each list of a pack, of the job's own and of a variant's. */
const PACK_LISTS = {
  'pack.kinds': MAX_KINDS,
  'pack.plates': MAX_PLATES,
  'springs.coil.groups': MAX_GROUPS,
  'springs.coil.ring': MAX_RING,
  'springs.coil.groups.*.testerPoints': MAX_TESTER_POINTS,
  'springs.diaphragm.steps': MAX_STEPS,
  'springs.diaphragm.points': MAX_TESTER_POINTS,
  'release.liftReadings': MAX_READINGS,
  'setting.readings': MAX_READINGS,
} as const;

/** The maximum length of each list of a job, by its path; `*` is any item of a list. */
export const LIST_LENGTHS: Readonly<Record<string, number>> = {
  ...PACK_LISTS,
  ...Object.fromEntries(
    Object.entries(PACK_LISTS).map(([path, most]) => [`variants.*.${path}`, most]),
  ),
  variants: MAX_VARIANTS - 1,
  visits: MAX_VISITS,
  slips: MAX_SLIPS,
  photos: MAX_PHOTOS,
  'engine.curve.points': MAX_CURVE_POINTS,
  'strip.steps': MAX_LINES,
  'strip.parts': MAX_LINES,
  'strip.found': MAX_PLATES,
  'inspection.springLengths': MAX_READINGS,
  'build.fasteners': MAX_LINES,
  'prove.starts': MAX_LINES,
  ...Object.fromEntries(
    WORK_STAGES.flatMap((stage) => [
      [`work.${stage}.own`, MAX_OWN_STEPS] as const,
      [`work.${stage}.order`, MAX_ORDER] as const,
    ]),
  ),
  findings: MAX_LINES,
  'findings.*.photoIds': MAX_PHOTOS,
  replaced: MAX_LINES,
  earlierSets: MAX_LINES,
  'earlierSets.*.lines': MAX_LINES,
  'signOff.overrides': MAX_OVERRIDES,
  'signOff.revisions': MAX_REVISIONS,
};

const PATHS = Object.entries(LIST_LENGTHS).map(([path, most]) => ({ keys: path.split('.'), most }));

/** A list with more items than a file takes. */
export interface LongList {
  /** "pack.plates" */
  readonly path: string;
  readonly most: number;
}

/**
 * The first list of a job that is longer than a file takes, among those that differ from the record before.
 * @param before the record that was changed; its parts that did not change are shared
 * @example longList({ ...job, photos: Array(201).fill({}) }, job) // { path: "photos", most: 200 }
 */
export function longList(job: Job, before?: Job): LongList | undefined {
  for (const { keys, most } of PATHS)
    if (isLong(job, before, keys, most)) return { path: keys.join('.'), most };
  return undefined;
}

function isLong(now: unknown, before: unknown, keys: readonly string[], most: number): boolean {
  if (now === before || typeof now !== 'object' || now === null) return false;
  const [key, ...rest] = keys;
  if (key === undefined) return Array.isArray(now) && now.length > most;
  if (key === '*' && Array.isArray(now))
    return now.some((item, i) =>
      isLong(item, Array.isArray(before) ? before[i] : undefined, rest, most),
    );
  const of = (value: unknown) => (value as Readonly<Record<string, unknown>> | undefined)?.[key];
  return isLong(of(now), of(before ?? undefined), rest, most);
}
