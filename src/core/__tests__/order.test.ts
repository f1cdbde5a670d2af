// cspell:ignore Österby
import fc from 'fast-check';

import { byName, byText } from '../order';

const sign = (n: number) => Math.sign(n);

describe('orders', () => {
  it('puts days and moments one after another', () => {
    const days = ['2026-11-09T08:00', '2026-02-01', '2026-11-09', '2025-12-31'];
    expect(days.sort(byText)).toEqual([
      '2025-12-31',
      '2026-02-01',
      '2026-11-09',
      '2026-11-09T08:00',
    ]);
  });

  it('sorts names as they are read: ignoring case, numbers by size', () => {
    const names = ['Tarn 1000', 'holm 700', 'Österby', 'Tarn 450', 'Holm 1000'];
    expect(names.sort(byName)).toEqual([
      'holm 700',
      'Holm 1000',
      'Österby',
      'Tarn 450',
      'Tarn 1000',
    ]);
  });

  it.each([byText, byName])('is the same from both sides, and 0 for the same', (order) => {
    fc.assert(
      fc.property(fc.string(), fc.string(), (a, b) => {
        expect(order(a, a)).toBe(0);
        expect(sign(order(a, b)) + sign(order(b, a))).toBe(0);
      }),
    );
  });
});
