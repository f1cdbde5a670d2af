import { smallLibrary } from '@/testing/jobs';
import { libraryActions, libraryReducer, sheetsByName } from '../librarySlice';

const loaded = libraryReducer(undefined, libraryActions.libraryLoaded(smallLibrary()));
const names = (state: typeof loaded) => state.sheets.map((s) => s.name);

describe('the library in the store', () => {
  it('keeps a sheet in its place while its name is typed, so that the field keeps the focus', () => {
    const [first, second] = loaded.sheets;
    if (!first || !second) throw new Error('no sheets');
    expect(names(loaded)).toEqual(['Crag 400', 'Scree 700']);
    const typed = libraryReducer(loaded, libraryActions.sheetKept({ ...first, name: 'Z' }));
    expect(names(typed)).toEqual(['Z', 'Scree 700']);
    expect(sheetsByName(typed.sheets).map((s) => s.name)).toEqual(['Scree 700', 'Z']);
  });

  it('gives a deleted sheet back, once', () => {
    const [first] = loaded.sheets;
    const without = libraryReducer(loaded, libraryActions.sheetRemoved(first?.id ?? ''));
    expect(names(without)).toEqual(['Scree 700']);
    const back = libraryReducer(without, libraryActions.sheetRemovalUndone());
    expect(names(back).sort()).toEqual(['Crag 400', 'Scree 700']);
    expect(libraryReducer(back, libraryActions.sheetRemovalUndone())).toEqual(back);
  });
});
