import type { Job } from './types';

/** A record as an earlier version of the product kept it. */
export type EarlierJob = Omit<Job, 'duty' | 'variants'> & Partial<Pick<Job, 'duty' | 'variants'>>;

/** Brings a record of an earlier version up to this one: what is new in it begins empty. */
export const upgradeJob = (job: EarlierJob): Job => ({
  ...job,
  duty: job.duty ?? {},
  variants: job.variants ?? [],
});
