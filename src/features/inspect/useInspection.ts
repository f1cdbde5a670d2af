import { weakMapMemoize } from '@reduxjs/toolkit';

import type { Inspection } from '@/core/inspect/inspect';
import { inspect } from '@/core/inspect/inspect';
import type { Job } from '@/core/job/types';
import { evaluationOf } from '@/state/jobs/evaluations';
import { useJob } from '@/state/jobs/useJob';

/** The inspection of a job record, calculated once per version. */
export const inspectionOf = weakMapMemoize((job: Job): Inspection =>
  inspect(job, evaluationOf(job)),
);

export const useInspection = (): Inspection => inspectionOf(useJob());
