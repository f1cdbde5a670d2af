import { proxy, transfer } from 'comlink';

import type { Job } from '@/core/job/types';
import type { Workshop } from '@/core/workshop/merge';
import { FileRefused } from '@/files/refused';
import type { RefusedJob } from '@/files/workshopFile';

import type { FileRuns } from '@/files/fileRuns';
import { inWorker } from './inWorker';

/** Where the bundle of `files.worker.ts` is served. */
const WORKER_URL = '/files-worker.js';
const HERE = { here: async (): Promise<FileRuns> => (await import('@/files/jsonFiles')).fileRuns };

/** A file that was read and is not yet taken in. */
export interface ReadBackup {
  readonly workshop: Workshop;
  /** Upgrades applied, in words. */
  readonly upgraded?: string;
  readonly photos: ReadonlyMap<string, Uint8Array>;
  /** Jobs that can't be read. */
  readonly refused: readonly RefusedJob[];
}

/** The backup of a workshop as the bytes of a zip, made in a worker. */
export const packInWorker = (
  workshop: Workshop,
  photos: ReadonlyMap<string, Uint8Array>,
  now: string,
): Promise<Uint8Array> =>
  inWorker<FileRuns, Uint8Array>(WORKER_URL, (runs) => runs.pack(workshop, photos, now), HERE);

/** The text of a workshop file, made in a worker. */
export const writeInWorker = (workshop: Workshop, now: string): Promise<string> =>
  inWorker<FileRuns, string>(WORKER_URL, (runs) => runs.write(workshop, now), HERE);

/**
 * Reads a backup, or a workshop file, in a worker.
 * @throws {FileRefused} with words for the builder
 */
export async function readInWorker(
  bytes: Uint8Array,
  progress: (share: number) => void,
): Promise<ReadBackup> {
  const jobs: Job[] = [];
  try {
    const { rest, photos, refused, upgraded } = await inWorker<
      FileRuns,
      Awaited<ReturnType<FileRuns['read']>>
    >(
      WORKER_URL,
      (runs) =>
        runs.read(
          transfer(bytes, [bytes.buffer]),
          proxy(progress),
          proxy((some: readonly Job[]) => {
            jobs.push(...some);
            return Promise.resolve();
          }),
        ),
      HERE,
    );
    return { workshop: { ...rest, jobs }, photos, refused, ...(upgraded ? { upgraded } : {}) };
  } catch (error) {
    // Across the border between threads an error keeps its name but not its class.
    if (error instanceof Error && error.name === 'FileRefused')
      throw new FileRefused(error.message);
    throw error;
  }
}
