import fc from 'fast-check';

import { roadLoad } from '../road';

const angle = fc.double({ min: 0, max: Math.PI / 2, noNaN: true });

describe('what holds a machine back on a road', () => {
  it('is rolling alone on the flat, and the whole weight on a wall', () => {
    expect(roadLoad(0)).toBeCloseTo(0.02, 12);
    expect(roadLoad(Math.PI / 2)).toBeCloseTo(1, 12);
    expect(roadLoad(-Math.PI / 2)).toBeCloseTo(-1, 12);
    // A grade of 1 in 10: rolling on it, and its sine.
    expect(roadLoad(Math.atan(0.1))).toBeCloseTo(0.12 / Math.sqrt(1.01), 12);
  });

  it('rolls the same either way, and the grade helps down by what it costs up', () => {
    fc.assert(
      fc.property(angle, (a) => {
        expect(roadLoad(a) + roadLoad(-a)).toBeCloseTo(2 * 0.02 * Math.cos(a), 9);
        expect(roadLoad(a) - roadLoad(-a)).toBeCloseTo(2 * Math.sin(a), 9);
      }),
    );
  });

  it('takes no road steeper than a wall', () => {
    expect(() => roadLoad(1.6)).toThrow('angle');
    expect(() => roadLoad(Number.NaN)).toThrow('angle');
  });
});
