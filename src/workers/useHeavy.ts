import type { Remote } from 'comlink';
import { useEffect, useRef, useState } from 'react';

import type { HeavyRuns, RunOutcome, RunProgress } from './api';
import { Cancelled, runHeavy } from './client';

/** State of a heavy run. */
export type Heavy<T> =
  | { readonly state: 'idle' }
  | { readonly state: 'running'; readonly share: number; readonly soFar?: T | undefined }
  | { readonly state: 'done'; readonly result: T }
  | { readonly state: 'refused'; readonly why: string };

const IDLE = { state: 'idle' } as const;

/**
 * A heavy run of a screen: started, followed and stopped there, and ended with it.
 * @param of subject of the run: for another one the result is discarded
 */
export function useHeavy<T>(of: unknown): {
  readonly run: Heavy<T>;
  readonly start: (
    work: (runs: Remote<HeavyRuns>, progress: RunProgress) => Promise<RunOutcome<T>>,
  ) => void;
  readonly stop: () => void;
} {
  const [made, setMade] = useState<{ readonly of: unknown; readonly run: Heavy<T> }>();
  const controller = useRef<AbortController>(undefined);
  useEffect(() => () => controller.current?.abort(), []);
  const stop = () => controller.current?.abort();
  const start = (
    work: (runs: Remote<HeavyRuns>, progress: RunProgress) => Promise<RunOutcome<T>>,
  ) => {
    controller.current?.abort();
    const own = new AbortController();
    controller.current = own;
    const setRun = (run: Heavy<T>) => {
      if (controller.current === own) setMade({ of, run });
    };
    let soFar: T | undefined;
    setRun({ state: 'running', share: 0 });
    runHeavy(work, {
      signal: own.signal,
      onProgress: (share, more) => {
        // Of the same run, and so of its kind.
        if (more !== undefined) soFar = more as T;
        setRun({ state: 'running', share, soFar });
      },
    }).then(
      (outcome) =>
        setRun(
          outcome.ok
            ? { state: 'done', result: outcome.result }
            : { state: 'refused', why: `Missing: ${outcome.accepted}.` },
        ),
      (error: unknown) =>
        setRun(
          error instanceof Cancelled
            ? IDLE
            : { state: 'refused', why: error instanceof Error ? error.message : 'It failed.' },
        ),
    );
  };
  return { run: made && made.of === of ? made.run : IDLE, start, stop };
}
