import { differenceInCalendarDays, parseISO } from 'date-fns';

import { COMPLAINTS } from '@/core/causes/knowledge';
import type { Job, Stage } from '@/core/job/types';

export const SORTS = ['worked', 'number', 'machine', 'due'] as const;
export type Sort = (typeof SORTS)[number];

/** What the list shows and in which order. */
export interface JobQuery {
  readonly search: string;
  readonly stage: Stage | 'all' | 'due' | 'archived';
  readonly sort: Sort;
}

export const ALL_JOBS: JobQuery = { search: '', stage: 'all', sort: 'worked' };

/** Wanted back within so many days counts as due. */
const SOON_DAYS = 7;

/** Days until a job is wanted back, below 0 when it is late; nothing where no day is set. */
export function daysLeft(job: Job, today: Date): number | undefined {
  return job.intake.due === undefined
    ? undefined
    : differenceInCalendarDays(parseISO(job.intake.due), today);
}

export function isDue(job: Job, today: Date): boolean {
  const days = daysLeft(job, today);
  return days !== undefined && days <= SOON_DAYS && job.stage !== 'log';
}

/** The words of a job by which it is found, in lower case. */
function wordsOf(job: Job): string {
  return [
    job.number,
    job.machine.name,
    job.machine.use,
    job.notes,
    job.strip.notes,
    ...job.intake.complaints.map((c) => COMPLAINTS[c]),
  ]
    .join(' ')
    .toLocaleLowerCase();
}

const COMPARE: Readonly<Record<Sort, (a: Job, b: Job) => number>> = {
  worked: (a, b) => b.updatedAt.localeCompare(a.updatedAt),
  number: (a, b) => a.number.localeCompare(b.number, undefined, { numeric: true }),
  machine: (a, b) => a.machine.name.localeCompare(b.machine.name),
  due: (a, b) => (a.intake.due ?? '9999').localeCompare(b.intake.due ?? '9999'),
};

/** The jobs that a query asks for: every word of the search must be in them somewhere. */
export function findJobs(jobs: readonly Job[], query: JobQuery, today: Date): readonly Job[] {
  const words = query.search.toLocaleLowerCase().split(/\s+/).filter(Boolean);
  return jobs
    .filter((job) => {
      if (job.archived !== (query.stage === 'archived')) return false;
      if (query.stage === 'due' && !isDue(job, today)) return false;
      if (
        query.stage !== 'all' &&
        query.stage !== 'due' &&
        query.stage !== 'archived' &&
        job.stage !== query.stage
      )
        return false;
      if (words.length === 0) return true;
      const text = wordsOf(job);
      return words.every((w) => text.includes(w));
    })
    .sort((a, b) => COMPARE[query.sort](a, b) || b.updatedAt.localeCompare(a.updatedAt));
}
