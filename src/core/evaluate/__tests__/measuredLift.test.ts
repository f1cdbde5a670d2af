import { coilPack, figureOf, put, verdictOf } from '@/testing/packs';

import { followTrain } from '@/core/advice/measuredLift';
import { releaseBudget } from '@/core/evaluate/figures/lossFigures';
import { blankJob } from '../../job/blank';
import { entry } from '../../job/entry';
import { withEntry } from '../../job/paths';
import type { Job } from '../../job/types';
import { evaluate } from '../evaluate';

/** A dial that shows less lift than the train should give. */
const read = (job: Job, mm: number): Job => put(job, { 'release.measuredLift': mm });
const lossy = put(coilPack(), {
  'release.freePlay': 3,
  'release.lostTravel': 0.2,
  'release.reducedEffort': 1.15,
});

describe('a dial beside a known train', () => {
  it('gives what the train does not explain, the measured ratio and the lift without the reduced-effort part', () => {
    const job = read(lossy, 0.9);
    expect(figureOf(job, 'liftUnexplained')).toBeCloseTo(figureOf(lossy, 'liftHad') - 0.9, 12);
    expect(figureOf(job, 'ratioMeasured')).toBeCloseTo((62 - 3 - 0.2 * 5.2) / 0.9, 12);
    expect(figureOf(job, 'liftBare')).toBeCloseTo(0.9 * 1.15, 12);
    // The pull is that of the train, as before.
    expect(figureOf(job, 'leverPull')).toBe(figureOf(lossy, 'leverPull'));
  });

  it('judges the release by the dial', () => {
    expect(verdictOf(read(coilPack(), 0.4), 'releases')).toMatchObject({ state: 'stop' });
    expect(evaluate(read(coilPack(), 3)).verdicts.find((v) => v.id === 'releases')).toMatchObject({
      state: 'good',
      figures: ['liftMeasured', 'liftNeeded', 'clearancePerFace'],
    });
  });

  it('adds up in the budget, and names what to do first where the lift is short', () => {
    const job = read(lossy, 0.9);
    const budget = releaseBudget(job, 1.05);
    expect(budget?.left).toBe(0.9);
    const lost = (budget?.lines ?? []).reduce((sum, l) => sum + l.liftLost, 0);
    expect(lost).toBeCloseTo((budget?.whole ?? 0) - 0.9, 12);
    expect(budget?.lines.at(-1)?.name).toBe('Not accounted for');
    // Bleeding is too little alone; the part that is taken out is enough.
    expect(budget?.first?.name).toBe('Reduced-effort part');
    expect(releaseBudget(job, 0.91)?.first?.repair).toMatchObject({ effort: 1 });
    expect(releaseBudget(job, 0.8)?.first).toBeUndefined();
  });

  it('keeps the least free play', () => {
    const wide = put(coilPack(), { 'release.freePlay': 6, 'setting.freePlayMin': 4 });
    const line = releaseBudget(wide)?.lines[0];
    expect(line?.repair?.gains).toBeCloseTo((line?.liftLost ?? 0) / 3, 12);
    expect(
      releaseBudget(put(coilPack(), { 'release.freePlay': 1.5 }))?.lines[0]?.repair,
    ).toBeUndefined();
  });

  it('compares measured and required lift before a pack is entered', () => {
    let job = withEntry(blankJob('a', '1', '2026-03-01'), 'release.requiredLift', entry(1.5));
    job = withEntry(job, 'release.measuredLift', entry(1.3));
    const verdict = evaluate({ ...job, release: { ...job.release, type: 'cable' } }).verdicts.find(
      (v) => v.id === 'releases',
    );
    expect(verdict).toMatchObject({ state: 'watch', figures: ['liftMeasured', 'liftNeeded'] });
  });

  it('lets the manual’s lift go before an assumed clearance, but not before an entered one', () => {
    const { faceClearance: _none, ...release } = coilPack().release;
    const assumed = put({ ...coilPack(), release }, { 'release.requiredLift': 0.7 });
    expect(figureOf(assumed, 'liftNeeded')).toBe(0.7);
    const entered = put(assumed, { 'release.faceClearance': 0.1 });
    expect(figureOf(entered, 'liftNeeded')).toBeCloseTo(figureOf(entered, 'faces') * 0.1, 12);
  });

  it('scales with the train where another is tried', () => {
    const job = read(lossy, 0.9);
    const longer = put(job, { 'release.masterDiameter': 11 });
    const factor =
      figureOf(put(lossy, { 'release.masterDiameter': 11 }), 'liftHad') /
      figureOf(lossy, 'liftHad');
    expect(followTrain(job, longer).release.measuredLift?.value).toBeCloseTo(0.9 * factor, 12);
  });
});
