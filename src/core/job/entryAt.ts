import type { FieldPath } from './fieldPath';
import type { Entry, Job } from './types';

export type Node = Readonly<Record<string, unknown>> | readonly unknown[];

/**
 * Whether a value has keys or items.
 * @example isNode([]) // true
 */
export function isNode(value: unknown): value is Node {
  return typeof value === 'object' && value !== null;
}

/**
 * The index of a list item, by its `id`; -1 where it is not there.
 * @example indexIn([{ id: 'a' }], 'a') // 0
 */
export function indexIn(list: readonly unknown[], key: string): number {
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

const splits = new Map<FieldPath, readonly string[]>();
const MANY_PATHS = 20_000;

/**
 * The keys of a path. Paths recur at every evaluation; each is split once.
 * @example keysOf('pack.maxWear') // ["pack", "maxWear"]
 */
export function keysOf(path: FieldPath): readonly string[] {
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
