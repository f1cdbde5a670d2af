import { put } from '@/testing/packs';
import { crag, measured, scree, signedOff } from '@/testing/jobs';
import fc from 'fast-check';

import { blankJob } from '@/core/job/blank';
import { entry } from '@/core/job/entry';
import { withEntry } from '@/core/job/paths';
import type { Job, Stage } from '@/core/job/types';
import { STAGES } from '@/core/job/types';
import { arbitraryJob } from '@/testing/arbitraryJob';

import { evaluate } from '@/core/evaluate/evaluate';
import { inspect } from '@/core/inspect/inspect';
import { missingAt, incompleteStages } from '../missingAt';
import { reopened } from '../revisions';
import { omit } from '@/core/omit';

const judged = (job: Job) => {
  const evaluation = evaluate(job);
  return { evaluation, inspection: inspect(job, evaluation) };
};
const left = (stage: Stage, job: Job) => missingAt(stage, job, judged(job));
const passed = (job: Job) => incompleteStages(job, judged(job));

const blank = blankJob('j', 'UR-1', '2026-11-25T12:00:00.000Z');
const whole = signedOff(measured(crag(), 0.02));
const done = reopened(whole, 'to test');

describe('missing entries of a stage', () => {
  it('is all of it for a job that has just been made', () => {
    expect(left('intake', blank)).toEqual([
      'machine name',
      'clutch type',
      'complaint or goal',
      'oil',
      'engine torque',
    ]);
    expect(left('strip', blank)).toEqual(['strip list', 'small parts', 'plate order']);
    expect(left('specify', blank)[0]).toBe('no plates yet');
    expect(left('build', blank)).toContain('tightening torques');
    expect(left('set', blank)).toContain('lift reading');
  });

  it('is nothing at any stage of a job that is done', () => {
    for (const stage of STAGES) expect(left(stage, done)).toEqual([]);
  });

  it('asks a machine with a belt for no plates, no lift and no torque of an engine', () => {
    const belt = { ...blank, machine: { ...blank.machine, layout: 'startAndBelt' as const } };
    expect(left('intake', belt)).not.toContain('engine torque');
    expect(left('strip', belt)).not.toContain('plate order');
    expect(left('set', belt)).not.toContain('lift reading');
    const pack = { ...blank, machine: { ...blank.machine, layout: 'pack' as const } };
    expect(left('intake', pack)).toContain('engine torque');
  });

  it.each<[string, Stage, (job: Job) => Job, string]>([
    [
      'a step of the strip list',
      'strip',
      (j) => ({
        ...j,
        strip: { ...j.strip, steps: j.strip.steps.map((s, i) => ({ ...s, done: i !== 1 })) },
      }),
      '1 step',
    ],
    [
      'two parts that nobody counted',
      'strip',
      (j) => ({
        ...j,
        strip: {
          ...j.strip,
          parts: j.strip.parts.map((p, i) => (i < 2 ? omit(p, 'out') : p)),
        },
      }),
      '2 small parts not counted',
    ],
    [
      'a plate without readings',
      'inspect',
      (j) => ({
        ...j,
        pack: {
          ...j.pack,
          plates: j.pack.plates.map((p, i) => (i === 2 ? { ...p, readings: {} } : p)),
        },
      }),
      '1 part not measured',
    ],
    [
      'a limit that what was measured waits for',
      'inspect',
      (j) => ({
        ...j,
        pack: {
          ...j.pack,
          kinds: j.pack.kinds.map((k) => (k.name === 'Disc' ? omit(k, 'minThickness') : k)),
        },
      }),
      'the minimum thickness of Disc',
    ],
    ['a pack that slips', 'specify', (j) => withEntry(j, 'engine.peakTorque', entry(95)), 'slips'],
    [
      'a part that is not back',
      'build',
      (j) => withEntry(j, `strip.parts.${j.strip.parts[0]?.id ?? ''}.in`, entry(0)),
      '1 small part not fitted',
    ],
    [
      'a bolt without its torque',
      'build',
      (j) => withEntry(j, `build.fasteners.${j.build.fasteners[0]?.id ?? ''}.torque`, undefined),
      'tightening torques',
    ],
    [
      'a dial that was never put on',
      'set',
      (j) => ({ ...j, release: { ...omit(j.release, 'measuredLift'), liftReadings: [] } }),
      'lift reading',
    ],
    [
      'starts of the break-in',
      'prove',
      (j) => withEntry(j, `prove.starts.${j.prove.starts[0]?.id ?? ''}.done`, entry(0)),
      'break-in start',
    ],
    [
      'starts that nobody has begun to count',
      'prove',
      (j) => ({
        ...j,
        prove: {
          ...j.prove,
          starts: [
            { id: 'a', name: '', wanted: entry(6) },
            { id: 'b', name: '', wanted: entry(4), done: entry(5) },
          ],
        },
      }),
      '6 break-in starts',
    ],
  ])('names %s', (_what, stage, change, words) => {
    const changed = change(done);
    expect(left(stage, changed).join(', ')).toContain(words);
    expect(passed(changed)).toContain(stage);
  });
});

it('what is read at Set or Prove is not left at Specify', () => {
  const base = put(scree(), { 'engine.peakTorqueRpm': 9000, 'setting.targetGain': 12 });
  const quad: Job = {
    ...base,
    setting: { ...base.setting, readings: [{ id: 'a', turns: entry(1), gain: entry(20) }] },
  };
  expect(evaluate(quad).overall.title).toBe('Lever gain too large');
  expect(left('specify', quad)).toEqual([]);
  const heavy = withEntry(quad, 'release.pullMax', entry(5));
  expect(left('specify', heavy)).toEqual(['heavy lever']);
});

describe('stages that were passed with something left', () => {
  it('are those of earlier stages, and none of a signed job', () => {
    const atStrip: Job = { ...blank, stage: 'strip' };
    expect(passed(blank)).toEqual([]);
    expect(passed(atStrip)).toEqual(['intake']);
    expect(passed({ ...blank, stage: 'set' })).toEqual(['intake', 'strip', 'specify', 'build']);
    const signedWithReason: Job = { ...whole, strip: { ...done.strip, steps: [] } };
    expect(passed(signedWithReason)).toEqual([]);
    expect(passed(reopened(signedWithReason, 'to test'))).toEqual(['strip']);
  });

  it('is defined for any record', () => {
    fc.assert(
      fc.property(arbitraryJob, fc.constantFrom(...STAGES), (any, stage) => {
        const job: Job = { ...any, stage };
        const at = STAGES.indexOf(stage);
        for (const s of passed(job)) {
          expect(STAGES.indexOf(s)).toBeLessThan(at);
          expect(left(s, job)).not.toEqual([]);
        }
      }),
      { numRuns: 60 },
    );
  });
});
