import type { Job } from '@/core/job/types';
import { demoJob } from '@/demo/jobs';

import { leftBehind, leftHere } from '../left';

describe('what a job has left behind', () => {
  const job: Job = { ...demoJob('UR-0104'), stage: 'build' };

  it('is what the stages before it still lack', () => {
    expect(leftHere('specify', job)).toEqual(['a plate leaves the spline']);
    expect(leftBehind(job)).toEqual(['specify']);
  });

  it('is nothing that could be told of a record that the core can’t take', () => {
    const damaged = { ...job, strip: { ...job.strip, steps: null } } as unknown as Job;
    expect(leftBehind(damaged)).toEqual([]);
  });
});
