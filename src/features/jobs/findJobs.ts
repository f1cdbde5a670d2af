import type { JobRow } from '@/core/job/row';
import type { Stage } from '@/core/job/types';
import { STAGES } from '@/core/job/types';
import { byName, byText } from '@/core/order';

import { isDue } from './due';

export const SORTS = ['worked', 'number', 'machine', 'due', 'stage', 'verdict'] as const;
export type Sort = (typeof SORTS)[number];

/** The worst verdict first. */
const rankOf = ({ verdict }: JobRow): number =>
  ['stop', 'watch', 'unknown', 'good'].indexOf(verdict?.state ?? 'unknown');

/** Filter and order of the list. */
export interface JobQuery {
  readonly search: string;
  readonly stage: Stage | 'all' | 'due' | 'archived';
  readonly sort: Sort;
}

export const ALL_JOBS: JobQuery = { search: '', stage: 'all', sort: 'worked' };

const COMPARE: Readonly<Record<Sort, (a: JobRow, b: JobRow) => number>> = {
  worked: (a, b) => byText(b.updatedAt, a.updatedAt),
  number: (a, b) => byName(a.number, b.number),
  machine: (a, b) => byName(a.name, b.name),
  due: (a, b) => byText(a.due ?? '9999', b.due ?? '9999'),
  stage: (a, b) => STAGES.indexOf(a.stage) - STAGES.indexOf(b.stage),
  verdict: (a, b) => rankOf(a) - rankOf(b),
};

/** The jobs that match a query: every word must occur. */
export function findJobs(
  jobs: readonly JobRow[],
  { search, stage, sort }: JobQuery,
  today: Date,
): readonly JobRow[] {
  const words = search.toLocaleLowerCase().split(/\s+/).filter(Boolean);
  return jobs
    .filter((job) => {
      if (job.archived !== (stage === 'archived')) return false;
      if (stage === 'due' && !isDue(job, today)) return false;
      if (stage !== 'all' && stage !== 'due' && stage !== 'archived' && job.stage !== stage)
        return false;
      return words.every((w) => job.words.includes(w));
    })
    .sort(
      (a, b) =>
        COMPARE[sort](a, b) || byText(b.updatedAt, a.updatedAt) || byText(b.number, a.number),
    );
}
