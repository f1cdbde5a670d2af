import type { PayloadAction } from '@reduxjs/toolkit';
import { createSlice } from '@reduxjs/toolkit';

import type { JobRow, RowVerdict } from '@/core/job/row';

/** The last verdicts by job: the list shows them before the jobs are evaluated. */
export type Verdicts = Readonly<Record<string, Found>>;

interface Found {
  /** When the job was as it was judged. */
  readonly updatedAt: string;
  readonly verdict: RowVerdict;
}

const verdictsSlice = createSlice({
  name: 'verdicts',
  initialState: {} as Verdicts,
  reducers: {
    verdictsFound: (
      state,
      { payload }: PayloadAction<readonly Pick<JobRow, 'id' | 'updatedAt' | 'verdict'>[]>,
    ): Verdicts => ({
      ...state,
      ...Object.fromEntries(
        payload.flatMap(({ id, updatedAt, verdict }) =>
          verdict ? [[id, { updatedAt, verdict }]] : [],
        ),
      ),
    }),
  },
});

export const verdictsReducer = verdictsSlice.reducer;
export const { verdictsFound } = verdictsSlice.actions;

/** The verdict on a job as it is now. */
export function verdictOn(
  verdicts: Verdicts,
  job: Pick<JobRow, 'id' | 'updatedAt'>,
): RowVerdict | undefined {
  const found = verdicts[job.id];
  return found?.updatedAt === job.updatedAt ? found.verdict : undefined;
}
