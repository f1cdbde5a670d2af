/* Edits that the slices share: lists of things with identifiers, in an order that an edit leaves alone. */

interface Item {
  readonly id: string;
}

/** A list with an item in the place of the one of its identifier, or at the end. */
export function put<T extends Item>(items: readonly T[], item: T): readonly T[] {
  const known = items.some((i) => i.id === item.id);
  return known ? items.map((i) => (i.id === item.id ? item : i)) : [...items, item];
}

export const without = <T extends Item>(items: readonly T[], id: string): T[] =>
  items.filter((i) => i.id !== id);
