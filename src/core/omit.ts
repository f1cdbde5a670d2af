/**
 * Copies an object without some of its properties.
 * @example omit({ a: 1, b: 2 }, 'b') // { a: 1 }
 */
export function omit<T extends object, K extends keyof T>(
  value: T,
  ...keys: readonly K[]
): Omit<T, K> {
  const gone = new Set<PropertyKey>(keys);
  return Object.fromEntries(Object.entries(value).filter(([key]) => !gone.has(key))) as Omit<T, K>;
}
