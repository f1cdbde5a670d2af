import { evaluate, workOut } from '@/core/evaluate/evaluate';
import { packModel } from '@/core/evaluate/states';
import { entry } from '@/core/job/entry';
import { withEntry } from '@/core/job/paths';
import type { DiaphragmSpring, Job } from '@/core/job/types';
import { readSentence } from '@/core/text/sentence';
import { crag } from '@/testing/jobs';

import { diaphragm } from '../kind';
import { onStep } from '../steps';
import { whichStep } from '../whichStep';

const INCH = 25.4;

/** The retainer of a made-up kit: bands in inches, the last one open, by caliper. */
function kit(part: Partial<DiaphragmSpring> = {}, caliper?: number): Job {
  const job = diaphragm.example(crag());
  const step = (name: string, height: number, from: number, to?: number) => ({
    id: name,
    name,
    height: entry(height * INCH),
    bandMin: entry(from * INCH),
    ...(to === undefined ? {} : { bandMax: entry(to * INCH) }),
  });
  const made: Job = {
    ...job,
    springs: {
      ...job.springs,
      diaphragm: {
        ...job.springs.diaphragm,
        heightActs: 'further',
        stepBy: 'caliper',
        stepId: '1',
        // The stack of this pack is 34.5 mm, 1.358 in.
        steps: [step('1', 0.19, 1.32, 1.34), step('2', 0.175, 1.34, 1.36), step('3', 0.16, 1.36)],
        ...part,
      },
    },
  };
  return caliper === undefined ? made : withEntry(made, 'pack.caliper', entry(caliper * INCH));
}

const stepVerdict = (job: Job) => evaluate(job).verdicts.find((v) => v.id === 'step');
const answerOf = (job: Job) => readSentence(whichStep(job)?.sentence ?? []);

describe('which step', () => {
  it('goes by the caliper where the leaflet does, and says what is missing', () => {
    expect(whichStep(kit())?.by).toBe('caliper');
    expect(whichStep(kit())?.selection).toBeUndefined();
    expect(stepVerdict(kit())).toMatchObject({
      state: 'unknown',
      need: { path: 'pack.caliper' },
    });
    const answer = whichStep(kit({}, 1.356));
    expect(answer?.selection).toMatchObject({ by: 'caliper', steps: ['2'], disagrees: false });
    expect(answer?.selection?.margin).toBeCloseTo(0.004 * INCH, 9);
    expect(stepVerdict(kit({}, 1.356))).toMatchObject({
      state: 'stop',
      title: 'Wrong retainer step',
    });
    expect(stepVerdict(kit({ stepId: '2' }, 1.356))?.state).toBe('good');
  });

  it('warns where sum and caliper point to different steps, whichever counts', () => {
    const over = kit({ stepId: '3' }, 1.362);
    expect(whichStep(over)?.selection).toMatchObject({ steps: ['3'], disagrees: true });
    expect(readSentence(whichStep(over)?.warning ?? [])).toMatch(/step 2.*goes by caliper/);
    expect(stepVerdict(over)?.state).toBe('watch');
    expect(whichStep(kit({ stepBy: 'sum' }, 1.362))?.selection?.steps).toEqual(['2']);
  });

  it('has an open end, an edge that belongs to both, and a hole that belongs to none', () => {
    expect(whichStep(kit({}, 1.5))?.selection?.steps).toEqual(['3']);
    expect(whichStep(kit({}, 1.34))?.selection?.steps).toEqual(['1', '2']);
    expect(answerOf(kit({}, 1.34))).toContain('exactly on the edge');
    expect(whichStep(kit({}, 1.31))?.selection?.steps).toEqual([]);
    expect(answerOf(kit({}, 1.31))).toContain('No step covers');
  });

  it('presses by the printed heights, in the direction in which they act', () => {
    const deflection = (job: Job) => workOut(job).sheet.known('deflection')?.value ?? NaN;
    const on = (stepId: string, heightActs: 'further' | 'less') =>
      kit({ stepId, heightActs }, 1.356);
    const first = deflection(on('1', 'further'));
    expect(deflection(on('3', 'further')) - first).toBeCloseTo(-0.03 * INCH, 9);
    expect(deflection(on('3', 'less')) - first).toBeCloseTo(0.03 * INCH, 9);
    expect(deflection(on('1', 'less'))).toBeCloseTo(first, 9);
  });

  it('shows clamp of the step and its neighbours, new and worn, as the model gives them', () => {
    const job = kit({ stepId: '2' }, 1.356);
    const answer = whichStep(job);
    expect(answer?.steps.map((s) => s.name)).toEqual(['1', '2', '3']);
    for (const step of answer?.steps ?? []) {
      const model = packModel(onStep(job, step.id));
      expect(step.clamp).toBeCloseTo(model.at().clamp ?? NaN, 9);
      if (answer?.worn !== undefined)
        expect(step.clampWorn).toBeCloseTo(model.at({ wear: answer.worn }).clamp ?? NaN, 9);
    }
  });
});
