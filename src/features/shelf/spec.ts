import type { EntrySpec } from '@/core/units/parseEntry';

/** How many pieces of an item. */
export const COUNT: EntrySpec = { quantity: 'count', bounds: { min: 1, max: 200, integer: true } };
