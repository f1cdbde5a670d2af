import { put } from '@/testing/packs';
import { crag, fen, knoll, measured, scree, signedOff, visitOf } from '@/testing/jobs';
import fc from 'fast-check';

import { entry } from '@/core/job/entry';
import type { Job } from '@/core/job/types';
import { arbitraryJob } from '@/testing/arbitraryJob';

import { packLife } from '../../log/packLife';
import { dueOf } from '../due';
import { omit } from '@/core/omit';

/** Signed in March, and back twice since, a little thinner each time. */
const signedJob: Job = {
  ...signedOff(put(measured(crag(), 0), { 'intake.hours': 212 })),
  visits: [
    visitOf(crag(), '2026-05-11', 230, 0.01),
    visitOf(crag(), '2026-08-03', 253, 0.02),
    visitOf(crag(), '2026-11-16', 278, 0.03),
  ],
};
/** Its linings are in the oil since this morning. */
const soaking: Job = {
  ...scree(),
  stage: 'build',
  build: { ...scree().build, soakStart: '2026-11-20T07:00:00.000Z' },
};
const back = (job: Job, due: string): Job => ({ ...job, intake: { ...job.intake, due } });

const NOW = '2026-11-20T10:00:00.000Z';
const ids = (jobs: readonly Job[], now = NOW) => dueOf(jobs, now).map((d) => d.id);

describe('what is due', () => {
  it('is sorted by time, each item with its reason', () => {
    const due = dueOf(
      [signedJob, soaking, back(knoll(), '2026-11-24'), back(fen(), '2026-11-21')],
      NOW,
    );
    expect(due.map((d) => d.kind)).toEqual(['soak', 'back', 'back', 'limit']);
    const days = due.map((d) => d.at ?? d.day);
    expect(days).toEqual([...days].sort());
    expect(due.every((d) => d.reason.length > 0)).toBe(true);
  });

  it('foresees a limit at the early end of its interval, as the log does', () => {
    const job = signedJob;
    const [limit] = dueOf([job], NOW);
    expect(limit?.day).toBe(packLife(job).foreseen[0]?.earliestDate);
  });

  it('forgets a pack that another has taken the place of', () => {
    const job = signedJob;
    const later = {
      ...job,
      id: 'later',
      intake: { ...job.intake, hours: { value: 300 } },
      visits: [],
    };
    expect(ids([job, later])).not.toContain('limit-crag');
    // A changed meter does not show what came first: then the day decides.
    const newMeter = {
      ...later,
      machine: { ...later.machine, meter: 'distance' as const },
      intake: { ...omit(later.intake, 'hours'), distance: entry(3) },
    };
    const after = { ...newMeter, createdAt: '2027-01-01T00:00:00.000Z' };
    const before = { ...newMeter, createdAt: '2020-01-01T00:00:00.000Z' };
    expect(ids([job, after])).not.toContain('limit-crag');
    expect(ids([job, before])).toContain('limit-crag');
  });

  it('asks for no break-in where a fault was found and nothing assembled', () => {
    const signed = { ...signedOff(fen()), prove: fen().prove };
    const fault = { ...signed, intake: { ...signed.intake, purpose: 'findFault' as const } };
    expect(ids([fault])).toContain(`recheck-${fault.id}`);
    expect(ids([{ ...fault, work: fen().work }])).toEqual([]);
  });

  it('asks for the measurement after break-in until one is there', () => {
    const job = signedJob;
    const { recheckFreePlay: _play, recheckLift: _lift, ...prove } = job.prove;
    const unmeasured = { ...job, prove, visits: [] };
    const [due] = dueOf([unmeasured], NOW);
    expect(due).toMatchObject({ kind: 'recheck', day: '2026-04-08' });
    expect(ids([{ ...job, visits: [] }])).not.toContain('recheck-crag');
    expect(ids([{ ...unmeasured, visits: job.visits }])).not.toContain('recheck-crag');
  });

  it.each(['recheckFreePlay', 'recheckLift', 'recheckGain'] as const)(
    'takes %s for the measurement after break-in',
    (field) => {
      const job = signedJob;
      const {
        recheckFreePlay: _play,
        recheckLift: _lift,
        recheckGain: _gain,
        ...prove
      } = job.prove;
      const bare = { ...job, prove, visits: [] };
      expect(ids([bare])).toContain('recheck-crag');
      const done = { ...bare, prove: { ...prove, [field]: entry(1) } };
      expect(ids([done])).not.toContain('recheck-crag');
      // What was never signed has nothing to be measured after.
      const open = { ...bare, signOff: { ...bare.signOff, revisions: [] } };
      expect(ids([open])).not.toContain('recheck-crag');
    },
  );

  it('drops a soak that is over for a day, and all of a job in the archive', () => {
    const job = soaking;
    expect(ids([job])).toContain('soak-scree');
    expect(ids([job], '2026-11-22T10:00:00.000Z')).not.toContain('soak-scree');
    expect(ids([{ ...job, archived: true }])).toEqual([]);
  });

  it('has one identifier for each thing, whatever the jobs are', () => {
    fc.assert(
      fc.property(fc.array(arbitraryJob, { maxLength: 3 }), (jobs) => {
        const named = jobs.map((j, i) => ({ ...j, id: `j${i}` }));
        const all = ids(named);
        expect(new Set(all).size).toBe(all.length);
        expect(ids(named, '2026-11-21T10:00:00.000Z').every((id) => /^[a-z]+-j\d$/.test(id))).toBe(
          true,
        );
      }),
      { numRuns: 60 },
    );
  });
});
