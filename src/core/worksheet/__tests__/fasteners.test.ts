import { crag, jobOf, knoll, torqued } from '@/testing/jobs';
import { evaluate } from '@/core/evaluate/evaluate';
import { entry } from '@/core/job/entry';
import { blankJob } from '@/core/job/blank';
import { withEntry } from '@/core/job/paths';
import type { Job } from '@/core/job/types';

import { bothTorques, isUnusual, usualFasteners, usualTorque } from '../fasteners';
import { stepsOf } from '../worksheet';

describe('torques', () => {
  it.each([
    [{ value: 10.9821, typed: '8.1 ft-lb' }, '8.1 ft-lb (11.0 N·m)'],
    [{ value: 10.9821, typed: '97.2 in-lb' }, '97.2 in-lb (11.0 N·m)'],
    [{ value: 12.5, typed: '12.5 Nm' }, '12.5 Nm (111 in·lb)'],
    [{ value: 12, typed: '11–13 N·m' }, '11–13 N·m (106 in·lb)'],
    [{ value: 74, typed: '74 N·m' }, '74 N·m (54.6 ft·lb)'],
    [{ value: 74 }, '74.0 N·m (54.6 ft·lb)'],
  ])('says both units, the one it was given in first: %j', (torque, said) => {
    expect(bothTorques(torque)).toBe(said);
  });

  it('follows the builder’s unit where none was written, and another torque’s for a share of it', () => {
    expect(bothTorques({ value: 13.5582 }, { torque: 'ftlb' })).toBe('10.0 ft·lb (13.6 N·m)');
    expect(bothTorques({ value: 5.5 }, {}, { value: 10.9821, typed: '97.2 in-lb' })).toBe(
      '49 in·lb (5.5 N·m)',
    );
  });

  it('asks about a torque far from usual for its thread, as one meant in another unit is', () => {
    expect([5, 6, 8, 10].map((d) => Math.round(usualTorque(d)))).toEqual([6, 11, 26, 51]);
    expect(isUnusual(9, 6)).toBe(false);
    // 9 in-lb in place of 9 ft-lb, and the other way round.
    expect([isUnusual(1.0, 6), isUnusual(122, 6)]).toEqual([true, true]);
    const job = withEntry(torqued(crag()), 'build.fasteners.f0.size', entry(6));
    const asked = (torque: number) =>
      evaluate(withEntry(job, 'build.fasteners.f0.torque', entry(torque))).problems.filter(
        (p) => p.path === 'build.fasteners.f0.torque',
      ).length;
    expect([asked(9), asked(108)]).toEqual([0, 1]);
  });

  it.each([
    [1, ['finger:f0', 'fastener:f0']],
    [2, ['finger:f0', 'fastener:f0']],
    [3, ['finger:f0', 'stage:f0:1', 'stage:f0:2']],
  ])('has a circle from three bolts on: %i', (count, lines) => {
    const base = torqued(crag());
    const id = base.build.fasteners.find((f) => f.role === 'springs')?.id ?? '';
    const job = withEntry(base, `build.fasteners.${id}.count`, entry(count));
    const keys = stepsOf(job, 'build').map((s) => s.line.key);
    expect(keys.filter((k) => k.split(':')[1] === id)).toEqual(
      lines.map((l) => l.replace('f0', id)),
    );
  });

  it('lists what this clutch has: springs under bolts, a retainer, or nuts', () => {
    const names = (number: string) =>
      usualFasteners(jobOf(number), () => 'x').map((f) => [f.name, f.count?.value]);
    expect(names('T-1')).toContainEqual(['Spring bolts', 5]);
    expect(names('T-3').map(([n]) => n)).toContain('Retainer bolts');
    expect(names('T-4').map(([n]) => n)).toContain('Nuts of the spring plate');
  });

  it('takes quantities that were counted at Strip, and asks for none of them again', () => {
    const counted = (job: Job, parts: Readonly<Record<string, number>>): Job => ({
      ...job,
      strip: {
        ...job.strip,
        parts: Object.entries(parts).map(([key, out]) => ({
          id: key,
          key,
          name: key,
          note: '',
          out: entry(out),
        })),
      },
    });
    const counts = (job: Job) =>
      Object.fromEntries(usualFasteners(job, () => 'x').map((f) => [f.name, f.count?.value]));
    expect(counts(counted(knoll(), { coverBolts: 11, retainerBolts: 6 }))).toMatchObject({
      'Cover bolts': 11,
      'Retainer bolts': 6,
    });
    const bare = blankJob('j', 'T-9', '2026-01-01T00:00:00.000Z');
    expect(counts(counted(bare, { springs: 4, coverBolts: 0 }))).toMatchObject({
      'Spring bolts': 4,
      'Cover bolts': undefined,
    });
  });
});
