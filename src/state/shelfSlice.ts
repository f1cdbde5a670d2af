import type { PayloadAction } from '@reduxjs/toolkit';
import { createSlice } from '@reduxjs/toolkit';

import type { GaugeSetId } from '@/core/setting/gauges';
import { GAUGE_SETS } from '@/core/setting/gauges';
import type {
  ScrapPlate,
  ScrapSprings,
  Stock,
  StockPlate,
  StockSpring,
  WantedStock,
} from '@/core/shelf/stock';
import { EMPTY_STOCK, STOCK_LENGTHS } from '@/core/shelf/stock';
import { putItem, without } from './lists';
import { toggled } from '@/core/toggled';

const GAUGE_ORDER = Object.keys(GAUGE_SETS) as GaugeSetId[];

/** The items with so many pieces less of one; one of which nothing is left keeps its line with none, for undo. */
const fewer = <T extends { readonly id: string; readonly count: number }>(
  items: readonly T[],
  id: string,
  count: number,
): readonly T[] =>
  items.map((i) => (i.id === id ? { ...i, count: Math.max(0, i.count - count) } : i));

/** The shop's shelf. Reservations follow from the jobs and are not stored here. */
const shelfSlice = createSlice({
  name: 'shelf',
  initialState: EMPTY_STOCK as Stock,
  reducers: {
    shelfLoaded: (_state, { payload }: PayloadAction<Stock>) => payload,
    stockPlatePut: (state, { payload }: PayloadAction<StockPlate>): Stock => ({
      ...state,
      plates: putItem(state.plates, payload, STOCK_LENGTHS.plates),
    }),
    stockPlateTaken: (state, { payload }: PayloadAction<string>): Stock => ({
      ...state,
      plates: without(state.plates, payload),
    }),
    springsPut: (state, { payload }: PayloadAction<StockSpring>): Stock => ({
      ...state,
      springs: putItem(state.springs, payload, STOCK_LENGTHS.springs),
    }),
    springsTaken: (state, { payload }: PayloadAction<string>): Stock => ({
      ...state,
      springs: without(state.springs, payload),
    }),
    /** Removes this many pieces of an item; a negative number restores them by undo. */
    piecesRemoved: (
      state,
      { payload: { id, count } }: PayloadAction<{ id: string; count: number }>,
    ): Stock => ({
      ...state,
      plates: fewer(state.plates, id, count),
      springs: fewer(state.springs, id, count),
    }),
    /** A plate that is not used again. */
    plateScrapped: (state, { payload }: PayloadAction<ScrapPlate>): Stock => ({
      ...state,
      scrap: putItem(state.scrap, payload, STOCK_LENGTHS.scrap),
    }),
    scrapForgotten: (state, { payload }: PayloadAction<string>): Stock => ({
      ...state,
      scrap: without(state.scrap, payload),
    }),
    springsScrapped: (state, { payload }: PayloadAction<ScrapSprings>): Stock => ({
      ...state,
      scrapSprings: putItem(state.scrapSprings, payload, STOCK_LENGTHS.scrapSprings),
    }),
    scrapSpringsForgotten: (state, { payload }: PayloadAction<string>): Stock => ({
      ...state,
      scrapSprings: without(state.scrapSprings, payload),
    }),
    wantedPut: (state, { payload }: PayloadAction<WantedStock>): Stock => ({
      ...state,
      wanted: putItem(state.wanted, payload, STOCK_LENGTHS.wanted),
    }),
    wantedTaken: (state, { payload }: PayloadAction<string>): Stock => ({
      ...state,
      wanted: without(state.wanted, payload),
    }),
    gaugeSetToggled: (state, { payload }: PayloadAction<GaugeSetId>): Stock => ({
      ...state,
      gauges: toggled(GAUGE_ORDER, state.gauges, payload),
    }),
  },
});

export const shelfReducer = shelfSlice.reducer;
export const shelfActions = shelfSlice.actions;
