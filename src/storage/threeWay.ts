/*
 * Merges changes of two tabs: a change of only one tab is taken, item by item and field by field; where both changed a value,
 * this tab's wins.
 */

interface Item {
  readonly id: string;
}

/** Called for each value both changed: its path, and both values. */
type OnClash = (path: readonly unknown[], mine: unknown, theirs: unknown) => void;

/**
 * @param base the common start
 */
export function threeWay(
  base: unknown,
  mine: unknown,
  theirs: unknown,
  onClash: OnClash = () => undefined,
  path: readonly unknown[] = [],
): unknown {
  if (same(mine, base)) return theirs;
  if (same(theirs, base) || same(mine, theirs)) return mine;
  if (isItems(mine) && isItems(theirs) && (base === undefined || isItems(base)))
    return mergedItems(base ?? [], mine, theirs, onClash, path);
  if (isPlain(mine) && isPlain(theirs)) {
    const old = isPlain(base) ? base : {};
    return Object.fromEntries(
      [...new Set([...Object.keys(theirs), ...Object.keys(mine)])].flatMap((key) => {
        const value = threeWay(old[key], mine[key], theirs[key], onClash, [...path, key]);
        return value === undefined ? [] : [[key, value] as const];
      }),
    );
  }
  if (base !== undefined) onClash(path, mine, theirs);
  return mine;
}

/** In the other tab's order, new items after it. */
function mergedItems(
  base: readonly Item[],
  mine: readonly Item[],
  theirs: readonly Item[],
  onClash: OnClash,
  path: readonly unknown[],
): Item[] {
  const [old, own, other] = [base, mine, theirs].map(
    (items) => new Map(items.map((item) => [item.id, item] as const)),
  );
  return [...new Set([...theirs, ...mine].map((item) => item.id))].flatMap((id) => {
    const [was, here, there] = [old, own, other].map((items) => items?.get(id));
    const value = threeWay(was, here, there, onClash, [...path, here ?? there]);
    return value === undefined ? [] : [value as Item];
  });
}

const same = (a: unknown, b: unknown): boolean =>
  a === b || JSON.stringify(a) === JSON.stringify(b);

const isPlain = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const isItems = (value: unknown): value is readonly Item[] =>
  Array.isArray(value) && value.every((item) => isPlain(item) && typeof item.id === 'string');
