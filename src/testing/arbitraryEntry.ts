import fc from 'fast-check';

import type { Bounds } from '@/core/errors';
import type { FieldPattern } from '@/core/job/fieldPath';
import { FIELDS } from '@/core/job/fields';
import type { Entry } from '@/core/job/types';

/* Arbitrary entries of a job within the bounds of their fields, and their lists. */

const EXTREME = 1e-6;

function valueWithin({ above, min, below, max, integer }: Bounds): fc.Arbitrary<number> {
  const low = min ?? above ?? -1e6;
  const high = max ?? below ?? 1e6;
  if (integer) return fc.integer({ min: Math.ceil(low), max: Math.floor(high) });
  return (
    fc
      .oneof(
        fc.double({ min: low, max: high, noNaN: true }),
        // Also right at the edges, where formulas break.
        fc.constantFrom(low + EXTREME, high - EXTREME, low + (high - low) * 0.1),
      )
      .map((v) =>
        above !== undefined && v <= above
          ? above + EXTREME
          : below !== undefined && v >= below
            ? below - EXTREME
            : v,
      )
      // Denormal numbers are refused in files.
      .map((v) => (v !== 0 && Math.abs(v) < 1e-300 ? Math.sign(v) * 1e-300 : v))
  );
}

export function anyEntry(pattern: FieldPattern): fc.Arbitrary<Entry> {
  return fc.record(
    {
      value: valueWithin(FIELDS[pattern].bounds),
      typed: fc.string({ maxLength: 12 }),
      source: fc.record(
        {
          kind: fc.constantFrom('entered', 'measured', 'manual', 'tested', 'estimate'),
          note: fc.string({ maxLength: 20 }),
        },
        { requiredKeys: ['kind'] },
      ),
    },
    { requiredKeys: ['value'] },
  ) as fc.Arbitrary<Entry>;
}

function entriesUnder(prefix: string): Record<string, fc.Arbitrary<Entry>> {
  return Object.fromEntries(
    (Object.keys(FIELDS) as FieldPattern[])
      .filter((p) => p.startsWith(`${prefix}.`) && !p.slice(prefix.length + 1).includes('.'))
      .map((p) => [p.slice(prefix.length + 1), anyEntry(p)]),
  );
}

/** Every optional entry is there or not. */
export function sparse<T extends Record<string, fc.Arbitrary<unknown>>>(
  required: T,
  prefix: string,
): fc.Arbitrary<Record<string, unknown>> {
  return fc.record(
    { ...required, ...entriesUnder(prefix) },
    { requiredKeys: Object.keys(required) },
  );
}

/** Items of a list with their identifiers: those given, then x and their place. */
export const withId = (ids: readonly string[], items: readonly object[]) =>
  items.map((item, i) => ({ ...item, id: ids[i] ?? `x${i}` }));
