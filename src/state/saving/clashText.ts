import { fieldAt } from '@/core/job/fields';
import type { Entry } from '@/core/job/types';
import type { UnitChoice } from '@/core/units/format';
import { formatWithUnit } from '@/core/units/format';

import type { Clash } from './clashes';

/** Fields that are named; a hand in each of two tabs changes one. */
const MOST_FIELDS = 3;

/** The message to both tabs after simultaneous changes. */
export function clashText(clash: Clash, units: UnitChoice): string {
  if (clash.kind === 'value')
    return `${clash.where} was changed in two tabs at the same time. ${clash.kept} kept; ${clash.replaced} replaced. Check it.`;
  const { number, copyNumber, fields, mine } = clash;
  const [here, there] =
    mine === 'job'
      ? ['your values', 'the other tab’s values']
      : ['the other tab’s values', 'yours'];
  const named = fields.slice(0, MOST_FIELDS).map(({ path, job, copy }) => {
    const { label, quantity } = fieldAt(path);
    const text = (entry: Entry | undefined) =>
      entry ? formatWithUnit(entry.value, quantity, units) : 'empty';
    return ` ${label}: ${text(job)} in ${number}, ${text(copy)} in the copy.`;
  });
  return `${number} was changed in two tabs at the same time. It shows ${here}; ${there} are in the copy “${copyNumber}”.${named.join('')}`;
}
