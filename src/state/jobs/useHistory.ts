import { useEffect } from 'react';

import { useAppDispatch, useAppSelector } from '@/state/store';

import { historyOpened, redone, undone } from './editing';
import { useJobId } from './useJob';

/** Undo and redo of the job on screen; `undefined` where there is nothing to undo or redo. */
export function useHistory(): {
  readonly undo: (() => void) | undefined;
  readonly redo: (() => void) | undefined;
} {
  const dispatch = useAppDispatch();
  const jobId = useJobId();
  const past = useAppSelector(
    ({ jobs: { history } }) => history?.jobId === jobId && history.past.length > 0,
  );
  const future = useAppSelector(
    ({ jobs: { history } }) => history?.jobId === jobId && history.future.length > 0,
  );
  const undo = () => dispatch(undone());
  const redo = () => dispatch(redone());
  return { undo: past ? undo : undefined, redo: future ? redo : undefined };
}

/** Keeps the history of the job on screen, for as long as it is the one that is open. */
export function useOpenHistory(jobId: string): void {
  const dispatch = useAppDispatch();
  useEffect(() => {
    dispatch(historyOpened({ jobId }));
  }, [dispatch, jobId]);
}
