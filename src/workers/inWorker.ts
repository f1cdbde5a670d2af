import type { Remote } from 'comlink';
import { wrap } from 'comlink';

export class Cancelled extends Error {
  constructor() {
    super('Stopped.');
    this.name = 'Cancelled';
  }
}

/**
 * Does one run in a worker of its own. Stopping ends the worker at once, wherever its loop is.
 * @param url where the worker's bundle is served
 * @param here the same runs on this thread, for a browser that starts no worker
 * @throws {Cancelled} when `signal` stops it; an Error when the worker can't be started or breaks
 */
export async function inWorker<Runs, T>(
  url: string,
  run: (runs: Remote<Runs>) => Promise<T>,
  { signal, here }: { readonly signal?: AbortSignal; readonly here: () => Promise<Runs> },
): Promise<T> {
  if (signal?.aborted) throw new Cancelled();
  const worker = startWorker(url);
  // A run takes and returns plain data; only the caller differs.
  if (!worker) return run((await here()) as Remote<Runs>);
  try {
    return await new Promise<T>((resolve, reject) => {
      worker.addEventListener('error', (event) =>
        reject(new Error(event.message || 'The worker could not be started.')),
      );
      signal?.addEventListener('abort', () => reject(new Cancelled()), { once: true });
      run(wrap<Runs>(worker)).then(resolve, reject);
    });
  } finally {
    worker.terminate();
  }
}

/** A worker; undefined when the browser has none or refuses to start one. */
function startWorker(url: string): Worker | undefined {
  try {
    return new Worker(url);
  } catch {
    return undefined;
  }
}
