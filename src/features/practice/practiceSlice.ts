import type { PayloadAction } from '@reduxjs/toolkit';
import { createSlice } from '@reduxjs/toolkit';

import type { Moment } from '@/core/takeoff/hands';

/** How an exercise went so far. */
export interface Progress {
  /** Times it was answered, and how often without a fault. */
  readonly done: number;
  readonly right: number;
  /** Share of the points, the best and the last. */
  readonly best: number;
  readonly last: number;
  /** The case that is open, and what was answered and measured in it. */
  readonly seed?: number;
}

/** What somebody has practised on this device; no job depends on it. */
export interface Practice {
  /** The hands of the last start that was recorded. */
  readonly hands?: readonly Moment[];
  readonly exercises: Readonly<Record<string, Progress>>;
}

const initialState: Practice = { exercises: {} };

const practiceSlice = createSlice({
  name: 'practice',
  initialState,
  reducers: {
    practiceLoaded: (_state, { payload }: PayloadAction<Practice>) => payload,
    handsRecorded: (state, { payload }: PayloadAction<readonly Moment[]>): Practice => ({
      ...(state as Practice),
      hands: payload,
    }),
    exerciseDone: (
      state,
      { payload: { kind, share } }: PayloadAction<{ kind: string; share: number }>,
    ): Practice => {
      const before = (state as Practice).exercises[kind];
      return {
        ...(state as Practice),
        exercises: {
          ...(state as Practice).exercises,
          [kind]: {
            ...before,
            done: (before?.done ?? 0) + 1,
            right: (before?.right ?? 0) + (share >= 1 ? 1 : 0),
            best: Math.max(before?.best ?? 0, share),
            last: share,
          },
        },
      };
    },
    caseOpened: (
      state,
      { payload: { kind, seed } }: PayloadAction<{ kind: string; seed: number }>,
    ): Practice => ({
      ...(state as Practice),
      exercises: {
        ...(state as Practice).exercises,
        [kind]: {
          ...((state as Practice).exercises[kind] ?? { done: 0, right: 0, best: 0, last: 0 }),
          seed,
        },
      },
    }),
  },
});

export const practiceReducer = practiceSlice.reducer;
export const practiceActions = practiceSlice.actions;
