import type { Compared, ComparedFigure } from '@/core/advice/compare';
import type { UnitChoice } from '@/core/units/format';
import { formatWithUnit } from '@/core/units/format';

/** A compared figure as text, or a dash while it is not known. */
export function comparedText(c: Compared, id: ComparedFigure, units: UnitChoice): string {
  const value = c.values[id];
  const quantity = c.quantities[id];
  return value === undefined || quantity === undefined
    ? '–'
    : formatWithUnit(value, quantity, units, c.decimals[id]);
}

/** Whether two figures show a difference. */
export function differs(a: Compared, b: Compared, id: ComparedFigure, units: UnitChoice): boolean {
  return comparedText(a, id, units) !== comparedText(b, id, units);
}

/** Below this share a change is none. */
const NOTHING = 0.0005;

/**
 * What another pack changes in a figure: "+0.470 mm" for lengths and counts, "−12 %" for all else; empty where it shows no
 * difference.
 */
export function differenceText(
  now: Compared,
  other: Compared,
  id: ComparedFigure,
  units: UnitChoice,
): string {
  const [a, b, quantity] = [now.values[id], other.values[id], other.quantities[id]];
  if (a === undefined || b === undefined || quantity === undefined) return '';
  if (!differs(now, other, id, units)) return '';
  const sign = b > a ? '+' : '−';
  if (quantity === 'length' || quantity === 'count' || a === 0)
    return `${sign}${formatWithUnit(Math.abs(b - a), quantity, units, other.decimals[id])}`;
  const share = Math.abs(b / a - 1);
  return share < NOTHING ? '' : `${sign}${(share * 100).toFixed(share < 0.0995 ? 1 : 0)} %`;
}
