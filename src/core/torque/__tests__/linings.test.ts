import { LINING_ESTIMATES } from '../linings';

describe('friction of linings, where none is entered', () => {
  // docs/mechanics.md section 3: low, typical, high.
  it.each([
    ['paper', 0.1, 0.12, 0.14],
    ['cork', 0.09, 0.11, 0.13],
    ['aramid', 0.1, 0.12, 0.135],
    ['sintered', 0.06, 0.08, 0.1],
  ] as const)('%s is as published', (id, low, typical, high) => {
    expect(LINING_ESTIMATES[id]).toMatchObject({ low, typical, high });
  });

  it('is low before typical before high for every lining', () => {
    for (const { low, typical, high } of Object.values(LINING_ESTIMATES)) {
      expect(low).toBeGreaterThan(0);
      expect(typical).toBeGreaterThan(low);
      expect(high).toBeGreaterThan(typical);
    }
  });
});
