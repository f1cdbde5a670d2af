import type { PayloadAction } from '@reduxjs/toolkit';
import { createSlice } from '@reduxjs/toolkit';

import type { Quantity, UnitId } from '@/core/units/quantity';
import type { UnitChoice } from '@/core/units/format';

export type ThemeChoice = 'system' | 'limestone' | 'peat';

/** How things are shown on this device; no job depends on it. */
export interface Display {
  readonly units: UnitChoice;
  readonly theme: ThemeChoice;
  /** A voice in the measuring run; off until it is switched on. */
  readonly voice?: boolean;
}

const initialState: Display = { units: {}, theme: 'system' };

const displaySlice = createSlice({
  name: 'display',
  initialState,
  reducers: {
    displayLoaded: (_state, { payload }: PayloadAction<Display>) => payload,
    unitChosen(state, { payload }: PayloadAction<{ quantity: Quantity; unit: UnitId }>) {
      return { ...state, units: { ...state.units, [payload.quantity]: payload.unit } };
    },
    voiceSwitched(state, { payload }: PayloadAction<boolean>) {
      return { ...state, voice: payload };
    },
    themeChosen(state, { payload }: PayloadAction<ThemeChoice>) {
      return { ...state, theme: payload };
    },
  },
});

export const displayReducer = displaySlice.reducer;
export const displayActions = displaySlice.actions;
