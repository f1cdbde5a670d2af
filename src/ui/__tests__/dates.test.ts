import fc from 'fast-check';

import { dayText, fileMoment, isoDay, momentText, nearMomentText } from '../dates';

const AT = new Date(2026, 10, 9, 14, 5);

describe('days and moments', () => {
  it('stand on the screen as they are spoken of, whatever the device’s country', () => {
    expect(dayText(AT)).toBe('9 Nov 2026');
    expect(dayText('2026-03-01')).toBe('1 Mar 2026');
    expect(momentText(AT)).toBe('9 Nov 2026, 14:05');
    expect(nearMomentText(AT)).toBe('9 Nov, 14:05');
    // Hours below ten, and the first minute of a day.
    expect(momentText(new Date(2026, 0, 31, 0, 0))).toBe('31 Jan 2026, 00:00');
    expect(nearMomentText(new Date(2026, 11, 31, 9, 7))).toBe('31 Dec, 09:07');
  });

  it('are kept as a day, and name a file in an order that sorts', () => {
    expect(isoDay(AT)).toBe('2026-11-09');
    expect(fileMoment(AT)).toBe('2026-11-09-1405');
    const any = fc.date({
      min: new Date(2000, 0, 1),
      max: new Date(2099, 11, 31),
      noInvalidDate: true,
    });
    fc.assert(
      fc.property(any, any, (a, b) => {
        const [first, second] = a <= b ? [a, b] : [b, a];
        expect(fileMoment(first) <= fileMoment(second)).toBe(true);
        expect(isoDay(first) <= isoDay(second)).toBe(true);
        // The day that is shown is the day that is kept.
        expect(dayText(isoDay(a))).toBe(dayText(a));
      }),
    );
  });
});
