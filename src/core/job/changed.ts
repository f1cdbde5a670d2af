import type { FieldPath } from './fieldPath';
import { isFieldPath } from './fields';
import { entryAt } from './entryAt';
import type { Job } from './types';

type Node = Readonly<Record<string, unknown>> | readonly unknown[];

const isNode = (value: unknown): value is Node => typeof value === 'object' && value !== null;

const children = (node: unknown): ReadonlyMap<string, unknown> =>
  Array.isArray(node)
    ? new Map(
        node.flatMap((item: unknown) =>
          isNode(item) && 'id' in item ? [[String(item.id), item] as const] : [],
        ),
      )
    : new Map(isNode(node) ? Object.entries(node) : []);

/**
 * The paths of the numeric fields in which two records of one job differ.
 * @example changedFields(blank, withEntry(blank, 'pack.maxWear', entry(1))) // ["pack.maxWear"]
 */
export function changedFields(a: Job, b: Job): readonly FieldPath[] {
  const paths: FieldPath[] = [];
  const walk = (left: unknown, right: unknown, path: string) => {
    // Parts that did not change are shared.
    if (left === right) return;
    if (isFieldPath(path)) {
      if (entryAt(a, path)?.value !== entryAt(b, path)?.value) paths.push(path);
      return;
    }
    const [of, to] = [children(left), children(right)];
    for (const key of new Set([...of.keys(), ...to.keys()]))
      walk(of.get(key), to.get(key), path === '' ? key : `${path}.${key}`);
  };
  walk(a, b, '');
  return paths;
}
