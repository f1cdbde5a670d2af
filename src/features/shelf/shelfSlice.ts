import type { PayloadAction } from '@reduxjs/toolkit';
import { createSlice } from '@reduxjs/toolkit';

import type { Stock, StockPlate } from '@/core/shelf/stock';
import { EMPTY_STOCK } from '@/core/shelf/stock';
import type { GaugeSetId } from '@/core/setting/gauges';
import { GAUGE_SETS } from '@/core/setting/gauges';
import { toggled } from '@/ui/toggled';

const GAUGE_ORDER = Object.keys(GAUGE_SETS) as GaugeSetId[];

/** The shop's shelf. What lies in jobs is not written here: it follows from the jobs. */
const shelfSlice = createSlice({
  name: 'shelf',
  initialState: EMPTY_STOCK as Stock,
  reducers: {
    shelfLoaded: (_state, { payload }: PayloadAction<Stock>) => payload,
    stockPlatePut(state, { payload }: PayloadAction<StockPlate>): Stock {
      return { ...state, plates: [...state.plates.filter((p) => p.id !== payload.id), payload] };
    },
    gaugeSetToggled(state, { payload }: PayloadAction<GaugeSetId>): Stock {
      return { ...state, gauges: toggled(GAUGE_ORDER, state.gauges, payload) };
    },
    stockPlateTaken(state, { payload }: PayloadAction<string>): Stock {
      return { ...state, plates: state.plates.filter((p) => p.id !== payload) };
    },
  },
});

export const shelfReducer = shelfSlice.reducer;
export const shelfActions = shelfSlice.actions;
