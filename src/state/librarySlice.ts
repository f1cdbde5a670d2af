import type { PayloadAction } from '@reduxjs/toolkit';
import { createSlice } from '@reduxjs/toolkit';

import type { SpecSheet } from '@/core/library/limits';
import { MAX_LIMITS, MAX_SPEC_SHEETS } from '@/core/library/limits';
import { byName } from '@/core/order';
import { putItem, without } from './lists';

export interface LibraryState {
  readonly sheets: readonly SpecSheet[];
  /** The sheet last deleted, for undo. */
  readonly removed?: SpecSheet | undefined;
}

/** The shop's own limits, by machine or kit. */
const librarySlice = createSlice({
  name: 'library',
  initialState: { sheets: [] } as LibraryState,
  reducers: {
    libraryLoaded: (_state, { payload }: PayloadAction<readonly SpecSheet[]>): LibraryState => ({
      sheets: payload,
    }),
    /** A new sheet, or one as it was changed; one with more limits than a file takes stays as it was. */
    sheetKept: (state, { payload }: PayloadAction<SpecSheet>): LibraryState =>
      payload.limits.length > MAX_LIMITS
        ? state
        : { ...state, sheets: putItem(state.sheets, payload, MAX_SPEC_SHEETS) },
    sheetRemoved: (state, { payload }: PayloadAction<string>): LibraryState => ({
      sheets: without(state.sheets, payload),
      removed: state.sheets.find((s) => s.id === payload),
    }),
    sheetRemovalUndone: ({ sheets, removed }): LibraryState => ({
      sheets: removed ? putItem(sheets, removed, MAX_SPEC_SHEETS) : sheets,
    }),
    sheetRemovalForgotten: ({ sheets }): LibraryState => ({ sheets }),
  },
});

/** By name, as they are shown. */
export const sheetsByName = (sheets: readonly SpecSheet[]): readonly SpecSheet[] =>
  sheets.toSorted((a, b) => byName(a.name, b.name));

export const libraryReducer = librarySlice.reducer;
export const libraryActions = librarySlice.actions;
