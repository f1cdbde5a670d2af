import type { PayloadAction } from '@reduxjs/toolkit';
import { createSlice } from '@reduxjs/toolkit';

/** Whether what was typed has reached the browser's storage. */
export interface StorageState {
  readonly status: 'opening' | 'saved' | 'saving' | 'failed';
  readonly reason?: string;
}

const storageSlice = createSlice({
  name: 'storage',
  initialState: { status: 'opening' } as StorageState,
  reducers: {
    storageChanged: (_state, { payload }: PayloadAction<StorageState>) => payload,
  },
});

export const storageReducer = storageSlice.reducer;
export const { storageChanged } = storageSlice.actions;
