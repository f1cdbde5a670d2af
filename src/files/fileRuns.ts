import { transfer } from 'comlink';

import type { Job } from '@/core/job/types';
import type { Workshop } from '@/core/workshop/merge';
import type { RefusedJob } from './workshopFile';
import { readWorkshopFile, writeWorkshopFile } from './workshopFile';
import { packBackup, unpackBackup } from './workshopZip';

/* Whole workshops read and written: in a worker, or where there is none on this thread. */

/** Jobs sent to the page at once: all together would block its thread. */
const AT_ONCE = 50;

export const fileRuns = {
  /** A workshop file without photographs. */
  write: (workshop: Workshop, now: string): string => writeWorkshopFile(workshop, now),
  /** The backup of a workshop, as the bytes of a zip. */
  pack: (workshop: Workshop, photos: ReadonlyMap<string, Uint8Array>, now: string): Uint8Array => {
    const bytes = packBackup({ workshop: writeWorkshopFile(workshop, now), photos });
    return transfer(bytes, [bytes.buffer]);
  },
  /**
   * Reads a backup or a workshop file; its jobs are given by `take`, some at a time.
   * @throws {FileRefused} with words for the builder
   */
  read: async (
    bytes: Uint8Array,
    progress: (share: number) => void,
    take: (jobs: readonly Job[]) => Promise<void>,
  ): Promise<{
    readonly rest: Omit<Workshop, 'jobs'>;
    readonly upgraded?: string;
    readonly refused: readonly RefusedJob[];
    readonly photos: ReadonlyMap<string, Uint8Array>;
  }> => {
    const zipped = bytes[0] === 0x50 && bytes[1] === 0x4b;
    const backup = zipped
      ? unpackBackup(bytes)
      : { workshop: new TextDecoder().decode(bytes), photos: new Map<string, Uint8Array>() };
    const { workshop, refused, upgraded } = await readWorkshopFile(backup.workshop, progress);
    const { jobs, ...rest } = workshop;
    for (let i = 0; i < jobs.length; i += AT_ONCE) await take(jobs.slice(i, i + AT_ONCE));
    return { rest, photos: backup.photos, refused, ...(upgraded ? { upgraded } : {}) };
  },
};

export type FileRuns = typeof fileRuns;
