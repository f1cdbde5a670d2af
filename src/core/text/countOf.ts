/**
 * A number of things, singular or plural.
 * @param n a whole number, 0 or more
 * @param one the singular
 * @param many the plural, where it is not the singular and an s
 * Never throws.
 * @example countOf(1, 'disc') // "1 disc"
 * @example countOf(0, 'entry', 'entries') // "0 entries"
 */
export const countOf = (n: number, one: string, many = `${one}s`): string =>
  `${n} ${n === 1 ? one : many}`;
