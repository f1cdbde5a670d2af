import type { PayloadAction } from '@reduxjs/toolkit';
import { createSlice } from '@reduxjs/toolkit';

import type { Answer } from '@/core/exercises/model';
import type { HandMoment } from '@/core/takeoff/hands';

/** An open case: recreated from its seed. */
export interface OpenCase {
  readonly seed: number;
  readonly answers: Readonly<Record<string, Answer>>;
  /** Where the gauge was put, `part.spot`. */
  readonly taken: readonly string[];
  readonly checked: boolean;
}

/** How an exercise went so far. */
export interface PracticeProgress {
  /** Cases that were answered, and how many of them without a fault. */
  readonly done: number;
  readonly right: number;
  /** Share of the points, the best and the last. */
  readonly best: number;
  readonly last: number;
  readonly open?: OpenCase;
}

/** Practice on this device; no job depends on it. */
export interface Practice {
  /** The hands of the last start that was recorded. */
  readonly hands?: readonly HandMoment[];
  readonly exercises: Readonly<Record<string, PracticeProgress>>;
}

const NEW: PracticeProgress = { done: 0, right: 0, best: 0, last: 0 };
const initialState: Practice = { exercises: {} };

/** The same with one exercise changed. */
function withProgress(
  state: Practice,
  kind: string,
  change: (progress: PracticeProgress) => PracticeProgress,
): Practice {
  return {
    ...state,
    exercises: { ...state.exercises, [kind]: change(state.exercises[kind] ?? NEW) },
  };
}

/** The same with the open case of one exercise changed; nothing changes a case that was checked. */
const withCase = (
  state: Practice,
  kind: string,
  change: (open: OpenCase) => Partial<OpenCase>,
): Practice =>
  withProgress(state, kind, (p) =>
    p.open && !p.open.checked ? { ...p, open: { ...p.open, ...change(p.open) } } : p,
  );

const practiceSlice = createSlice({
  name: 'practice',
  initialState: initialState as Practice,
  reducers: {
    practiceLoaded: (_state, { payload }: PayloadAction<Practice>) => payload,
    handsRecorded: (state: Practice, { payload }: PayloadAction<readonly HandMoment[]>) => ({
      ...state,
      hands: payload,
    }),
    caseOpened: (
      state: Practice,
      { payload: { kind, seed } }: PayloadAction<{ kind: string; seed: number }>,
    ) =>
      withProgress(state, kind, (p) => ({
        ...p,
        open: { seed, answers: {}, taken: [], checked: false },
      })),
    measured: (
      state: Practice,
      { payload: { kind, spot } }: PayloadAction<{ kind: string; spot: string }>,
    ) =>
      withCase(state, kind, ({ taken }) =>
        taken.includes(spot) ? {} : { taken: [...taken, spot] },
      ),
    answered: (
      state: Practice,
      {
        payload: { kind, question, answer },
      }: PayloadAction<{ kind: string; question: string; answer: Answer }>,
    ) => withCase(state, kind, ({ answers }) => ({ answers: { ...answers, [question]: answer } })),
    /** @param payload share of the points, 0 to 1 */
    caseChecked: (
      state: Practice,
      { payload: { kind, share } }: PayloadAction<{ kind: string; share: number }>,
    ) =>
      withProgress(state, kind, (p) =>
        p.open && !p.open.checked
          ? {
              done: p.done + 1,
              right: p.right + (share >= 1 ? 1 : 0),
              best: Math.max(p.best, share),
              last: share,
              open: { ...p.open, checked: true },
            }
          : p,
      ),
  },
});

export const practiceReducer = practiceSlice.reducer;
export const practiceActions = practiceSlice.actions;
