import type { COIL_FIELDS } from '../clutch/coil/fields';
import type { DIAPHRAGM_FIELDS } from '../clutch/diaphragm/fields';
import type { EXPANDING_FIELDS } from '../clutch/expandingDisc/fields';
import type { ASSIST_FIELDS } from '../clutch/centrifugalAssist/fields';
import type { LOOSE_FIELDS } from '../clutch/loose/fields';
import type { START_FIELDS } from '../clutch/startClutch/fields';
import type { DUTY_FIELDS } from './specs/duty';
import type { ENGINE_FIELDS } from './specs/engine';
import type { INSPECTION_FIELDS } from './specs/inspection';
import type { OIL_FIELDS } from './specs/oil';
import type { PACK_FIELDS } from './specs/pack';
import type { RELEASE_FIELDS } from './specs/release';
import type { SETTING_FIELDS } from './specs/setting';
import type { VISIT_FIELDS } from './specs/visits';
import type { WORK_FIELDS } from './specs/work';

/** A path with `*` in the place of identifiers. */
export type FieldPattern = keyof (typeof ENGINE_FIELDS &
  typeof DUTY_FIELDS &
  typeof OIL_FIELDS &
  typeof PACK_FIELDS &
  typeof COIL_FIELDS &
  typeof DIAPHRAGM_FIELDS &
  typeof LOOSE_FIELDS &
  typeof ASSIST_FIELDS &
  typeof EXPANDING_FIELDS &
  typeof START_FIELDS &
  typeof RELEASE_FIELDS &
  typeof SETTING_FIELDS &
  typeof INSPECTION_FIELDS &
  typeof WORK_FIELDS &
  typeof VISIT_FIELDS);

/** A pattern with any identifier for each `*`. */
type Filled<Pattern extends string> = Pattern extends `${infer Before}*${infer After}`
  ? `${Before}${string}${Filled<After>}`
  : Pattern;

/** The path of one field of one job: `pack.kinds.k1.thickness`. */
export type FieldPath = Filled<FieldPattern> | `fittings.${string}.${string}`;

/** A list that has something missing in it as a whole. */
export type ListPath =
  'pack.plates' | 'springs.coil.groups' | 'springs.diaphragm.points' | 'release.type';

/**
 * The path of a field, with its `*` filled in order.
 * @example fieldPath('pack.kinds.*.thickness', 'disc') // "pack.kinds.disc.thickness"
 */
export function fieldPath<P extends FieldPattern>(
  pattern: P,
  ...ids: readonly string[]
): Filled<P> {
  if (ids.length !== 1) return join(partsOf(pattern), ids) as Filled<P>;
  // One string for one path: a string that is met again needs no new hash.
  let known = onePaths.get(pattern);
  if (!known || known.size > MANY_PATHS) onePaths.set(pattern, (known = new Map()));
  const [id = ''] = ids;
  let path = known.get(id);
  if (path === undefined) known.set(id, (path = join(partsOf(pattern), ids)));
  return path as Filled<P>;
}

const MANY_PATHS = 20_000;
const onePaths = new Map<FieldPattern, Map<string, string>>();

function join(parts: readonly string[], ids: readonly string[]): string {
  let path = parts[0] ?? '';
  for (let i = 1; i < parts.length; i++) path += (ids[i - 1] ?? '*') + (parts[i] ?? '');
  return path;
}

const splits = new Map<FieldPattern, readonly string[]>();

function partsOf(pattern: FieldPattern): readonly string[] {
  let parts = splits.get(pattern);
  if (!parts) splits.set(pattern, (parts = pattern.split('*')));
  return parts;
}
