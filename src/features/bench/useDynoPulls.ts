import { useEffect } from 'react';

import { useAppDispatch, useAppSelector } from '@/state/store';

import { useBenchLink, useBenchReadings } from './benchLink';
import type { RecordedPulls } from '@/core/torque/dynoPulls';
import { NO_PULLS, pullsActions } from '@/state/pullsSlice';

/** Dyno pulls of a job while the dyno is connected, and a function to change them. */
export function useDynoPulls(jobId: string, listening: boolean) {
  const dispatch = useAppDispatch();
  const pulls = useAppSelector((state) => state.pulls[jobId] ?? NO_PULLS);
  const { status } = useBenchLink();
  useBenchReadings((reading) => {
    if (reading.device === 'dyno' && listening)
      dispatch(pullsActions.receivedPart({ jobId, reading }));
  });
  const deaf = !listening || status !== 'connected';
  useEffect(() => {
    if (deaf) dispatch(pullsActions.listeningEnded(jobId));
  }, [deaf, dispatch, jobId]);
  const keep = (next: RecordedPulls) => dispatch(pullsActions.pullsKept({ jobId, pulls: next }));
  return [pulls, keep] as const;
}
