import type { UnitChoice } from '@/core/units/format';
import { formatValue, formatWithUnit } from '@/core/units/format';
import type { Figure } from '@/core/evaluate/engine/figure';

/**
 * A figure as text in the builder's units, with its range where there is one: the same on screen and on paper.
 * @example figureText(sheet.known('stack'), {}).value // "34.200 mm"
 */
export function figureText(
  figure: Figure,
  units: UnitChoice,
): { readonly value: string; readonly range?: string } {
  const { value, quantity, decimals, range } = figure;
  return {
    value: formatWithUnit(value, quantity, units, decimals),
    ...(range
      ? {
          range: `${formatValue(range.low, quantity, units, decimals)} to ${formatValue(range.high, quantity, units, decimals)}`,
        }
      : {}),
  };
}
