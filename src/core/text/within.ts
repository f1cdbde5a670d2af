import type { Entry } from '../job/types';

/**
 * A value with its limits, or the limits alone for a missing value; undefined without either.
 * @param words how an entry is written
 * @example within(entry(2), entry(1), entry(3), (e) => String(e.value)) // "2; specified 1 to 3"
 */
export function within(
  value: Entry | undefined,
  min: Entry | undefined,
  max: Entry | undefined,
  words: (entry: Entry) => string,
): string | undefined {
  const asked =
    min && max
      ? `${words(min)} to ${words(max)}`
      : min
        ? `${words(min)} or more`
        : max
          ? `up to ${words(max)}`
          : '';
  if (!value) return asked ? `not recorded; specified ${asked}` : undefined;
  return asked ? `${words(value)}; specified ${asked}` : words(value);
}
