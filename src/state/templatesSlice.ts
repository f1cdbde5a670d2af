import type { PayloadAction } from '@reduxjs/toolkit';
import { createSlice } from '@reduxjs/toolkit';

import type { SheetTemplate, WorkStage } from '@/core/job/work';

/** The shop's own sheets, by family and stage. */
export type Templates = Readonly<Record<string, SheetTemplate>>;

export const templateKey = (family: string, stage: WorkStage): string => `${family}:${stage}`;

const templatesSlice = createSlice({
  name: 'templates',
  initialState: {} as Templates,
  reducers: {
    templatesLoaded: (_state, { payload }: PayloadAction<Templates>) => payload,
    templateKept(
      state,
      { payload }: PayloadAction<{ readonly key: string; readonly template: SheetTemplate }>,
    ): Templates {
      return { ...state, [payload.key]: payload.template };
    },
    templateDropped(state, { payload }: PayloadAction<string>): Templates {
      const { [payload]: _gone, ...others } = state;
      return others;
    },
  },
});

export const templatesReducer = templatesSlice.reducer;
export const templateActions = templatesSlice.actions;
