import { differenceInCalendarDays, parseISO } from 'date-fns';

import type { JobRow } from '@/core/job/row';

/* Due date of a job; separate, since a stored list may be shown on another day. */

/** Days ahead that count as due. */
const SOON_DAYS = 7;

type Wanted = Pick<JobRow, 'due' | 'stage'>;

/** Days until the due date, negative when late; undefined without one. */
export function daysLeft({ due }: Pick<Wanted, 'due'>, today: Date): number | undefined {
  return due === undefined ? undefined : differenceInCalendarDays(parseISO(due), today);
}

export function isDue(job: Wanted, today: Date): boolean {
  const days = daysLeft(job, today);
  return days !== undefined && days <= SOON_DAYS && job.stage !== 'log';
}

/** When something is due that has a day, in words. */
export function dueText(due: string, today: Date): string {
  const days = differenceInCalendarDays(parseISO(due), today);
  if (days < 0) return days === -1 ? 'due yesterday' : `${-days} days late`;
  return days === 0 ? 'due today' : days === 1 ? 'due tomorrow' : `due in ${days} days`;
}
