import type { Remote } from 'comlink';
import { wrap } from 'comlink';

import type { PdfRequest } from '@/files/pdf/paperOf';

import type { PaperRuns } from './paper.worker';

/** Where the bundle of `paper.worker.ts` is served. */
const WORKER_URL = '/paper-worker.js';

/** A worker that makes sheets, for as long as a screen offers them. */
export class PaperMaker {
  private worker: Worker | undefined;
  private runs: Remote<PaperRuns> | undefined;
  private fail: ((error: Error) => void) | undefined;

  /** Starts the worker and loads its fonts; errors show when a sheet is requested. */
  warm(request: PdfRequest): void {
    void this.start()
      .warm(request)
      .catch(() => undefined);
  }

  /** @throws {Error} when the worker can't be started or breaks */
  async pdf(request: PdfRequest): Promise<Uint8Array> {
    const runs = this.start();
    try {
      return await new Promise<Uint8Array>((resolve, reject) => {
        this.fail = reject;
        runs.pdf(request).then(resolve, reject);
      });
    } finally {
      this.fail = undefined;
    }
  }

  end(): void {
    this.worker?.terminate();
    this.worker = undefined;
    this.runs = undefined;
  }

  private start(): Remote<PaperRuns> {
    if (this.runs) return this.runs;
    const worker = new Worker(WORKER_URL);
    worker.addEventListener('error', (event) => {
      this.end();
      this.fail?.(new Error(event.message || 'The worker could not be started.'));
    });
    this.worker = worker;
    this.runs = wrap<PaperRuns>(worker);
    return this.runs;
  }
}
