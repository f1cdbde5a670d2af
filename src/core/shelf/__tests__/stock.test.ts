import { crag, smallStock } from '@/testing/jobs';
import { evaluate } from '@/core/evaluate/evaluate';
import { layOut } from '@/core/evaluate/engine/layers';
import type { Job } from '@/core/job/types';

import { chooseSteels } from '../jobShelf';
import { freeFor, reserved, springSetsOf, steelsOf } from '../stock';
import { withShelfSet } from '../shelfSet';

const stock = smallStock();
const job: Job = crag();
let made = 0;
const newId = () => `k${made++}`;
const source = { kind: 'measured', date: '2026-11-01', note: 'from the shelf' } as const;

describe('the shelf of the shop', () => {
  it('puts an answer into a job: the stack is what the answer said, and the plates are reserved', () => {
    const { sets } = chooseSteels(job, { plates: steelsOf(stock) });
    const [best] = sets;
    if (!best) throw new Error('nothing fits');
    const next = withShelfSet(job, best, stock, source, newId);
    const stack = evaluate(next).figures.get('stack');
    expect(stack?.status === 'known' ? stack.value : 0).toBeCloseTo(best.height, 3);
    const taken = reserved([next]);
    const picked = best.picks.reduce((sum, p) => sum + p.count, 0);
    expect([...taken.values()].reduce((a, b) => a + b, 0)).toBe(picked);
    // Discs stay as they were, reading for reading.
    const discs = (j: Job) =>
      layOut(j)
        .layers.filter((l) => l.lined !== 'none')
        .map((l) => l.plate);
    expect(discs(next)).toEqual(discs(job));
    // A steel is of the kind that is as thick by name.
    for (const l of layOut(next).layers.filter((x) => x.lined === 'none'))
      expect(Math.abs((l.thickness ?? 0) - (l.kind.thickness?.value ?? 0))).toBeLessThan(0.08);
  });

  it('offers another job only what is free, and the job itself what it holds', () => {
    const { sets } = chooseSteels(job, { plates: steelsOf(stock) });
    const [best] = sets;
    if (!best) throw new Error('nothing fits');
    const next = withShelfSet(job, best, stock, source, newId);
    const ids = new Set(best.picks.map((p) => p.id));
    expect(freeFor(stock, [next]).plates.some((p) => ids.has(p.id))).toBe(false);
    expect(freeFor(stock, []).plates).toHaveLength(stock.plates.length);
  });

  it('offers only spring sets of which there are enough', () => {
    const six = springSetsOf(stock, crag()).map((s) => s.id);
    expect(six).toHaveLength(2);
    const few = { ...stock, springs: stock.springs.map((s) => ({ ...s, count: 4 })) };
    expect(springSetsOf(few, crag())).toEqual([]);
  });
});
