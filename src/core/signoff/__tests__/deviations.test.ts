import { evaluate } from '@/core/evaluate/evaluate';
import { entry } from '@/core/job/entry';
import type { Job } from '@/core/job/types';
import type { Fastener } from '@/core/job/work';
import { customerSheet } from '@/core/paper/customerSheet';
import { jobSheet } from '@/core/paper/jobSheet';
import { stepMarked } from '@/core/worksheet/worksheet';
import { crag, finished, NOW } from '@/testing/jobs';

import { deviationItems } from '../deviations';
import { openItems } from '../openItems';

const of = (job: Job) => deviationItems(job, evaluate(job)).map((d) => d.id);
const bolt = (part: Partial<Fastener>): Fastener => ({
  id: 'f',
  role: 'cover',
  name: 'Cover bolts',
  lock: 'none',
  grade: '',
  torque: entry(10),
  ...part,
});
const withBolt = (part: Partial<Fastener>): Job => ({
  ...crag(),
  build: { ...crag().build, fasteners: [bolt(part)] },
});

describe('deviations', () => {
  it('gather torques outside their value, and inside a range none', () => {
    expect(of(withBolt({ applied: entry(10.4) }))).toEqual([]);
    expect(of(withBolt({ applied: entry(5) }))).toEqual(['deviation:torque:f']);
    expect(of(withBolt({ applied: entry(12) }))).toEqual(['deviation:torque:f']);
    const range = { ...entry(12), range: { low: 11, high: 13 } };
    expect(of(withBolt({ torque: range, applied: entry(11) }))).toEqual([]);
    expect(of(withBolt({ torque: range, applied: entry(10.9) }))).toEqual(['deviation:torque:f']);
  });

  it('gather an impact gun, a lock washer and a gasket that are used again', () => {
    expect(of(withBolt({ tool: 'impact', applied: entry(5) }))).toEqual([
      'deviation:torque:f',
      'deviation:tool:f',
    ]);
    expect(of(withBolt({ tool: 'wrench' }))).toEqual([]);
    expect(of(withBolt({ lock: 'lockWasher', lockReused: true }))).toEqual(['deviation:lock:f']);
    // Another way of locking makes the old note void.
    expect(of(withBolt({ lock: 'threadlocker', lockReused: true }))).toEqual([]);
    const job = crag();
    expect(of({ ...job, build: { ...job.build, gasketReused: true } })).toEqual([
      'deviation:gasket',
    ]);
  });

  it('ask about a soak that was ticked after two minutes, not about a full one', () => {
    const soaked = (minutes: number) => {
      const start = new Date(Date.parse(NOW) - minutes * 60_000).toISOString();
      const job = { ...crag(), build: { ...crag().build, soakStart: start } };
      return of(stepMarked(job, 'build', 'soak', true, NOW));
    };
    expect(soaked(2)).toEqual(['deviation:soak']);
    expect(soaked(19)).toEqual(['deviation:soak']);
    expect(soaked(20)).toEqual([]);
    expect(soaked(600)).toEqual([]);
  });

  it('block the signature until each has a sentence, which both sheets print', () => {
    const job = finished(crag());
    const worse: Job = {
      ...job,
      build: { ...job.build, fasteners: [...job.build.fasteners, bolt({ tool: 'impact' })] },
    };
    const open = openItems(worse).filter((i) => i.kind === 'deviation' && !i.override);
    expect(open.map((i) => i.id)).toContain('deviation:tool:f');
    const answered: Job = {
      ...worse,
      signOff: {
        ...worse.signOff,
        overrides: [
          ...worse.signOff.overrides,
          {
            itemId: 'deviation:tool:f',
            reason: 'Agreed with the customer.',
            by: 'Bench 1',
            at: NOW,
          },
        ],
      },
    };
    expect(openItems(answered).find((i) => i.id === 'deviation:tool:f')?.override).toBeDefined();
    for (const paper of [customerSheet(answered), jobSheet(answered)]) {
      const text = JSON.stringify(paper.blocks);
      expect(text).toContain('impact gun');
      expect(text).toContain('Agreed with the customer.');
    }
  });
});
