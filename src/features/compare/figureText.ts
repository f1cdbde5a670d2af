import type { Compared, ComparedFigure } from '@/core/advice/compare';
import type { UnitChoice } from '@/core/units/quantity';
import { formatWithUnit } from '@/core/units/quantity';

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
