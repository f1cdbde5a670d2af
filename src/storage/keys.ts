const LAST = 'last:';
const DAMAGED = 'aside:';

/** Where the version before of a record is kept. */
export const lastKey = (key: string): string => LAST + key;

/** Where a text that could not be read is kept. */
export const damagedKey = ({ key, at }: { readonly key: string; readonly at: string }): string =>
  `${DAMAGED}${at} ${key}`;

export const isDamagedKey = (key: string): boolean => key.startsWith(DAMAGED);

/** Whether a key is that of a record. */
export const isRecord = (key: string): boolean => !key.startsWith(LAST) && !isDamagedKey(key);
