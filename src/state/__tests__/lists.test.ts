import { putItem, without } from '../lists';

const item = (id: string, count = 1) => ({ id, count });

describe('a list that an edit makes longer', () => {
  it('takes an item in its place, or at its end', () => {
    expect(putItem([item('a'), item('b')], item('a', 2), 9)).toEqual([item('a', 2), item('b')]);
    expect(putItem([item('a')], item('b'), 9)).toEqual([item('a'), item('b')]);
    expect(without([item('a'), item('b')], 'a')).toEqual([item('b')]);
  });

  it('takes no more than a file does, and still takes a change', () => {
    const full = [item('a'), item('b')];
    expect(putItem(full, item('c'), 2)).toBe(full);
    expect(putItem(full, item('b', 5), 2)).toEqual([item('a'), item('b', 5)]);
  });
});
