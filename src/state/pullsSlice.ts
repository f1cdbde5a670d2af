import type { PayloadAction } from '@reduxjs/toolkit';
import { createSlice } from '@reduxjs/toolkit';

import { jobsLoaded } from '@/state/jobs/reading';

import type { RecordedPulls, DynoReading } from '@/core/torque/dynoPulls';
import { withStoppedPull, withPart } from '@/core/torque/dynoPulls';

/**
 * Dyno pulls, by job. They stay outside the job until a curve is made of them, since only the curve is kept; until then they
 * are stored like drafts.
 */
export type PullsByJob = Readonly<Record<string, RecordedPulls>>;

export const NO_PULLS: RecordedPulls = [];

function withPulls(state: PullsByJob, jobId: string, pulls: RecordedPulls): PullsByJob {
  if (pulls === (state[jobId] ?? NO_PULLS)) return state;
  const { [jobId]: _before, ...others } = state;
  return pulls.length === 0 ? others : { ...others, [jobId]: pulls };
}

const pullsSlice = createSlice({
  name: 'pulls',
  initialState: {} as PullsByJob,
  reducers: {
    pullsLoaded: (_state, { payload }: PayloadAction<PullsByJob>) => payload,
    receivedPart: (
      state: PullsByJob,
      { payload: { jobId, reading } }: PayloadAction<{ jobId: string; reading: DynoReading }>,
    ) => withPulls(state, jobId, withPart(state[jobId] ?? NO_PULLS, reading)),
    /** The link is closed: running pulls will not finish. */
    listeningEnded: (state: PullsByJob, { payload: jobId }: PayloadAction<string>) =>
      withPulls(state, jobId, withStoppedPull(state[jobId] ?? NO_PULLS)),
    pullsKept: (
      state: PullsByJob,
      { payload: { jobId, pulls } }: PayloadAction<{ jobId: string; pulls: RecordedPulls }>,
    ) => withPulls(state, jobId, pulls),
  },
  extraReducers: (builder) =>
    // Those of jobs that were deleted meanwhile go when the workshop is opened.
    builder.addCase(jobsLoaded, (state: PullsByJob, { payload: { jobs, unread = [] } }) => {
      const there = new Set([...jobs, ...unread].map(({ id }) => id));
      const kept = Object.entries(state).filter(([id]) => there.has(id));
      return kept.length === Object.keys(state).length ? state : Object.fromEntries(kept);
    }),
});

export const pullsReducer = pullsSlice.reducer;
export const pullsActions = pullsSlice.actions;
