import { startTransition, useEffect, useState } from 'react';

import type { JobRow, RowVerdict } from '@/core/job/row';
import { whenIdle } from '@/storage/whenIdle';
import { useAppSelector } from '@/state/store';

import { evaluationOf } from './evaluations';
import { rememberVerdict } from './rows';

/** The verdict on a job of a list: at first what its row last said, then what the core says once the list has been drawn. */
export function useVerdict(row: JobRow): RowVerdict | undefined {
  const job = useAppSelector((state) => state.jobs.entities[row.id]);
  const [found, setFound] = useState<RowVerdict>();
  useEffect(() => {
    if (!job) return undefined;
    let wanted = true;
    void whenIdle().then(() => {
      if (!wanted) return;
      const { overall } = evaluationOf(job);
      rememberVerdict(job, overall);
      startTransition(() => setFound(overall));
    });
    return () => {
      wanted = false;
    };
  }, [job]);
  return found ?? row.verdict;
}
