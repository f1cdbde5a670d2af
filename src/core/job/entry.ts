import type { Entry } from './types';

/**
 * An entry in the base unit; only for records made by code.
 * @example entry(2.9) // { value: 2.9 }
 */
export function entry(value: number, source?: Entry['source']): Entry {
  return source ? { value, source } : { value };
}
