import { weakMapMemoize } from '@reduxjs/toolkit';

import type { Evaluation } from '@/core/evaluate/evaluate';
import { evaluate } from '@/core/evaluate/evaluate';
import { blankJob } from '@/core/job/blank';
import type { Job } from '@/core/job/types';

import { useJob } from './useJob';

/** The evaluation of a job record, calculated once per version. */
export const evaluationOf = weakMapMemoize(evaluated);

/** A record that the core can't evaluate has no figures, but its entries can be changed. */
function evaluated(job: Job): Evaluation {
  try {
    return evaluate(job);
  } catch (error) {
    const none = evaluate(blankJob(job.id, job.number, job.updatedAt));
    const why = error instanceof Error ? error.message : 'no reason given';
    return {
      ...none,
      overall: {
        id: 'overall',
        state: 'stop',
        title: 'No figures',
        sentence: [
          `This job could not be evaluated: its record is damaged, or the program has a fault (${why}). The entries can still be read, changed and saved.`,
        ],
        figures: [],
      },
    };
  }
}

export const useEvaluation = (): Evaluation => evaluationOf(useJob());
