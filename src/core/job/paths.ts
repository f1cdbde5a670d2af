import type { FieldPath } from './fields';
import { patternOf } from './fields';
import type { Entry, Job } from './types';

type Node = Readonly<Record<string, unknown>> | readonly unknown[];

function isNode(value: unknown): value is Node {
  return typeof value === 'object' && value !== null;
}

/** The index of a list item, by its `id`. */
function indexIn(list: readonly unknown[], key: string): number {
  for (let i = 0; i < list.length; i++) {
    const item = list[i];
    if (isNode(item) && (item as { readonly id?: unknown }).id === key) return i;
  }
  return -1;
}

function childOf(node: unknown, key: string): unknown {
  if (Array.isArray(node)) return node[indexIn(node, key)] as unknown;
  return isNode(node) && Object.hasOwn(node, key)
    ? (node as Readonly<Record<string, unknown>>)[key]
    : undefined;
}

/** Paths recur at every evaluation; each is split once. */
const splits = new Map<FieldPath, readonly string[]>();
const MANY_PATHS = 20_000;

function keysOf(path: FieldPath): readonly string[] {
  const known = splits.get(path);
  if (known) return known;
  if (splits.size >= MANY_PATHS) splits.clear();
  const keys = path.split('.');
  splits.set(path, keys);
  return keys;
}

/**
 * The entry at a field's path, or undefined while nothing is entered.
 * @example entryAt(withEntry(blank, 'pack.maxWear', entry(1)), 'pack.maxWear').value // 1
 */
export function entryAt(job: Job, path: FieldPath): Entry | undefined {
  let found: unknown = job;
  for (const key of keysOf(path)) {
    found = childOf(found, key);
    if (found === undefined) return undefined;
  }
  return isNode(found) && 'value' in found && typeof found.value === 'number'
    ? (found as unknown as Entry)
    : undefined;
}

/**
 * A copy of the job with the entry at `path` set, or taken out when `entry` is undefined; parts that do
 * not change are shared. A path that names a list item that is not there leaves the job as it is.
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
