import { forgetGone, keptState, rememberGone, rememberKept } from '../kept';

describe('what outlives a browser that throws a workshop away', () => {
  it('is known by workshop, and a loss stays one until it was read', () => {
    expect(keptState('one')).toBeUndefined();
    rememberKept('one');
    expect([keptState('one'), keptState('other')]).toEqual(['kept', undefined]);
    rememberGone('one');
    // What is entered meanwhile does not hide that something was lost.
    rememberKept('one');
    expect(keptState('one')).toBe('gone');
    forgetGone('one');
    expect(keptState('one')).toBe('kept');
  });
});
