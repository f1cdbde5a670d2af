import { wrap } from 'comlink';

import type { PdfRequest } from '@/files/pdf/makePdf';

import type { PaperRuns } from './paper.worker';

/** Where the bundle of `paper.worker.ts` is served. */
const WORKER_URL = '/paper-worker.js';

/**
 * Makes a sheet in a worker of its own.
 * @throws {Error} when the worker can't be started or breaks
 */
export async function makePdfInWorker(request: PdfRequest): Promise<Uint8Array> {
  const worker = new Worker(WORKER_URL);
  try {
    return await new Promise<Uint8Array>((resolve, reject) => {
      worker.addEventListener('error', (event) =>
        reject(new Error(event.message || 'The worker could not be started.')),
      );
      wrap<PaperRuns>(worker).pdf(request).then(resolve, reject);
    });
  } finally {
    worker.terminate();
  }
}
