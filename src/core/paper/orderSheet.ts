import type { Job } from '../job/types';
import { orderList } from './orderList';
import type { Paper, PaperBlock, SheetOptions } from './paper';
import { titleOf } from './paper';

/**
 * The order list as a sheet.
 * @example orderSheet(half).title // "T-1 Crag 400"
 */
export function orderSheet(job: Job, options: SheetOptions = {}): Paper {
  const { units = {} } = options;
  const lines = orderList(job, units, options.evaluation);
  const table = (from: 'shelf' | 'order', heading: string): PaperBlock[] => {
    const of = lines.filter((l) => l.from === from);
    return of.length === 0
      ? []
      : [
          { kind: 'heading', text: heading },
          {
            kind: 'table',
            columns: [
              { title: 'Part' },
              { title: 'Specification' },
              { title: 'Quantity', digits: true },
              { title: 'Reason' },
            ],
            rows: of.map((l) => [l.what, l.spec, String(l.count), l.why]),
          },
        ];
  };
  return {
    title: titleOf(job),
    subtitle: 'Order list',
    foot: job.number,
    blocks: [
      ...(lines.length === 0
        ? [{ kind: 'text', text: 'No parts needed for this job.' } satisfies PaperBlock]
        : []),
      ...table('shelf', 'From the shelf'),
      ...table('order', 'To order'),
    ],
  };
}
