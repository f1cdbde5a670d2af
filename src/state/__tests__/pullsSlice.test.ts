import { jobsLoaded } from '@/state/jobs/reading';
import { coilPack } from '@/testing/packs';

import type { DynoReading } from '@/core/torque/dynoPulls';
import { pullsActions, pullsReducer } from '../pullsSlice';
import type { PullsByJob } from '../pullsSlice';

const part = (pull: number, part: number, last = false): DynoReading => ({
  device: 'dyno',
  id: 1,
  pull,
  part,
  unit: 'N·m',
  samples: [[3000 + 1000 * part, 30]],
  last,
});
const heard = (jobId: string, ...parts: readonly DynoReading[]) =>
  parts.map((reading) => pullsActions.receivedPart({ jobId, reading }));
const after = (...actions: readonly Parameters<typeof pullsReducer>[1][]): PullsByJob =>
  actions.reduce<PullsByJob>(pullsReducer, {});

describe('pulls of jobs', () => {
  it('are put together for the job that listens, and nothing is kept of a job without', () => {
    const both = after(...heard('a', part(1, 0), part(1, 1, true)), ...heard('b', part(2, 0)));
    expect(both.a?.map((p) => [p.state, p.samples.length])).toEqual([['whole', 2]]);
    expect(both.b?.map((p) => p.state)).toEqual(['running']);
    const [pull] = both.a ?? [];
    expect(pullsReducer(both, pullsActions.pullsKept({ jobId: 'a', pulls: [] }))).toEqual({
      b: both.b,
    });
    expect(
      pullsReducer(both, pullsActions.pullsKept({ jobId: 'a', pulls: pull ? [pull] : [] })).a,
    ).toHaveLength(1);
  });

  it('break off when nobody listens any more, and change nothing else', () => {
    const both = after(...heard('a', part(1, 0, true), part(2, 0)));
    const ended = pullsReducer(both, pullsActions.listeningEnded('a'));
    expect(ended.a?.map((p) => p.state)).toEqual(['whole', 'broken']);
    expect(pullsReducer(ended, pullsActions.listeningEnded('a'))).toBe(ended);
    expect(pullsReducer(ended, pullsActions.listeningEnded('other'))).toBe(ended);
  });

  it('go with a job that is not there when the workshop is opened', () => {
    const job = coilPack();
    const two = after(...heard(job.id, part(1, 0, true)), ...heard('gone', part(1, 0, true)));
    const opened = pullsReducer(two, jobsLoaded({ jobs: [job], drafts: {} }));
    expect(Object.keys(opened)).toEqual([job.id]);
    expect(pullsReducer(opened, jobsLoaded({ jobs: [job], drafts: {} }))).toBe(opened);
  });
});
