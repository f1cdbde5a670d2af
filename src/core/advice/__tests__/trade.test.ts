import { put } from '@/testing/packs';
import { crag, knoll } from '@/testing/jobs';
import { readSentence } from '@/core/text/sentence';

import { figuresToCompare } from '../compare';
import { trades } from '../trade';

describe('what a change trades', () => {
  const job = crag();
  const now = figuresToCompare(job);
  const found = trades(job);
  const named = (label: RegExp) => {
    const trade = found.find((t) => label.test(readSentence(t.label)));
    if (!trade) throw new Error(`no trade ${label}`);
    return trade.figures.values;
  };

  it('pays lift for a lighter lever with a reduced-effort part or a greater lever ratio', () => {
    for (const label of [/Reduced-effort part 1.25/, /Lever ratio 10 % more/]) {
      const then = named(label);
      expect(then.leverPull).toBeLessThan(now.values.leverPull ?? 0);
      expect(then.liftHad).toBeLessThan(now.values.liftHad ?? 0);
      expect(then.clamp).toBeCloseTo(now.values.clamp ?? 0, 9);
    }
  });

  it('pays pull for clamp with shims under the springs', () => {
    const then = named(/1.0 mm more shim/);
    expect(then.clamp).toBeGreaterThan(now.values.clamp ?? Infinity);
    expect(then.leverPull).toBeGreaterThan(now.values.leverPull ?? Infinity);
    expect(then.reserveWithTangs).toBeGreaterThan(now.values.reserveWithTangs ?? Infinity);
  });

  it('takes the reduced-effort part out where there is one', () => {
    const eased = trades(put(knoll(), { 'release.reducedEffort': 1.25 }));
    expect(eased.map((t) => readSentence(t.label))).toContain('Reduced-effort part removed');
    expect(eased.some((t) => /part 1.25/.test(readSentence(t.label)))).toBe(false);
  });
});
