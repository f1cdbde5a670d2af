import type { ComparedLimit } from '@/core/library/limits';
import { limitField, limitName } from '@/core/library/limits';
import type { UnitChoice } from '@/core/units/quantity';
import { formatWithUnit } from '@/core/units/quantity';

/** A difference between job and library in words: "Least stack: 33.500 mm in the job, 33.800 mm here". */
export function differenceText({ limit, here }: ComparedLimit, units: UnitChoice): string {
  const { quantity } = limitField(limit.pattern);
  const ours = limit.entry ? formatWithUnit(limit.entry.value, quantity, units) : 'no value';
  const theirs = here ? formatWithUnit(here.value, quantity, units) : 'none';
  return `${limitName(limit)}: ${theirs} in the job, ${ours} in the library`;
}
