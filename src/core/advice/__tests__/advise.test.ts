import { layOut } from '@/core/evaluate/layers';
import { demoJob } from '@/demo/jobs';

import { evaluate } from '../../evaluate/evaluate';
import { blankCoilGroup, entry } from '../../job/blank';
import { withEntry } from '../../job/paths';
import type { Job } from '../../job/types';
import { advise } from '../advise';
import { COMMON_STEELS } from '../moves';

const softened = demoJob('UR-0101');
const state = (job: Job, id: string) => evaluate(job).verdicts.find((v) => v.id === id)?.state;

describe('advice', () => {
  it('has nothing to say where all is good', () => {
    expect(advise(softened, 'holds')).toEqual([]);
  });

  it('cures a slipping pack, makes no other verdict worse, and means what it says', () => {
    const weak = withEntry(softened, 'engine.peakTorque', entry(44));
    expect(state(weak, 'holds')).toBe('watch');
    const advice = advise(weak, 'holds');
    expect(advice.length).toBeGreaterThan(0);
    for (const a of advice) {
      expect(state(a.job, 'holds')).toBe('good');
      for (const v of evaluate(weak).verdicts)
        if (v.state === 'good')
          expect([a.moves, v.id, state(a.job, v.id)]).toEqual([a.moves, v.id, 'good']);
      expect(a.change.reserve.after ?? 0).toBeGreaterThan(a.change.reserve.before ?? 0);
      const reserve = evaluate(a.job).figures.get('reserveWithTangs');
      expect(reserve).toMatchObject({ range: { low: a.change.reserve.after } });
    }
    expect(advice.map((a) => a.effort)).toEqual(
      [...advice.map((a) => a.effort)].sort((x, y) => x - y),
    );
  });

  it('mends a stack that misses its window by one steel', () => {
    const low = withEntry(
      withEntry(softened, 'pack.windowMin', entry(34.1)),
      'pack.windowMax',
      entry(34.4),
    );
    expect(state(low, 'stack')).toBe('stop');
    expect(advise(low, 'stack')[0]).toMatchObject({
      effort: 1,
      moves: [expect.stringContaining('One steel')],
    });
  });

  it('changes as many steels as bring a stack to the middle of its window', () => {
    const low = withEntry(
      withEntry(softened, 'pack.windowMin', entry(35.2)),
      'pack.windowMax',
      entry(35.6),
    );
    const advice = advise(low, 'stack', { most: 40 });
    const mix = advice.find((a) => a.moves[0]?.includes('to the middle of the window'));
    expect(mix).toBeDefined();
    expect(Math.abs((mix?.change.stack.after ?? 0) - 35.4)).toBeLessThanOrEqual(0.2);
  });

  it('takes a reduced-effort part out where lift is short, and wrong oil where the pack slips', () => {
    const eased = withEntry(softened, 'release.reducedEffort', entry(1.3));
    expect(state(eased, 'releases')).not.toBe('good');
    expect(advise(eased, 'releases').flatMap((a) => a.moves)).toContain(
      'The reduced-effort part out',
    );
    const oily: Job = { ...softened, intake: { ...softened.intake, oil: 'frictionModified' } };
    expect(advise(oily, 'oil').flatMap((a) => a.moves)).toEqual(['Oil for wet clutches in']);
  });

  it('gives a short lift more travel: losses taken away first, else the least larger master, or a shorter arm', () => {
    const airy = withEntry(softened, 'release.air', entry(6));
    expect(state(airy, 'releases')).not.toBe('good');
    const [bled] = advise(airy, 'releases');
    expect(bled).toMatchObject({ moves: ['The air bled out of the line'], effort: 1 });

    const small = withEntry(softened, 'release.masterDiameter', entry(9.525));
    expect(state(small, 'releases')).not.toBe('good');
    const masters = advise(small, 'releases').filter((a) => a.moves[0]?.startsWith('A master'));
    expect(masters.length).toBeGreaterThan(0);
    // Of those that lift enough the lightest stands first, and it is the smallest.
    const bores = masters.map((a) => a.job.release.masterDiameter?.value ?? 0);
    expect(bores).toEqual([...bores].sort((a, b) => a - b));
    for (const a of masters)
      expect(a.change.pull.after ?? 0).toBeGreaterThan(a.change.pull.before ?? 0);
    expect(advise(small, 'holds')).toEqual([]);

    const cable = demoJob('UR-0106');
    const slow = withEntry(
      cable,
      'release.armLength',
      entry((cable.release.armLength?.value ?? 0) * 1.2),
    );
    expect(state(slow, 'releases')).not.toBe('good');
    expect(
      advise(slow, 'releases')
        .flatMap((a) => a.moves)
        .join(),
    ).toContain('A release arm of');
  });

  it('makes a heavy lever lighter where there is lift to spare, and never at the cost of release', () => {
    const train = (job: Job) =>
      ['release.pullMax', 'release.faceClearance'].reduce(
        (j, path, i) => withEntry(j, path, entry(i === 0 ? 48 : 0.07)),
        job,
      );
    for (const [number, offered] of [
      ['UR-0101', 'A master cylinder of'],
      ['UR-0106', 'A release arm of'],
    ] as const) {
      const heavy = train(demoJob(number));
      expect(state(heavy, 'pull')).toBe('watch');
      const advice = advise(heavy, 'pull', { most: 20 });
      expect(advice.flatMap((a) => a.moves).join()).toContain(offered);
      expect(advice.flatMap((a) => a.moves).join()).toContain('A reduced-effort part of');
      for (const a of advice) {
        expect(a.change.pull.after).toBeLessThanOrEqual(48);
        expect([a.moves, state(a.job, 'releases')]).toEqual([a.moves, 'good']);
      }
      // Without lift to spare a lighter lever would make the pack drag: then nothing is offered.
      expect(advise(withEntry(demoJob(number), 'release.pullMax', entry(48)), 'pull')).toEqual([]);
    }
  });

  it('offers what binds in the train first, and no lift that makes the lever heavy', () => {
    const stiff = withEntry(demoJob('UR-0106'), 'release.efficiency', entry(0.5));
    const at = withEntry(stiff, 'release.pullMax', entry(60));
    expect(advise(at, 'pull')[0]?.moves).toEqual([
      'What binds between lever and plate cleaned, oiled or new',
    ]);
    const small = withEntry(softened, 'release.masterDiameter', entry(8.5));
    const bore = (a: { readonly moves: readonly string[] }) =>
      a.moves.join().includes('A master cylinder of');
    const free = advise(small, 'releases', { most: 20 }).filter(bore);
    const light = withEntry(small, 'release.pullMax', entry(free[0]?.change.pull.after ?? NaN));
    expect(free.length).toBeGreaterThan(0);
    for (const a of advise(light, 'releases', { most: 20 }))
      expect(state(a.job, 'pull')).toBe('good');
    expect(advise(light, 'releases', { most: 20 }).filter(bore).length).toBeLessThan(free.length);
  });

  it('turns an install gap back into its window by marks of the adjuster', () => {
    const set = (job: Job, values: Readonly<Record<string, number>>) =>
      Object.entries(values).reduce((j, [path, v]) => withEntry(j, path, entry(v)), job);
    const auto = set(
      { ...softened, expanding: { fitted: true } },
      {
        'expanding.count': 8,
        'expanding.mass': 0.06,
        'expanding.radius': 50,
        'expanding.advantage': 2,
        'expanding.returnForce': 250,
        'expanding.returnRate': 20,
        'expanding.growth': 2,
        'setting.installGap': 1.3,
        'setting.gapMin': 0.8,
        'setting.gapMax': 1.1,
        'setting.pitch': 1,
        'setting.marksPerTurn': 8,
      },
    );
    const advice = advise(auto, 'installGap', { most: 20 });
    expect(advice.flatMap((a) => a.moves)).toContain('Install gap 2 marks narrower');
    for (const a of advice) expect(state(a.job, 'installGap')).toBe('good');
  });

  it('puts two moves together where one is not enough', () => {
    const both = withEntry(
      withEntry(softened, 'engine.peakTorque', entry(47)),
      'pack.windowMax',
      entry(34.05),
    );
    const advice = advise(both, 'holds', { atHand: { steelThicknesses: [1, 1.2], springs: [] } });
    for (const a of advice) expect(state(a.job, 'holds')).toBe('good');
    const single = advise(both, 'holds', { atHand: { steelThicknesses: [], springs: [] } });
    expect([...advice, ...single].every((a) => a.moves.length <= 2)).toBe(true);
  });

  it('tries the springs on the shelf', () => {
    const strong = {
      ...blankCoilGroup('strong', 'strong'),
      rate: entry(27),
      freeLength: entry(42),
      solidLength: entry(20),
    };
    const weak = withEntry(softened, 'engine.peakTorque', entry(46));
    const advice = advise(weak, 'holds', {
      atHand: { ...COMMON_STEELS, springs: [strong] },
      most: 20,
    });
    const springs = advice.find((a) => a.moves.includes('Springs strong'));
    expect(springs?.change.pull.after ?? 0).toBeGreaterThan(
      springs?.change.pull.before ?? Infinity,
    );
  });

  it('keeps the last steel of a narrow hub on its spline by a spacer pair, and brings the stack back', () => {
    const job = demoJob('UR-0104');
    const [first] = advise(job, 'retention');
    expect(first?.moves[0]).toMatch(/spacer pair/);
    if (!first) throw new Error('no advice');
    const after = evaluate(first.job);
    expect(after.verdicts.find((v) => v.id === 'retention')?.state).toBe('good');
    expect(after.verdicts.find((v) => v.id === 'stack')?.state).toBe('good');
    expect(layOut(first.job).slipping).toHaveLength(layOut(job).slipping.length);
  });

  it('lays mixed springs in turn where they press off the middle', () => {
    const [first] = advise(demoJob('UR-0104'), 'ring');
    expect(first?.moves).toEqual(['The kinds of spring laid in turn round the ring']);
  });
});
