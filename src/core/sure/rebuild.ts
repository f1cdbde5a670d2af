import { indexIn, isNode, keysOf } from '../job/entryAt';
import { entry } from '../job/entry';
import type { FieldPath } from '../job/fieldPath';
import type { Job } from '../job/types';

/* Copies of a job that differ in a few entries, many times over. */

/** Where a number goes: a field, or the readings of a plate. */
export type Place =
  | { readonly path: FieldPath; readonly from: number }
  | { readonly plateId: string; readonly from: number };

type Make = (value: number) => unknown;

interface Branch {
  readonly children: Map<string | number, Branch>;
  /** The number that goes here, and what is made of it. */
  leaf?: { readonly from: number; readonly make: Make };
}

const branch = (): Branch => ({ children: new Map() });

const asEntry: Make = (value) => entry(value);
const asReadings: Make = (value) => ({ 1: entry(value) });

/**
 * A function that copies a job with given numbers at given places. Parts without a place are shared.
 * @param places each a path with the index of its number; of a plate the readings are replaced by one
 * @example rebuilder(job, [{ path: 'engine.peakTorque', from: 0 }])([50]).engine.peakTorque.value // 50
 */
export function rebuilder(job: Job, places: readonly Place[]): (values: ArrayLike<number>) => Job {
  const root = branch();
  for (const place of places) {
    const keys =
      'path' in place ? keysOf(place.path) : ['pack', 'plates', place.plateId, 'readings'];
    let at = root;
    let node: unknown = job;
    for (const key of keys) {
      const step = Array.isArray(node) ? indexIn(node, key) : key;
      let next = at.children.get(step);
      if (!next) at.children.set(step, (next = branch()));
      at = next;
      node = isNode(node) ? (node as Readonly<Record<string | number, unknown>>)[step] : undefined;
    }
    at.leaf = { from: place.from, make: 'path' in place ? asEntry : asReadings };
  }
  return (values) => copied(job, root, values) as Job;
}

function copied(node: unknown, { children, leaf }: Branch, values: ArrayLike<number>): unknown {
  if (leaf) return leaf.make(values[leaf.from] ?? Number.NaN);
  const copy = Array.isArray(node)
    ? [...(node as readonly unknown[])]
    : { ...(node as Readonly<Record<string, unknown>> | undefined) };
  const parts = copy as Record<string | number, unknown>;
  for (const [key, child] of children) parts[key] = copied(parts[key], child, values);
  return copy;
}
