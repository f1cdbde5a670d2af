import { indexIn, isNode, keysOf } from './entryAt';
import type { FieldPath } from './fieldPath';
import { patternOf } from './fields';
import type { Entry, Job } from './types';

/**
 * A copy of the job with the entry at `path` set, or removed when `entry` is undefined; unchanged parts are shared. A path into
 * a missing list item returns the job unchanged.
 * @throws {RangeError} when the path is no field of a job.
 * @example withEntry(blank, 'pack.maxWear', entry(1)).pack.maxWear.value // 1
 */
export function withEntry(job: Job, path: FieldPath, entry: Entry | undefined): Job {
  if (!patternOf(path)) throw new RangeError(`no field at ${path}`);
  return setIn(job, keysOf(path), entry) as Job;
}

function setIn(node: unknown, keys: readonly string[], entry: Entry | undefined): unknown {
  const [key, ...rest] = keys;
  if (key === undefined) return entry;
  if (Array.isArray(node)) {
    const list = node as readonly unknown[];
    const index = indexIn(list, key);
    if (index < 0) return list;
    const copy = [...list];
    copy[index] = setIn(list[index], rest, entry);
    return copy;
  }
  const record = isNode(node) ? { ...(node as Readonly<Record<string, unknown>>) } : {};
  if (rest.length === 0 && entry === undefined) {
    return Object.fromEntries(Object.entries(record).filter(([name]) => name !== key));
  }
  record[key] = setIn(record[key], rest, entry);
  return record;
}
