import ical, { ICalCalendarMethod, ICalEventStatus } from 'ical-generator';

import type { Due } from '@/core/due/due';
import { readSentence } from '@/core/text/sentence';

/** Suffix of identifiers, required by RFC 5545; not a real address. */
const NAMESPACE = 'under-ridge.invalid';

/**
 * Due dates as iCalendar (RFC 5545). Event identifiers are stable, so that a calendar updates events instead of duplicating
 * them.
 * @param now time of the export; it also is the number by which a later export goes before an earlier one
 */
export function writeCalendar(due: readonly Due[], now: Date): string {
  const calendar = ical({
    name: 'Under Ridge: due',
    prodId: { company: 'Under Ridge', product: 'Workshop', language: 'EN' },
    method: ICalCalendarMethod.PUBLISH,
  });
  // Whole minutes since 2020: rises with every export and stays a whole number that calendars take.
  const sequence = Math.max(0, Math.floor((now.getTime() - Date.UTC(2020, 0, 1)) / 60_000));
  for (const d of due) {
    const start = d.at ? new Date(d.at) : new Date(`${d.day}T00:00:00.000Z`);
    calendar.createEvent({
      id: `${d.id}@${NAMESPACE}`,
      sequence,
      stamp: now,
      start,
      ...(d.at
        ? { end: new Date(start.getTime() + 15 * 60_000) }
        : { allDay: true, timezone: null }),
      summary: `${d.number} ${d.machine}: ${d.title}`,
      description: readSentence(d.reason),
      status: ICalEventStatus.CONFIRMED,
    });
  }
  // Lines that only one maker's calendar reads are left out.
  const lines = calendar
    .toString()
    .split('\r\n')
    .filter((line) => line !== '' && !/^X-(?!WR-)/.test(line));
  return `${lines.join('\r\n')}\r\n`;
}
