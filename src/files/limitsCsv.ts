import type { LimitSheet } from '@/core/library/limits';
import { limitName } from '@/core/library/limits';

import { writeCsv } from './writeCsv';

/** Every limit of the shop's library, a line each, in base units. */
export const writeLimitsCsv = (library: readonly LimitSheet[]): string =>
  writeCsv(
    ['sheet', 'limit', 'value'],
    library.flatMap(({ name, limits }) =>
      limits.map((l) => ({ sheet: name, limit: limitName(l), value: l.entry.value })),
    ),
  );
