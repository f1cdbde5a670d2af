import type { StockPlate } from '@/core/shelf/stock';
import type { EntrySpec } from '@/core/units/entrySpec';

/** How many pieces of an item; no fewer than lie in jobs. */
export const countFrom = (reserved: number): EntrySpec => ({
  quantity: 'count',
  bounds: { min: Math.max(1, reserved), max: 200, integer: true },
});
export const COUNT = countFrom(1);

export const SORT_OPTIONS = [
  { value: 'steel', label: 'Steel' },
  { value: 'disc', label: 'Disc' },
] as const satisfies readonly { value: StockPlate['sort']; label: string }[];
