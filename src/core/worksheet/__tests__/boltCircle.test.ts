import fc from 'fast-check';

import { DomainError } from '@/core/errors';

import { crissCross, torqueStages } from '../boltCircle';

describe('criss-cross', () => {
  it.each([
    [3, [1, 2, 3]],
    [4, [1, 3, 2, 4]],
    [5, [1, 3, 5, 2, 4]],
    [6, [1, 4, 2, 5, 3, 6]],
    [8, [1, 5, 3, 7, 2, 6, 4, 8]],
    [12, [1, 7, 4, 10, 2, 8, 5, 11, 3, 9, 6, 12]],
  ])('orders %i bolts', (n, order) => {
    expect(crissCross(n)).toEqual(order);
  });

  it('meets every bolt of any circle once, each next one well across from the last', () => {
    fc.assert(
      fc.property(fc.integer({ min: 3, max: 60 }), (n) => {
        const order = crissCross(n);
        expect([...order].sort((a, b) => a - b)).toEqual(
          Array.from({ length: n }, (_, i) => i + 1),
        );
        // In an even circle the second of each pair is straight across; in an odd one as nearly as possible.
        for (let i = 0; i + 1 < n; i += n % 2 === 0 ? 2 : 1) {
          const apart = Math.abs((order[i + 1] ?? 0) - (order[i] ?? 0));
          expect(Math.min(apart, n - apart)).toBe(Math.floor(n / 2));
        }
      }),
    );
  });

  it('takes a count of bolts only', () => {
    for (const n of [0, 2.5, 61, Number.NaN]) expect(() => crissCross(n)).toThrow(DomainError);
  });

  it('comes to the torque in equal stages, the last in full', () => {
    expect(torqueStages(12, 2)).toEqual([6, 12]);
    expect(torqueStages(9, 3)).toEqual([3, 6, 9]);
    expect(() => torqueStages(0, 2)).toThrow(DomainError);
    expect(() => torqueStages(9, 5)).toThrow(DomainError);
  });
});
