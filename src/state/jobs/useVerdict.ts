import { startTransition, useEffect } from 'react';

import { attempt } from '@/core/errors';
import type { Evaluation } from '@/core/evaluate/evaluate';
import { inspect } from '@/core/inspect/inspect';
import type { JobRow, RowVerdict } from '@/core/job/row';
import type { Job } from '@/core/job/types';
import { nextAction } from '@/core/signoff/nextAction';
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
      const evaluation = evaluationOf(job);
      const { state, title } = evaluation.overall;
      const next = nextOf(job, evaluation);
      if (found?.state === state && found.title === title && found.next === next) return;
      const { id, updatedAt } = job;
      startTransition(() => {
        dispatch(verdictsFound([{ id, updatedAt, verdict: { state, title, next } }]));
      });
    });
    return () => {
      wanted = false;
    };
  }, [dispatch, job, found]);
  return found ?? row.verdict;
}

/** A job that the core can't evaluate has no next action either. */
const nextOf = (job: Job, evaluation: Evaluation): string | undefined =>
  attempt(() => nextAction(job, { evaluation, inspection: inspect(job, evaluation) }));
