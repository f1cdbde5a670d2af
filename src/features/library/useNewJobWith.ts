import { writeDetails } from '@/core/job/edits/details';
import { nanoid } from '@reduxjs/toolkit';
import { router } from 'expo-router';

import type { SpecSheet } from '@/core/library/limits';
import { changesBySheet, withSpecSheet } from '@/core/library/applySpecSheet';
import { editJob } from '@/state/jobs/editJob';
import { jobActions } from '@/state/jobs/jobsSlice';
import { useAppDispatch } from '@/state/store';

/** Creates a job with every value of a spec sheet, and opens it. */
export function useNewJobWith(): (sheet: SpecSheet) => void {
  const dispatch = useAppDispatch();
  return (sheet) => {
    const id = nanoid(12);
    dispatch(jobActions.jobStarted({ id }));
    dispatch(
      editJob(id, (job) => {
        const named = writeDetails(job, { name: sheet.name });
        return withSpecSheet(named, sheet, changesBySheet(sheet, named), () => nanoid(10));
      }),
    );
    router.navigate({ pathname: '/job/[id]', params: { id } });
  };
}
