import { readFileSync } from 'node:fs';
import path from 'node:path';

import { evaluate } from '@/core/evaluate/evaluate';
import { releaseBudget } from '@/core/evaluate/figures/lossFigures';
import { readSentence } from '@/core/text/sentence';
import { rankCauses } from '@/core/causes/rank';
import { inspect } from '@/core/inspect/inspect';
import { measuringRun, nextOpen } from '@/core/inspect/run';
import type { Job } from '@/core/job/types';
import { advise } from '@/core/advice/advise';
import { readTorqueCsv } from '@/files/torqueCsv';

import { CURVES } from '../curves';
import { demoJob, demoJobs } from '../jobs';

const state = (job: Job, id: string) => evaluate(job).verdicts.find((v) => v.id === id)?.state;
const sentence = (job: Job, id: string) =>
  readSentence(evaluate(job).verdicts.find((v) => v.id === id)?.sentence ?? []);
const known = (job: Job, id: Parameters<ReturnType<typeof evaluate>['figures']['get']>[0]) => {
  const f = evaluate(job).figures.get(id);
  if (f?.status !== 'known') throw new Error(`${id} of ${job.number} is not known`);
  return f.value;
};

describe('the demo workshop', () => {
  it('has each job at its own stage', () => {
    expect(Object.fromEntries(demoJobs().map((j) => [j.number, j.stage]))).toEqual({
      'UR-0101': 'log',
      'UR-0102': 'set',
      'UR-0103': 'inspect',
      'UR-0104': 'specify',
      'UR-0105': 'intake',
      'UR-0106': 'build',
      'UR-0107': 'specify',
    });
    expect(new Set(demoJobs().map((j) => j.machine.id)).size).toBe(7);
  });

  it('keeps to plausible figures', () => {
    for (const job of demoJobs()) {
      if (job.number === 'UR-0105') continue;
      const reserve = evaluate(job).figures.get('reserveWithTangs');
      expect([job.number, reserve?.status]).toEqual([job.number, 'known']);
      expect(known(job, 'reserveWithTangs')).toBeGreaterThan(1.2);
      expect(known(job, 'reserveWithTangs')).toBeLessThan(1.9);
      expect(known(job, 'clamp')).toBeGreaterThan(900);
      expect(known(job, 'clamp')).toBeLessThan(3500);
      expect(known(job, 'liftHad')).toBeGreaterThan(1.2);
      expect(known(job, 'liftHad')).toBeLessThan(2.6);
      expect(known(job, 'leverPull')).toBeGreaterThan(35);
      expect(known(job, 'leverPull')).toBeLessThan(140);
    }
  });

  it('UR-0102: past the peak the next step is lighter, and the second reading teaches the ratio', () => {
    const job = demoJob('UR-0102');
    const step3: Job = {
      ...job,
      springs: { ...job.springs, diaphragm: { ...job.springs.diaphragm, stepId: 'step3' } },
    };
    expect(known(step3, 'leverPull')).toBeLessThan(known(job, 'leverPull'));
    expect(known(step3, 'clamp')).toBeLessThan(known(job, 'clamp'));
    expect(sentence(job, 'gain')).toContain('this machine’s own ratio');
    const first: Job = {
      ...job,
      setting: { ...job.setting, readings: job.setting.readings.slice(0, 1) },
    };
    expect(sentence(first, 'gain')).toContain('the train’s ratio');
  });

  it('UR-0103: half measured, lift short after a reduced-effort part, which the budget shows', () => {
    const job = demoJob('UR-0103');
    expect(state(job, 'releases')).toBe('watch');
    const budget = releaseBudget(job);
    const worst = [...(budget?.lines ?? [])].sort((a, b) => b.liftLost - a.liftLost)[0];
    expect(worst?.name).toBe('Reduced-effort part');
    const cures = advise(job, 'releases').flatMap((a) => a.moves.map((move) => readSentence(move)));
    expect(cures).toContain('Reduced-effort part removed');
    const steps = measuringRun(job, ['discs', 'steels', 'flatness']);
    const at = nextOpen(job, steps);
    expect(at).toBeGreaterThan(10);
    expect(at).toBeLessThan(steps.length);
    const { counts, begun } = inspect(job, evaluate(job));
    expect(begun).toBe(true);
    expect(counts.open).toBeGreaterThan(5);
  });

  it('UR-0104: the last steel leaves its spline, springs press off centre, the plate lifts on one side', () => {
    const job = demoJob('UR-0104');
    expect(state(job, 'retention')).toBe('stop');
    expect(state(job, 'ring')).toBe('watch');
    expect(state(job, 'even')).toBe('stop');
    expect(state(job, 'gap')).toBe('good');
  });

  it('UR-0105: creeps because its start clutch touches below idle, which the causes say first', () => {
    const job = demoJob('UR-0105');
    expect(state(job, 'start')).toBe('stop');
    expect(known(job, 'startContact')).toBeLessThan(1500);
    const { causes } = rankCauses({
      complaints: job.intake.complaints,
      tests: job.intake.tests,
      evaluation: evaluate(job),
      job,
    });
    expect(causes[0]?.id).toBe('shoeSpring');
  });

  it('ships its torque curves as files that read back to the same points', () => {
    for (const curve of Object.values(CURVES)) {
      const text = readFileSync(
        path.join(__dirname, '../../../public/demo-curves', curve.name),
        'utf8',
      );
      expect(readTorqueCsv(text, curve.name).curve).toEqual(curve);
    }
  });
});
