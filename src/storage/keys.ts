const LAST = 'last:';
const ASIDE = 'aside:';

/** Where the version before of a record is kept. */
export const lastKey = (key: string): string => LAST + key;

/** Where a text that could not be read is kept. */
export const asideKey = ({ key, at }: { readonly key: string; readonly at: string }): string =>
  `${ASIDE}${at} ${key}`;

export const isAside = (key: string): boolean => key.startsWith(ASIDE);

/** Whether a key is that of a record. */
export const isRecord = (key: string): boolean => !key.startsWith(LAST) && !isAside(key);
