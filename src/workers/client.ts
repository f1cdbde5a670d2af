import type { Remote } from 'comlink';
import { proxy, wrap } from 'comlink';

import type { HeavyRuns, Outcome, Progress } from './api';

/** Where the bundle of `core.worker.ts` is served. */
const WORKER_URL = '/core-worker.js';

export class Cancelled extends Error {
  constructor() {
    super('The run was stopped.');
    this.name = 'Cancelled';
  }
}

/**
 * Does one heavy run in a worker of its own. Stopping ends the worker at once, wherever its loop is.
 * @throws {Cancelled} when `signal` stops it; an Error when the worker can't be started or breaks
 */
export async function runHeavy<T>(
  run: (runs: Remote<HeavyRuns>, progress: Progress) => Promise<Outcome<T>>,
  { signal, onProgress = () => undefined }: { signal?: AbortSignal; onProgress?: Progress } = {},
): Promise<Outcome<T>> {
  if (signal?.aborted) throw new Cancelled();
  const worker = new Worker(WORKER_URL);
  let running = true;
  // Progress comes on a channel of its own and may arrive after the result: then it is news of the past.
  const report: Progress = (share) => {
    if (running) onProgress(share);
  };
  try {
    return await new Promise<Outcome<T>>((resolve, reject) => {
      worker.addEventListener('error', (event) =>
        reject(new Error(event.message || 'The worker could not be started.')),
      );
      signal?.addEventListener('abort', () => reject(new Cancelled()), { once: true });
      run(wrap<HeavyRuns>(worker), proxy(report)).then(resolve, reject);
    });
  } finally {
    running = false;
    worker.terminate();
  }
}
