import type { Remote } from 'comlink';
import { proxy } from 'comlink';

import type { HeavyRuns, RunOutcome, RunProgress } from './api';
import { inWorker } from './inWorker';

export { Cancelled } from './inWorker';

/** Where the bundle of `core.worker.ts` is served. */
const WORKER_URL = '/core-worker.js';

/**
 * Does one heavy run of the core in a worker of its own.
 * @throws {Cancelled} when `signal` stops it; an Error when the worker can't be started or breaks
 */
export async function runHeavy<T>(
  run: (runs: Remote<HeavyRuns>, progress: RunProgress) => Promise<RunOutcome<T>>,
  { signal, onProgress = () => undefined }: { signal?: AbortSignal; onProgress?: RunProgress } = {},
): Promise<RunOutcome<T>> {
  let running = true;
  // Progress comes on a channel of its own and may arrive after the result: then it is news of the past.
  const report: RunProgress = (share, soFar) => {
    if (running) onProgress(share, soFar);
  };
  try {
    return await inWorker<HeavyRuns, RunOutcome<T>>(
      WORKER_URL,
      (runs) => run(runs, proxy(report)),
      {
        ...(signal ? { signal } : {}),
        here: async () => (await import('./api')).heavyRuns,
      },
    );
  } finally {
    running = false;
  }
}
