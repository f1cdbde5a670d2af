import fc from 'fast-check';

import { spreadLabels } from '../spreadLabels';

describe('labels beside a drawing', () => {
  it('keep their distance and their order, inside their room, as many pushed down as up', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 20, max: 480, noNaN: true }), { minLength: 1, maxLength: 20 }),
        (ys) => {
          const wanted = [...ys].sort((a, b) => b - a);
          const placed = spreadLabels(wanted, 17, 8, 520);
          placed.forEach((y, i) => {
            expect(y).toBeLessThanOrEqual(520 + 1e-9);
            expect(y).toBeGreaterThanOrEqual(8 - 1e-9);
            if (i > 0) expect((placed[i - 1] ?? 0) - y).toBeGreaterThanOrEqual(17 - 1e-9);
          });
        },
      ),
    );
    // Two at one place part evenly; labels apart stay where they are.
    expect(spreadLabels([100, 100], 20, 8, 520)).toEqual([110, 90]);
    expect(spreadLabels([300, 200, 100], 17, 8, 520)).toEqual([300, 200, 100]);
    expect(spreadLabels([], 17, 8, 520)).toEqual([]);
  });
});
