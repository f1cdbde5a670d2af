/**
 * Changes one item of a list, by its identifier.
 * @example changeItem([{ id: 'a', n: 1 }], 'a', { n: 2 }) // [{ id: 'a', n: 2 }]
 */
export const changeItem = <T extends { readonly id: string }>(
  items: readonly T[],
  id: string,
  part: Partial<NoInfer<T>>,
): T[] => items.map((item) => (item.id === id ? { ...item, ...part } : item));

/**
 * Finds a name that is still free: "Disc", "Disc 2", and on.
 * @example freeName('Disc', ['Disc']) // "Disc 2"
 */
export function freeName(base: string, taken: readonly string[]): string {
  for (let n = 1; ; n++) {
    const name = n === 1 ? base : `${base} ${n}`;
    if (!taken.includes(name)) return name;
  }
}
