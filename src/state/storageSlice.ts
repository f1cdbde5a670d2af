import type { PayloadAction } from '@reduxjs/toolkit';
import { createSlice } from '@reduxjs/toolkit';

import type { Clash } from './saving/clashes';
import type { Damage } from '@/storage/records';

/** How what was typed stands to the browser's storage. */
export interface StorageState {
  /**
   * `failed`: the last write did not succeed, the next is on its way; `memory`: what is stored could not be opened and is
   * left alone, all work is in memory.
   */
  readonly status: 'opening' | 'saved' | 'saving' | 'failed' | 'memory';
  /** Why it failed. */
  readonly reason?: string;
  /** Whether there is no room left. */
  readonly full?: boolean;
  /** Records that could not be read when the workshop was opened, and whether the version before was there. */
  readonly damaged: readonly Damage[];
  /** What this tab and another one changed at the same moment. */
  readonly clashes: readonly Clash[];
  /** The name of a workshop that was kept here and is gone: the browser threw it away. */
  readonly gone?: string;
}

/** How a write stands. */
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
    goneFound: (state, { payload }: PayloadAction<string>): StorageState => ({
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
export const { storageChanged, damageFound, clashesFound, damageSeen, goneFound } =
  storageSlice.actions;

/** What to say of something that is in the workshop and did not reach the storage; nothing where all did. */
export const unsavedWords = ({
  storage,
}: {
  readonly storage: StorageState;
}): string | undefined =>
  storage.status === 'failed' || storage.status === 'memory'
    ? `It is kept while this page is open but could not be saved: ${storage.reason ?? 'no reason given'}. Back up.`
    : undefined;
