import type { FirstWorkshop } from '@/storage/workshop';

/** Where the bundle of `demo.worker.ts` is served. */
const WORKER_URL = '/demo-worker.js';

/**
 * The demo workshop, made in a worker. It is told nothing and answers once, so that the first screen need not carry what
 * workers are otherwise talked to with.
 * @throws an Error when the worker can't be started or breaks
 */
export function demoInWorker(): Promise<FirstWorkshop> {
  const worker = new Worker(WORKER_URL);
  return new Promise<FirstWorkshop>((resolve, reject) => {
    worker.addEventListener('message', ({ data }: MessageEvent<FirstWorkshop>) => resolve(data));
    worker.addEventListener('error', (event) =>
      reject(new Error(event.message || 'The demo workshop could not be made.')),
    );
  }).finally(() => worker.terminate());
}
