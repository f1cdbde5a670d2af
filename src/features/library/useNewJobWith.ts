import { writeDetails } from '@/core/job/edits/details';
import { nanoid } from '@reduxjs/toolkit';
import { router } from 'expo-router';

import type { SpecSheet } from '@/core/library/limits';
import { withSpecSheet } from '@/core/library/limits';
import { editJob } from '@/state/jobs/editJob';
import { jobActions } from '@/state/jobs/jobsSlice';
import { useAppDispatch } from '@/state/store';

/** Creates a job with every value of a spec sheet, and opens it. */
export function useNewJobWith(): (sheet: SpecSheet) => void {
  const dispatch = useAppDispatch();
  return (sheet) => {
    const id = nanoid(12);
    dispatch(jobActions.jobStarted({ id }));
    const all = new Set(sheet.limits.map((limit) => limit.id));
    dispatch(
      editJob(id, (job) =>
        withSpecSheet(writeDetails(job, { name: sheet.name }), sheet, all, () => nanoid(10)),
      ),
    );
    router.navigate({ pathname: '/job/[id]', params: { id } });
  };
}
