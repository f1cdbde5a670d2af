import { startTransition, useEffect, useState } from 'react';

import type { JobRow, RowVerdict } from '@/core/job/row';
import type { Job } from '@/core/job/types';
import { loadWorkbench } from '@/features/onWorkbench';
import { useAppSelector } from '@/store/store';
import { whenIdle } from '@/ui/useLater';

import { rememberVerdict } from './rows';

const verdicts = new WeakMap<Job, RowVerdict>();

/**
 * The verdict on a job of a list: at first what its row last said, then what the core says, which is fetched and run once the
 * list has been drawn. Nothing before that for a job that has never been looked at.
 */
export function useVerdict(row: JobRow): RowVerdict | undefined {
  const job = useAppSelector((state) => state.jobs.entities[row.id]);
  const [, setWorked] = useState<Job>();
  const known = job && verdicts.get(job);
  useEffect(() => {
    if (!job || known) return undefined;
    let wanted = true;
    const work = async () => {
      await whenIdle();
      const { evaluationOf } = await loadWorkbench();
      // All rows hear of it at once: each takes its own turn, so that a press is answered in between.
      await whenIdle();
      if (!wanted) return;
      const { overall } = evaluationOf(job);
      verdicts.set(job, overall);
      rememberVerdict(job, overall);
      startTransition(() => setWorked(job));
    };
    // Without a connection the row keeps what it last said.
    work().catch(() => undefined);
    return () => {
      wanted = false;
    };
  }, [job, known]);
  return known ?? row.verdict;
}
