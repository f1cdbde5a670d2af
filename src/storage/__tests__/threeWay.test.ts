import fc from 'fast-check';

import { threeWay } from '../threeWay';

const items = fc.uniqueArray(
  fc.record({ id: fc.constantFrom('a', 'b', 'c', 'd', 'e'), count: fc.nat(9) }),
  { selector: (item) => item.id },
);

describe('what two tabs made of one thing', () => {
  it('takes a new item, a change and a removal, each from the tab that made it', () => {
    const base = [
      { id: 'a', count: 1 },
      { id: 'b', count: 2 },
      { id: 'c', count: 3 },
    ];
    const mine = [base[0], { id: 'b', count: 20 }, base[2], { id: 'mine', count: 9 }];
    const theirs = [{ id: 'a', count: 10 }, base[1], { id: 'theirs', count: 8 }];
    expect(threeWay(base, mine, theirs)).toEqual([
      { id: 'a', count: 10 },
      { id: 'b', count: 20 },
      { id: 'theirs', count: 8 },
      { id: 'mine', count: 9 },
    ]);
  });

  it('keeps an item that one changed and the other took away', () => {
    const base = { plates: [{ id: 'a', count: 1 }] };
    const changed = { plates: [{ id: 'a', count: 5 }] };
    const gone = { plates: [] };
    expect(threeWay(base, changed, gone)).toEqual(changed);
  });

  it('is the other’s where only the other changed, and ours where only we did', () => {
    fc.assert(
      fc.property(items, items, (base, next) => {
        expect(threeWay(base, base, next)).toEqual(next);
        expect(threeWay(base, next, base)).toEqual(next);
        expect(threeWay(base, next, next)).toEqual(next);
      }),
    );
  });

  it('loses no item that either has and the other did not take away', () => {
    fc.assert(
      fc.property(items, items, items, (base, mine, theirs) => {
        const merged = threeWay(base, mine, theirs) as typeof base;
        const has = (list: typeof base, id: string) => list.some((i) => i.id === id);
        const stays = [...mine, ...theirs].filter(
          ({ id }) => !has(base, id) || (has(mine, id) && has(theirs, id)),
        );
        expect(stays.filter(({ id }) => !has(merged, id))).toEqual([]);
      }),
    );
  });
});
