import { demoJobs } from '@/demo/jobs';

import { evaluate } from '../../evaluate/evaluate';
import { blankCoilGroup, entry } from '../../job/blank';
import { withEntry } from '../../job/paths';
import type { Job } from '../../job/types';
import { advise } from '../advise';
import { COMMON_STEELS } from '../moves';

const [, softened] = demoJobs() as [Job, Job];
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
});
