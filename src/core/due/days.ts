import type { Job } from '../job/types';

/**
 * Whether a text is a day of the calendar, as ISO 8601 writes it.
 * @example isDay('2026-02-30') // false
 */
export function isDay(text: string): boolean {
  if (!/^\d{4}-\d{2}-\d{2}$/.test(text)) return false;
  const at = Date.parse(`${text}T00:00:00.000Z`);
  return Number.isFinite(at) && new Date(at).toISOString().startsWith(text);
}

/**
 * Whether a text is a moment in UTC on such a day, as ISO 8601 writes it.
 * @example isMoment('2026-11-28T25:00:00Z') // false
 */
export const isMoment = (text: string): boolean =>
  /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}(\.\d{1,3})?Z$/.test(text) &&
  isDay(text.slice(0, 10)) &&
  Number.isFinite(Date.parse(text));

/**
 * Whether every date by which a job is listed is one of the calendar.
 * @example hasRealDates(job) // true
 */
export const hasRealDates = ({ intake, visits, build, signOff, createdAt }: Job): boolean =>
  [intake.due, ...visits.map((v) => v.date)].every((day) => day === undefined || isDay(day)) &&
  [createdAt, build.soakStart, ...signOff.revisions.map((r) => r.signedAt)].every(
    (time) => time === undefined || isMoment(time),
  );
