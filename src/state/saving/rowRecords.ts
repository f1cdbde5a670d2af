import type { JobRow, RowVerdict } from '@/core/job/row';
import { STAGES } from '@/core/job/types';
import { byText } from '@/core/order';
import { rowFor, rowWith } from '@/state/jobs/rows';
import type { RootState } from '@/state/store';
import { verdictOn } from '@/state/verdictsSlice';

/*
 * The rows of the list, stored beside the jobs: a large workshop shows its list from these before its jobs are read.
 * They lie in a few records, so that an edit writes a small part of them and opening reads few.
 */

export const ROWS_KEY = 'rows:';
const RECORDS = 16;

function recordOf(id: string): string {
  let sum = 0;
  for (let i = 0; i < id.length; i++) sum = (sum * 31 + id.charCodeAt(i)) >>> 0;
  return ROWS_KEY + (sum % RECORDS).toString(RECORDS);
}

/** Makes the records of rows; one in which no row changed is the same one as before. */
export class RowRecords {
  private last: ReadonlyMap<string, readonly JobRow[]> = new Map();

  /** Starts from stored rows; invalid rows are left out, and their jobs are read at once. */
  begin(found: ReadonlyMap<string, unknown>): readonly JobRow[] {
    this.last = new Map(
      [...found]
        .filter(([key]) => key.startsWith(ROWS_KEY))
        .map(([key, value]) => [key, Array.isArray(value) ? value.filter(isRow) : []]),
    );
    return [...this.last.values()].flat();
  }

  of({ jobs: { entities, unread }, verdicts }: RootState): ReadonlyMap<string, readonly JobRow[]> {
    const now = new Map<string, JobRow[]>();
    const put = (row: JobRow) => {
      const key = recordOf(row.id);
      const rows = now.get(key);
      if (rows) rows.push(row);
      else now.set(key, [row]);
    };
    for (const job of Object.values(entities)) {
      const verdict = verdictOn(verdicts, job);
      put(verdict ? rowWith(job, verdict) : rowFor(job));
    }
    for (const row of Object.values(unread)) put(row);
    for (const rows of now.values()) rows.sort((a, b) => byText(a.id, b.id));
    this.last = new Map([...now].map(([key, rows]) => [key, kept(this.last.get(key), rows)]));
    return this.last;
  }
}

function kept(before: readonly JobRow[] | undefined, now: readonly JobRow[]): readonly JobRow[] {
  return before?.length === now.length && before.every((row, i) => isSame(row, now[i]))
    ? before
    : now;
}

const isSame = (a: JobRow, b: JobRow | undefined): boolean =>
  a === b || JSON.stringify(a) === JSON.stringify(b);

const TEXTS = ['id', 'number', 'name', 'use', 'updatedAt', 'words'] as const;

/** Whether a value has all that a list shows, finds and sorts by. */
export function isRow(value: unknown): value is JobRow {
  if (typeof value !== 'object' || value === null) return false;
  const row = value as Readonly<Record<string, unknown>>;
  return (
    TEXTS.every((key) => typeof row[key] === 'string') &&
    typeof row.archived === 'boolean' &&
    STAGES.some((stage) => stage === row.stage) &&
    (row.verdict === undefined || isVerdict(row.verdict))
  );
}

const STATES: readonly RowVerdict['state'][] = ['good', 'watch', 'stop', 'unknown'];

function isVerdict(value: unknown): value is RowVerdict {
  if (typeof value !== 'object' || value === null) return false;
  const { state, title, next } = value as Readonly<Record<string, unknown>>;
  return (
    typeof title === 'string' &&
    (next === undefined || typeof next === 'string') &&
    STATES.some((known) => known === state)
  );
}
