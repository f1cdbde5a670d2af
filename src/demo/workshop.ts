import { evaluate } from '@/core/evaluate/evaluate';
import { inspect } from '@/core/inspect/inspect';
import type { RowVerdict } from '@/core/job/row';

import { nextAction } from '@/core/signoff/nextAction';

import { demoJobs } from './jobs';
import { demoLibrary } from './library';
import { demoShelf } from './shelf';

export { demoJobs, demoLibrary, demoShelf };

/** The whole invented workshop for a first visit, with the verdict on each pack. */
export function demoWorkshop() {
  const jobs = demoJobs();
  const verdicts = jobs.map((job): readonly [string, RowVerdict] => {
    const evaluation = evaluate(job);
    const { state, title } = evaluation.overall;
    const next = nextAction(job, { evaluation, inspection: inspect(job, evaluation) });
    return [job.id, { state, title, ...(next ? { next } : {}) }];
  });
  return {
    jobs,
    shelf: demoShelf(),
    library: demoLibrary(),
    verdicts: Object.fromEntries(verdicts),
  };
}
