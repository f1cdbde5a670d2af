import { UNITS } from '@/core/units/quantity';

import { bound } from '../bound';

const NO_BREAK = '\u00a0';

describe('a value and its unit', () => {
  it('stay on one line, whatever the unit', () => {
    for (const { symbol } of Object.values(UNITS).flat()) {
      if (symbol === '' || symbol === '°') continue;
      expect(bound(`It reads 2.5 ${symbol}.`)).toBe(`It reads 2.5${NO_BREAK}${symbol}.`);
    }
  });

  it('are distinguished from words that only begin like a unit', () => {
    for (const text of ['7 springs', '9 Nuts', '2 hours', '4 kinds', '3 inner discs', 'mm', '12 '])
      expect(bound(text)).toBe(text);
  });

  it('reads as before to a search that takes spaces alike', () => {
    const text = 'Gap 12.200 mm to 13.000 mm, 48 N·m in 3 stages, 1.10 times, 16 %';
    expect(bound(text).replace(/\s/g, ' ')).toBe(text);
    expect(bound(text).split(' ')).toContain(`12.200${NO_BREAK}mm`);
  });
});
