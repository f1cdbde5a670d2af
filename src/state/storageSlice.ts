import type { PayloadAction } from '@reduxjs/toolkit';
import { createSlice } from '@reduxjs/toolkit';

import type { Clash } from './saving/clashes';
import type { Damage } from '@/storage/records';

/** State of saving. */
export interface StorageState {
  /**
   * `failed`: the last write failed, the next is pending; `memory`: the storage could not be opened and is left alone, all work
   * is in memory.
   */
  readonly status: 'opening' | 'saved' | 'saving' | 'failed' | 'memory';
  /** Why it failed. */
  readonly reason?: string;
  /** Whether storage is full. */
  readonly full?: boolean;
  /** Records that could not be read when the workshop was opened, and whether the version before was there. */
  readonly damaged: readonly Damage[];
  /** A simultaneous change of this tab and another. */
  readonly clashes: readonly Clash[];
  /** The name of a workshop that was kept here and is gone: the browser threw it away. */
  readonly gone?: string;
}

/** State of a write. */
export type StorageStatus = Pick<StorageState, 'status' | 'reason' | 'full'>;

const initialState: StorageState = { status: 'opening', damaged: [], clashes: [] };

const storageSlice = createSlice({
  name: 'storage',
  initialState,
  reducers: {
    storageChanged: (
      { damaged, clashes, gone },
      { payload }: PayloadAction<StorageStatus>,
    ): StorageState => ({ ...payload, damaged, clashes, ...(gone === undefined ? {} : { gone }) }),
    removalFound: (state, { payload }: PayloadAction<string>): StorageState => ({
      ...state,
      gone: payload,
    }),
    damageFound: (state, { payload }: PayloadAction<StorageState['damaged']>): StorageState => ({
      ...state,
      damaged: [...state.damaged, ...payload],
    }),
    clashesFound: (state, { payload }: PayloadAction<StorageState['clashes']>): StorageState => ({
      ...state,
      clashes: [...state.clashes, ...payload],
    }),
    damageSeen: ({ gone: _gone, ...state }): StorageState => ({
      ...state,
      damaged: [],
      clashes: [],
    }),
  },
});

export const storageReducer = storageSlice.reducer;
export const { storageChanged, damageFound, clashesFound, damageSeen, removalFound } =
  storageSlice.actions;

/** The message about an unsaved item; undefined when all is saved. */
export const unsavedText = ({ storage }: { readonly storage: StorageState }): string | undefined =>
  storage.status === 'failed' || storage.status === 'memory'
    ? `It is kept while this page is open but could not be saved: ${storage.reason ?? 'no reason given'}. Back up.`
    : undefined;
