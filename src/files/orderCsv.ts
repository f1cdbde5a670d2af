import Papa from 'papaparse';

import type { OrderLine } from '@/core/paper/orderList';

/**
 * An order list as CSV by RFC 4180. What a spreadsheet would take for a formula is quoted as text.
 * @param number of the job, in the first column, so that lists of several jobs can be put together
 */
export function writeOrderCsv(number: string, lines: readonly OrderLine[]): string {
  const rows = lines.map((l) => ({
    job: number,
    part: l.what,
    'what to ask for': l.spec,
    count: l.count,
    from: l.from,
    why: l.why,
  }));
  return `${Papa.unparse(rows, { newline: '\r\n', escapeFormulae: true })}\r\n`;
}
