import { crag, measured } from '@/testing/jobs';
import fc from 'fast-check';

import { arbitraryJob } from '@/testing/arbitraryJob';

import { entry } from '../../job/entry';
import { withEntry } from '../../job/paths';
import type { Job } from '../../job/types';
import { evaluate } from '../evaluate';
import { packModel } from '../states';

const job = crag();
const clampOf = (each: Job) => {
  const f = evaluate(each).figures.get('clamp');
  return f?.status === 'known' ? f.value : Number.NaN;
};

describe('states of a pack', () => {
  it('are the evaluation itself as built', () => {
    const model = packModel(job);
    const { figures } = evaluate(job);
    const known = (
      id:
        | 'clamp'
        | 'stack'
        | 'reserveWithTangs'
        | 'leverPull'
        | 'releaseForce'
        | 'liftHad'
        | 'clearancePerFace',
    ) => {
      const f = figures.get(id);
      if (f?.status !== 'known') throw new Error(id);
      return f;
    };
    expect(model.at().clamp).toBeCloseTo(known('clamp').value, 9);
    expect(model.at().reserve?.low).toBeCloseTo(known('reserveWithTangs').range?.low ?? 0, 9);
    const lifted = model.at({ lift: known('liftHad').value });
    expect(lifted.springForce).toBeCloseTo(known('releaseForce').value, 9);
    expect(lifted.leverPull).toBeCloseTo(known('leverPull').value, 9);
    expect(lifted.clearancePerFace).toBeCloseTo(known('clearancePerFace').value, 9);
    expect(lifted.clamp).toBe(0);
  });

  it('lose clamp linearly with the wear of a coil pack, and hold most as new', () => {
    const model = packModel(job);
    const at = (wear: number) => model.at({ wear }).clamp ?? 0;
    fc.assert(
      fc.property(fc.double({ min: 0, max: 2, noNaN: true }), (wear) => {
        expect(at(0) - at(wear)).toBeCloseTo((at(0) - at(1)) * wear, 6);
      }),
    );
    const worn = packModel(measured(job, 0.02));
    expect(worn.at({ plates: 'new' }).clamp).toBeGreaterThan(worn.at().clamp ?? Infinity);
    expect(() => model.at({ wear: -1 })).toThrow('wear');
    expect(() => model.at({ wear: 100 })).toThrow('wear');
  });

  it('name the limit that is met first, at which that limit is indeed met', () => {
    const model = packModel(job);
    const limits = model.wearReserve();
    expect(limits.map((l) => l.wear)).toEqual([...limits.map((l) => l.wear)].sort((a, b) => a - b));
    const slip = limits.find((l) => l.name === 'slips');
    expect(model.at({ wear: slip?.wear ?? 0 }).reserve?.low).toBeCloseTo(1, 6);
    const window = limits.find((l) => l.name === 'stack below its limits');
    expect(model.at({ wear: window?.wear ?? 0 }).stack).toBeCloseTo(34, 9);
    expect(packModel(withEntry(job, 'pack.windowMin', entry(34.45))).wearReserve()[0]?.name).toBe(
      'stack below its limits',
    );
  });

  it('add the weights with rpm, at rest nothing', () => {
    const assisted: Job = {
      ...job,
      assist: {
        type: 'levers',
        count: entry(6),
        mass: entry(0.011),
        radius: entry(47),
        leverRatio: entry(2),
      },
    };
    const model = packModel(assisted);
    expect(model.at().clamp).toBeCloseTo(clampOf(job), 9);
    expect(model.at({ rpm: 7000 }).clamp).toBeGreaterThan(clampOf(job) + 100);
    const { rpm, wear, lift } = model.curves();
    expect([rpm.length, wear.length, lift.length]).toEqual([41, 41, 41]);
    expect(rpm.at(-1)?.at.clamp).toBeGreaterThan(rpm[0]?.at.clamp ?? Infinity);
  });

  it('never give NaN or infinity, whatever the job', () => {
    const finite = (value: unknown): boolean =>
      typeof value === 'number'
        ? Number.isFinite(value)
        : typeof value === 'object' && value !== null
          ? Object.values(value).every(finite)
          : true;
    fc.assert(
      fc.property(arbitraryJob, (each) => {
        const model = packModel(each);
        const { wear, lift, rpm } = model.curves(5);
        for (const point of [...wear, ...lift, ...rpm]) expect(finite(point)).toBe(true);
        expect(finite(model.wearReserve())).toBe(true);
      }),
      { numRuns: 150 },
    );
  });
});
