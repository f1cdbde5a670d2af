/** A list with one item put in or taken out, in the order of `all`. */
export function toggled<T>(all: readonly T[], chosen: readonly T[], value: T): T[] {
  return all.filter((v) => (v === value) !== chosen.includes(v));
}
