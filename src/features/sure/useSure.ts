import { useDeferredValue, useEffect, useRef } from 'react';

import type { Sureness } from '@/core/sure/simulate';
import { useJob } from '@/state/jobs/useJob';
import type { Heavy } from '@/workers/useHeavy';
import { useHeavy } from '@/workers/useHeavy';

/** After the last change of a job it is simulated, ms. */
const SETTLED = 400;

/** How sure the verdicts of the job on screen are: simulated in a worker, again after each change. */
export function useSure(): { readonly run: Heavy<Sureness>; readonly stop: () => void } {
  const job = useDeferredValue(useJob());
  const { run, start, stop } = useHeavy<Sureness>(job);
  const begin = useRef(start);
  useEffect(() => {
    begin.current = start;
  });
  useEffect(() => {
    const timer = setTimeout(
      () => begin.current((runs, progress) => runs.sure(job, progress)),
      SETTLED,
    );
    return () => clearTimeout(timer);
  }, [job]);
  return { run, stop };
}
