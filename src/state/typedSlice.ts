import type { PayloadAction } from '@reduxjs/toolkit';
import { createSlice } from '@reduxjs/toolkit';

/** Draft texts of fields outside jobs, by field name, so that nothing typed is lost on closing. */
export type Typed = Readonly<Record<string, string>>;

const MAX_TEXT = 400;

const without = (state: Typed, gone: (name: string) => boolean): Typed =>
  Object.fromEntries(Object.entries(state).filter(([name]) => !gone(name)));

const typedSlice = createSlice({
  name: 'typed',
  initialState: {} as Typed,
  reducers: {
    typedLoaded: (_state, { payload }: PayloadAction<Typed>) => payload,
    /** An empty text is kept too: it overrides the stored value. */
    textTyped: (
      state,
      { payload: { name, text } }: PayloadAction<{ name: string; text: string }>,
    ): Typed => ({ ...state, [name]: text.slice(0, MAX_TEXT) }),
    /** The text of a field became a value; or, where the name ends with a dot, those of a whole form. */
    typedDropped: (state, { payload }: PayloadAction<string>): Typed => {
      const gone = (name: string) =>
        payload.endsWith('.') ? name.startsWith(payload) : name === payload;
      return Object.keys(state).some(gone) ? without(state, gone) : state;
    },
  },
});

export const typedReducer = typedSlice.reducer;
export const typedActions = typedSlice.actions;
