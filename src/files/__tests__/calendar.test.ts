import { jobsOfEachKind, scree } from '@/testing/jobs';
import ICAL from 'ical.js';

import { dueOf } from '@/core/due/due';

import { writeCalendar } from '../calendar';

const NOW = new Date('2026-11-20T10:00:00.000Z');

function eventsOf(text: string) {
  return new ICAL.Component(ICAL.parse(text) as unknown[])
    .getAllSubcomponents('vevent')
    .map((c) => new ICAL.Event(c));
}

describe('the calendar', () => {
  const due = dueOf(jobsOfEachKind(), NOW.toISOString());
  const text = writeCalendar(due, NOW);

  it('is read back by another parser, event for event', () => {
    const events = eventsOf(text);
    expect(events).toHaveLength(due.length);
    due.forEach((d, i) => {
      const event = events[i];
      expect(event?.uid).toBe(`${d.id}@under-ridge.invalid`);
      expect(event?.summary).toBe(`${d.number} ${d.machine}: ${d.title}`);
      if (d.at) expect(event?.startDate.toJSDate().toISOString()).toBe(d.at);
      else expect(event?.startDate.toString()).toBe(d.day);
    });
  });

  it('updates and does not double: the same identifiers, a higher number', () => {
    const later = eventsOf(writeCalendar(due, new Date(NOW.getTime() + 3_600_000)));
    const first = eventsOf(text);
    expect(later.map((e) => e.uid)).toEqual(first.map((e) => e.uid));
    expect(later.every((e, i) => e.sequence > (first[i]?.sequence ?? Infinity))).toBe(true);
  });

  it('keeps hostile names as text, in lines of at most 75 octets', () => {
    const base = scree();
    const job = { ...base, intake: { ...base.intake, due: '2026-12-01' } };
    const name = 'Holm;,\\\r\nBEGIN:VEVENT\u202e 😀 '.repeat(8);
    const hostile = writeCalendar(
      dueOf([{ ...job, machine: { ...job.machine, name } }], NOW.toISOString()),
      NOW,
    );
    const events = eventsOf(hostile);
    expect(events).toHaveLength(1);
    expect(events[0]?.summary.replace(/\r?\n/g, '\n')).toContain(
      name.replace(/\r\n/g, '\n').trim(),
    );
    for (const line of hostile.split('\r\n'))
      expect(Buffer.byteLength(line, 'utf8')).toBeLessThanOrEqual(75);
    expect(text).not.toMatch(/^X-(?!WR-)/m);
  });
});
