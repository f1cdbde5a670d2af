import { typedActions, typedReducer } from '../typedSlice';

const after = (...actions: Parameters<typeof typedReducer>[1][]) =>
  actions.reduce(typedReducer, typedReducer(undefined, { type: 'start' }));
const { textTyped, typedDropped } = typedActions;

describe('texts of fields that belong to no job', () => {
  it('are dropped by their own name, or as a whole form', () => {
    const typed = [
      textTyped({ name: 'shelf.w1', text: '1.' }),
      textTyped({ name: 'shelf.w10', text: 'about two' }),
      textTyped({ name: 'shelf.add.count', text: '4' }),
      textTyped({ name: 'shelf.add.nominal', text: '' }),
    ];
    expect(after(...typed, typedDropped('shelf.w1'))).toEqual({
      'shelf.w10': 'about two',
      'shelf.add.count': '4',
      'shelf.add.nominal': '',
    });
    expect(Object.keys(after(...typed, typedDropped('shelf.add.')))).toEqual([
      'shelf.w1',
      'shelf.w10',
    ]);
  });

  it('stay the same object when nothing is dropped, so that nothing is written', () => {
    const typed = after(textTyped({ name: 'a', text: 'x' }));
    expect(typedReducer(typed, typedDropped('b'))).toBe(typed);
  });

  it('are kept up to a length that a field can have', () => {
    expect(after(textTyped({ name: 'a', text: 'x'.repeat(100_000) })).a).toHaveLength(400);
  });
});
