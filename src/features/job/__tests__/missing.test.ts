import { put } from '@/testing/packs';
import { cairn } from '@/testing/jobs';
import type { Job } from '@/core/job/types';

import { hasMissing, missingHere } from '../missing';

describe('what a job has left behind', () => {
  const job: Job = { ...put(cairn(), { 'pack.splineLength': 28 }), stage: 'build' };

  it('lists missing entries of earlier stages', () => {
    expect(missingHere('specify', job)).toEqual(['a plate leaves the spline']);
    expect(hasMissing(job)).toContain('specify');
    const longer = put(job, { 'pack.splineLength': 40 });
    expect(hasMissing({ ...longer, stage: 'build' })).not.toContain('specify');
  });

  it('is empty for a record that the core can’t evaluate', () => {
    const damaged = { ...job, strip: { ...job.strip, steps: null } } as unknown as Job;
    expect(hasMissing(damaged)).toEqual([]);
  });
});
