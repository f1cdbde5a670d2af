import { nanoid } from '@reduxjs/toolkit';

import { FileRefused } from '@/files/refused';
import { whenWritten } from '@/storage/current';
import { reportFault } from '@/storage/faults';
import { unsavedText } from '@/state/storageSlice';
import type { AppStore, RootState } from '@/state/store';

import type { Drafts } from '@/state/jobs/jobsSlice';
import { jobActions } from '@/state/jobs/jobsSlice';
import { allRead } from '@/state/jobs/rows';

interface Report {
  readonly text: string;
  readonly bad: boolean;
}

/** Imports a job from a file, whole or not at all, and reports the result. */
export function importJob(file: File) {
  return async (dispatch: AppStore['dispatch'], getState: () => RootState): Promise<Report> => {
    const { MAX_FILE_BYTES, readJobFile } = await import('@/files/jsonFiles');
    if (file.size > MAX_FILE_BYTES) {
      return {
        text: `${file.name}: too large for a job, ${(file.size / 1e6).toFixed(1)} MB; at most 5 MB.`,
        bad: true,
      };
    }
    try {
      const { job, unfinished } = readJobFile(await file.text());
      await allRead(getState);
      const present = getState().jobs.entities[job.id];
      if (present && JSON.stringify(present) === JSON.stringify(job)) {
        return { text: `${job.number} is already here, with the same values.`, bad: false };
      }
      const units = getState().display.units;
      const drafts: Drafts = Object.fromEntries(
        Object.entries(unfinished).map(([path, text]) => [path, { text, units }]),
      );
      dispatch(jobActions.jobImported({ job, drafts, id: present ? nanoid(12) : job.id }));
      await whenWritten();
      const unsaved = unsavedText(getState());
      if (unsaved) return { text: `${job.number}: ${unsaved}`, bad: true };
      return {
        text: present
          ? `${job.number} already exists with different values; the file’s job was added beside it.`
          : `${job.number} ${job.machine.name} imported.`,
        bad: false,
      };
    } catch (error) {
      if (error instanceof FileRefused)
        return { text: `${file.name}: ${error.message}`, bad: true };
      return { text: reportFault(`${file.name} was not imported`, error), bad: true };
    }
  };
}
