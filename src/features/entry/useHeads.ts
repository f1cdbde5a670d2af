import type { FieldPath } from '@/core/job/fieldPath';
import { fieldAt } from '@/core/job/fields';
import { unitsFor } from '@/core/units/entrySpec';
import { shownUnit } from '@/core/units/format';
import { useUnits } from '@/features/display/useUnits';

/**
 * Names of a table's columns with the units in use: "Lift, mm". Its fields show none.
 * @param columns each a name and a field of that column, of any row
 */
export function useHeads(columns: readonly (readonly [string, FieldPath])[]): readonly string[] {
  const units = useUnits();
  return columns.map(([name, path]) => {
    const field = fieldAt(path);
    const { symbol } = shownUnit(field.quantity, unitsFor(field, units));
    return symbol ? `${name}, ${symbol}` : name;
  });
}
