import { demoLibrary } from '@/demo/library';

import { libraryActions, libraryReducer, sheetsByName } from '../librarySlice';

const loaded = libraryReducer(undefined, libraryActions.libraryLoaded(demoLibrary()));
const names = (state: typeof loaded) => state.sheets.map((s) => s.name);

describe('the library in the store', () => {
  it('keeps a sheet in its place while its name is typed, so that the field keeps the focus', () => {
    const [first, second] = loaded.sheets;
    if (!first || !second) throw new Error('no sheets');
    expect(names(loaded)).toEqual(['Holm 700', 'Tarn 450']);
    const typed = libraryReducer(loaded, libraryActions.sheetKept({ ...first, name: 'Z' }));
    expect(names(typed)).toEqual(['Z', 'Tarn 450']);
    expect(sheetsByName(typed.sheets).map((s) => s.name)).toEqual(['Tarn 450', 'Z']);
  });

  it('gives a deleted sheet back, once', () => {
    const [first] = loaded.sheets;
    const without = libraryReducer(loaded, libraryActions.sheetRemoved(first?.id ?? ''));
    expect(names(without)).toEqual(['Tarn 450']);
    const back = libraryReducer(without, libraryActions.sheetRemovalUndone());
    expect(names(back).sort()).toEqual(['Holm 700', 'Tarn 450']);
    expect(libraryReducer(back, libraryActions.sheetRemovalUndone())).toEqual(back);
  });
});
