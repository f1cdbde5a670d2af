import { lightFormat, parseISO } from 'date-fns';

/* Dates and times on screen, and days in records. */

/** A day or a moment as it is kept, or as the clock gives it. */
export type When = string | Date;

const dateOf = (when: When): Date => (typeof when === 'string' ? parseISO(when) : when);

// The browser would know them too, and take 20 ms to look.
const MONTHS = 'Jan Feb Mar Apr May Jun Jul Aug Sep Oct Nov Dec'.split(' ');

/** A day as it is kept: "2026-11-09"; today when no other is given. */
export const isoDay = (date = new Date()): string => lightFormat(date, 'yyyy-MM-dd');

/** "9 Nov" */
const shortDay = (date: Date): string => `${date.getDate()} ${MONTHS[date.getMonth()]}`;

const timeOfDay = (date: Date): string => lightFormat(date, 'HH:mm');

/** "9 Nov 2026" */
export function dayText(when: When): string {
  const date = dateOf(when);
  return `${shortDay(date)} ${date.getFullYear()}`;
}

/** "9 Nov 2026, 14:05" */
export const momentText = (when: When): string => `${dayText(when)}, ${timeOfDay(dateOf(when))}`;

/** "9 Nov, 14:05", for near dates. */
export function nearMomentText(when: When): string {
  const date = dateOf(when);
  return `${shortDay(date)}, ${timeOfDay(date)}`;
}

/** A moment for the name of a file: "2026-11-09-1405" */
export const fileMoment = (date: Date): string => lightFormat(date, 'yyyy-MM-dd-HHmm');
