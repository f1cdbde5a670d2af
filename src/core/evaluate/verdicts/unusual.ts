import type { Problem } from '@/core/evaluate/engine/problem';
import type { Sheet } from '@/core/evaluate/engine/sheet';
import { entryAt } from '@/core/job/entryAt';
import type { FieldPath } from '@/core/job/fieldPath';
import type { FieldSpec } from '@/core/job/specs/spec';
import { say } from '@/core/text/sentence';

/**
 * Entries outside what real parts have: asked about at their field.
 * @param fields by their paths; those without a range are not looked at
 * @example unusualEntries(sheet, {}) // []
 */
export const unusualEntries = (
  { job }: Sheet,
  fields: Readonly<Partial<Record<string, FieldSpec>>>,
): readonly Problem[] =>
  Object.entries(fields).flatMap(([path, field]): Problem[] => {
    const value = entryAt(job, path as FieldPath)?.value;
    const [low, high] = field?.plausible ?? [];
    if (!field || value === undefined || low === undefined || high === undefined) return [];
    if (value >= low && value <= high) return [];
    const amount = (of: number) => ({ value: of, quantity: field.quantity });
    return [
      {
        path: path as FieldPath,
        state: 'watch',
        sentence: say`Usually from ${amount(low)} to ${amount(high)}: is this right?`,
      },
    ];
  });
