import type { OrderLine } from '@/core/paper/orderList';

import { writeCsv } from './writeCsv';

/**
 * An order list as CSV.
 * @param number of the job, in the first column, so that lists of several jobs can be put together
 */
export function writeOrderCsv(number: string, lines: readonly OrderLine[]): string {
  return writeCsv(
    ['job', 'part', 'specification', 'count', 'from', 'why'],
    lines.map((l) => ({
      job: number,
      part: l.what,
      specification: l.spec,
      count: l.count,
      from: l.from,
      why: l.why,
    })),
  );
}
