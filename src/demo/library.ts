import type { Job } from '@/core/job/types';
import type { SpecSheet } from '@/core/library/limits';
import { specSheetFromJob } from '@/core/library/limits';

import { handsOff } from './atvs';
import { LIMITS_OF_HOLM, LIMITS_OF_TARN } from './common';
import { slipsWhenHot } from './tarn';

/* The limits library of the invented workshop: two machines, with values of their made-up manuals. */

/** The sheet that a job's own limits make. */
function sheetOf(job: Job, id: string, note: string): SpecSheet {
  let n = 0;
  const empty = { id, name: job.machine.name, note, updatedAt: '', limits: [] };
  return specSheetFromJob(empty, job, () => `${id}-${++n}`, '2026-09-14T08:00:00.000Z');
}

export function demoLibrary(): SpecSheet[] {
  return [
    sheetOf(handsOff(), LIMITS_OF_HOLM, 'Made-up manual of the quad, with its steps.'),
    sheetOf(slipsWhenHot(), LIMITS_OF_TARN, 'Made-up manual, both frames.'),
  ];
}
