/* Edits that the slices share: lists of things with identifiers, in an order that an edit leaves alone. */

interface Item {
  readonly id: string;
}

/**
 * A list with an item in the place of the one of its identifier, or at the end.
 * @param most items that a file takes: a full list takes no more
 */
export function putItem<T extends Item>(items: readonly T[], item: T, most: number): readonly T[] {
  if (items.some((i) => i.id === item.id)) return items.map((i) => (i.id === item.id ? item : i));
  return items.length < most ? [...items, item] : items;
}

export const without = <T extends Item>(items: readonly T[], id: string): T[] =>
  items.filter((i) => i.id !== id);
