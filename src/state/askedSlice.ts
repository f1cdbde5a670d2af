import type { PayloadAction } from '@reduxjs/toolkit';
import { createSlice } from '@reduxjs/toolkit';

import type { FieldPath } from '@/core/job/fieldPath';

/** The field requested from elsewhere, until it has the focus. */
const askedSlice = createSlice({
  name: 'asked',
  initialState: { path: null as FieldPath | null },
  reducers: {
    fieldAsked: (_state, { payload }: PayloadAction<FieldPath | null>) => ({ path: payload }),
  },
});

export const askedReducer = askedSlice.reducer;
export const { fieldAsked } = askedSlice.actions;
