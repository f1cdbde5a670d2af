import fc from 'fast-check';

import { METER, overRound, runText } from '../meter';

describe('what a meter counts', () => {
  it('reads as on the meter, in the builder’s own unit', () => {
    expect(runText(278.4, METER.hours, { distance: 'mi' })).toBe('278 h');
    expect(runText(46_800, METER.distance, {})).toBe('46800 km');
    expect(runText(46_800, METER.distance, { distance: 'mi' })).toBe('29080 mi');
  });

  it('gives a rate over a round length of the unit shown', () => {
    expect(overRound(1e-5, 5000, METER.distance, {})).toEqual({ value: 0.05, over: '5000 km' });
    const miles = overRound(1e-5, 5000, METER.distance, { distance: 'mi' });
    expect(miles.over).toBe('5000 mi');
    expect(miles.value).toBeCloseTo(0.05 * 1.609344, 12);
  });

  it('gives the same wear in miles as in kilometres', () => {
    fc.assert(
      fc.property(fc.double({ min: 1e-7, max: 1e-3, noNaN: true }), (perKm) => {
        const inKm = overRound(perKm, 1000, METER.distance, {});
        const inMiles = overRound(perKm, 1000, METER.distance, { distance: 'mi' });
        expect(inMiles.value / inKm.value).toBeCloseTo(1.609344, 9);
      }),
    );
  });
});
