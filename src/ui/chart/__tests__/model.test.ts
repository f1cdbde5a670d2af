import fc from 'fast-check';

import { scalesOf, valueAt, wholeOf, zoomed } from '../model';

const line = (ys: readonly number[]) => ys.map((y, x) => ({ x, y }));

describe('what a chart shows', () => {
  it('reads a line between its points, and nothing outside them', () => {
    const points = line([0, 10, 30]);
    expect(valueAt(points, 1)).toBe(10);
    expect(valueAt(points, 1.5)).toBeCloseTo(20, 9);
    expect(valueAt(points, 0)).toBe(0);
    expect(valueAt(points, -1)).toBeUndefined();
    expect(valueAt(points, 3)).toBeUndefined();
    expect(valueAt([], 1)).toBeUndefined();
  });

  it('enlarges around a place, never beyond the whole, and gives all of it back', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 10, noNaN: true }),
        fc.array(fc.boolean(), { maxLength: 12 }),
        (around, steps) => {
          const whole = { from: 0, to: 10 };
          let view: typeof whole = whole;
          for (const closer of steps) view = zoomed(whole, view, around, closer);
          expect(view.from).toBeGreaterThanOrEqual(-1e-9);
          expect(view.to).toBeLessThanOrEqual(10 + 1e-9);
          expect(view.to - view.from).toBeGreaterThanOrEqual(10 / 16 - 1e-9);
          for (let i = 0; i < 5; i++) view = zoomed(whole, view, around, false);
          expect(view.from).toBeCloseTo(0, 9);
          expect(view.to).toBeCloseTo(10, 9);
        },
      ),
    );
  });

  it('leaves room for limits and for what is in view', () => {
    const content = { lines: [{ name: 'a', points: line([1, 2, 50]) }] };
    const size = { width: 300, height: 200 };
    const all = scalesOf(content, wholeOf(content), size);
    expect(all.y.domain()[1]).toBeGreaterThanOrEqual(50);
    const part = scalesOf(content, { from: 0, to: 1 }, size);
    expect(part.y.domain()[1]).toBeLessThan(10);
    const limited = scalesOf(
      { ...content, levels: [{ at: 90, name: 'limit' }] },
      { from: 0, to: 1 },
      size,
    );
    expect(limited.y.domain()[1]).toBeGreaterThanOrEqual(90);
  });
});
