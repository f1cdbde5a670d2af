import { startTransition, useEffect } from 'react';

import type { JobRow, RowVerdict } from '@/core/job/row';
import { useAppDispatch, useAppSelector } from '@/state/store';
import { verdictOn, verdictsFound } from '@/state/verdictsSlice';
import { whenIdle } from '@/storage/whenIdle';

import { evaluationOf } from './evaluations';

/** The verdict on a job of a list: the stored one first, then the core's after the list is drawn. */
export function useVerdict(row: JobRow): RowVerdict | undefined {
  const dispatch = useAppDispatch();
  const job = useAppSelector((state) => state.jobs.entities[row.id]);
  const found = useAppSelector((state) => verdictOn(state.verdicts, row));
  useEffect(() => {
    if (!job) return undefined;
    let wanted = true;
    void whenIdle().then(() => {
      if (!wanted) return;
      const { state, title } = evaluationOf(job).overall;
      if (found?.state === state && found.title === title) return;
      const { id, updatedAt } = job;
      startTransition(() => {
        dispatch(verdictsFound([{ id, updatedAt, verdict: { state, title } }]));
      });
    });
    return () => {
      wanted = false;
    };
  }, [dispatch, job, found]);
  return found ?? row.verdict;
}
