// cspell:ignore abuot
import { crag } from '@/testing/jobs';
import { entry } from '@/core/job/entry';
import { withEntry } from '@/core/job/paths';
import type { Job } from '@/core/job/types';
import { writeJobFile } from '@/files/jobFile';
import { makeStore } from '@/state/store';

import { importJob } from '../importJob';
import { jobActions } from '@/state/jobs/jobsSlice';

const job = crag();
const fileOf = (text: string, name = 'job.json') => new File([text], name);
const written = (each: Job, unfinished = {}) =>
  fileOf(writeJobFile(each, unfinished, '2026-11-24T10:00:00.000Z'));

describe('importing a job', () => {
  it('takes a new job with its unfinished entries', async () => {
    const store = makeStore();
    const reported = await store.dispatch(
      importJob(written(job, { 'engine.idleRpm': 'abuot 1500' })),
    );
    expect(reported).toEqual({ text: 'T-1 Crag 400 imported.', bad: false });
    expect(store.getState().jobs.entities[job.id]).toEqual(job);
    expect(store.getState().jobs.drafts[job.id]?.['engine.idleRpm']?.text).toBe('abuot 1500');
  });

  it('knows the same job again, and puts a differing one beside it', async () => {
    const store = makeStore();
    store.dispatch(jobActions.jobsLoaded({ jobs: [job], drafts: {} }));
    expect((await store.dispatch(importJob(written(job)))).text).toContain('the same values');
    expect(store.getState().jobs.ids).toHaveLength(1);
    const other = withEntry(job, 'engine.peakTorque', entry(50));
    expect((await store.dispatch(importJob(written(other)))).text).toContain('added beside it');
    expect(store.getState().jobs.ids).toHaveLength(2);
    expect(store.getState().jobs.entities[job.id]).toEqual(job);
  });

  it('changes nothing for a file that is refused', async () => {
    const store = makeStore();
    store.dispatch(jobActions.jobsLoaded({ jobs: [job], drafts: {} }));
    const before = store.getState();
    for (const file of [
      fileOf('{"a":1}'),
      fileOf(''),
      fileOf('x'.repeat(5_000_001)),
      fileOf('\u0000\u0001'),
    ]) {
      expect(await store.dispatch(importJob(file))).toMatchObject({
        bad: true,
        text: expect.stringMatching(/^job\.json: /),
      });
    }
    expect(store.getState()).toBe(before);
  });
});
