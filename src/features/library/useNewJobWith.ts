import { nanoid } from '@reduxjs/toolkit';
import { router } from 'expo-router';

import type { LimitSheet } from '@/core/library/limits';
import { withSheet } from '@/core/library/limits';
import { changeJob } from '@/features/jobs/changeJob';
import { jobActions } from '@/features/jobs/jobsSlice';
import { useAppDispatch } from '@/store/store';

/** Starts a job that takes every limit of a sheet, and goes to it. */
export function useNewJobWith(): (sheet: LimitSheet) => void {
  const dispatch = useAppDispatch();
  return (sheet) => {
    const id = nanoid(12);
    dispatch(jobActions.jobStarted({ id }));
    dispatch(jobActions.detailsTyped({ jobId: id, name: sheet.name }));
    const all = new Set(sheet.limits.map((limit) => limit.id));
    dispatch(changeJob(id, (job) => withSheet(job, sheet, all, () => nanoid(10))));
    router.navigate({ pathname: '/job/[id]', params: { id } });
  };
}
