import type { PayloadAction } from '@reduxjs/toolkit';
import { createSlice } from '@reduxjs/toolkit';

import type { LimitSheet } from '@/core/library/limits';

export interface LibraryState {
  readonly sheets: readonly LimitSheet[];
  /** The sheet last deleted, for undo. */
  readonly removed?: LimitSheet;
}

const byName = (a: LimitSheet, b: LimitSheet): number => a.name.localeCompare(b.name);

/** The shop's own limits, by machine or kit. */
const librarySlice = createSlice({
  name: 'library',
  initialState: { sheets: [] } as LibraryState,
  reducers: {
    libraryLoaded: (_state, { payload }: PayloadAction<readonly LimitSheet[]>): LibraryState => ({
      sheets: payload,
    }),
    /** A new sheet, or one as it was changed. */
    sheetKept: (state, { payload }: PayloadAction<LimitSheet>): LibraryState => ({
      ...state,
      sheets: [...state.sheets.filter((s) => s.id !== payload.id), payload].sort(byName),
    }),
    sheetRemoved: (state, { payload }: PayloadAction<string>): LibraryState => ({
      sheets: state.sheets.filter((s) => s.id !== payload),
      removed: state.sheets.find((s) => s.id === payload),
    }),
    sheetRemovalUndone: ({ sheets, removed }): LibraryState => ({
      sheets: removed ? [...sheets, removed].sort(byName) : sheets,
    }),
    sheetRemovalForgotten: ({ sheets }): LibraryState => ({ sheets }),
  },
});

export const libraryReducer = librarySlice.reducer;
export const libraryActions = librarySlice.actions;
