import { evaluate } from '@/core/evaluate/evaluate';
import type { RowVerdict } from '@/core/job/row';

import { demoJobs } from './jobs';
import { demoLibrary } from './library';
import { demoShelf } from './shelf';

export { demoJobs, demoLibrary, demoShelf };

/** The whole invented workshop for a first visit, with the verdict on each pack. */
export function demoWorkshop() {
  const jobs = demoJobs();
  const verdicts = jobs.map((job): readonly [string, RowVerdict] => {
    const { state, title } = evaluate(job).overall;
    return [job.id, { state, title }];
  });
  return {
    jobs,
    shelf: demoShelf(),
    library: demoLibrary(),
    verdicts: Object.fromEntries(verdicts),
  };
}
