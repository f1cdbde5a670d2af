import type { PayloadAction } from '@reduxjs/toolkit';
import { createSlice } from '@reduxjs/toolkit';

import type { Workshop } from '@/core/workshop/merge';

/** When all was last taken away safely. */
export interface LastBackup {
  /** ISO time of the last backup, or of the first visit when none was made. */
  readonly since: string;
  readonly made: boolean;
}

export interface Taken {
  readonly before: Workshop;
  readonly after: Workshop;
}

export interface BackupState {
  readonly last: LastBackup;
  /** The workshop as it was before and after a file was taken in: the way back. Not stored. */
  readonly taken?: Taken;
}

const initialState: BackupState = { last: { since: '', made: false } };

const backupSlice = createSlice({
  name: 'backup',
  initialState,
  reducers: {
    backupLoaded: (state, { payload }: PayloadAction<LastBackup>): BackupState => ({
      ...state,
      last: payload,
    }),
    backedUp: (state, { payload }: PayloadAction<string>): BackupState => ({
      ...state,
      last: { since: payload, made: true },
    }),
    fileTaken: (state, { payload }: PayloadAction<Taken>): BackupState => ({
      ...state,
      taken: payload,
    }),
    takingForgotten: ({ last }): BackupState => ({ last }),
  },
});

export const backupReducer = backupSlice.reducer;
export const backupActions = backupSlice.actions;
