import type { PayloadAction } from '@reduxjs/toolkit';
import { createAction, createSlice } from '@reduxjs/toolkit';

import type { DynoReading } from '@/core/torque/dynoPulls';

export type LinkStatus = 'off' | 'connecting' | 'connected' | 'lost';

export interface LinkState {
  readonly status: LinkStatus;
  readonly bench: number;
  /** Unit that the gauge last showed. */
  readonly unit?: string | undefined;
}

export interface GaugeReading {
  readonly device: 'gauge';
  readonly id: number;
  readonly text: string;
  readonly unit: string;
}

export interface TesterReading {
  readonly device: 'tester';
  readonly id: number;
  readonly length: string;
  readonly force: string;
}

export type BenchReading = GaugeReading | TesterReading | DynoReading;

const initialState: LinkState = { status: 'off', bench: 1 };

/** How the link to the instruments of a bench is. */
const benchSlice = createSlice({
  name: 'bench',
  initialState,
  reducers: {
    linkChanged: (state, { payload }: PayloadAction<Partial<LinkState>>): LinkState => ({
      ...state,
      ...payload,
    }),
  },
});

export const benchReducer = benchSlice.reducer;
export const { linkChanged } = benchSlice.actions;
/** A reading from an instrument, for any listening screen. */
export const benchRead = createAction<BenchReading>('bench/read');
