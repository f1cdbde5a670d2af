import { crag } from '@/testing/jobs';
import fc from 'fast-check';

import { evaluate } from '../../evaluate/evaluate';
import type { Job } from '../../job/types';
import { WAYS } from '../hands';
import { judderOf, judderSetupOf } from '../judder';
import { takeoffWithAssumptions } from '../setup';
import { takeoff } from '../takeoff';

const slipping = (torque: number, seconds: number, steel = 90) =>
  Array.from({ length: 101 }, (_, i) => ({ t: (i * seconds) / 100, torque, slip: 100, steel }));
const PACK = { slope: -0.02, radius: 50, damping: 1, reasons: [] };
/** 2·ζ·J·ω of the driveline. */
const OWN = 2 * 0.05 * 0.01 * 2 * Math.PI * 12;

describe('judder', () => {
  it('begins where friction takes as much damping away as the driveline has', () => {
    const edge = OWN / (0.02 * 0.05);
    expect(judderOf(PACK, slipping(edge * 0.99, 2))).toMatchObject({ level: 'none', fed: 0 });
    const over = judderOf(PACK, slipping(edge * 1.5, 2));
    expect(over.worst).toBeCloseTo(1.5, 9);
    expect(over.fed).toBeCloseTo(2, 9);
    expect(Math.log(over.growth)).toBeCloseTo(((0.5 * OWN) / (2 * 0.01)) * 2, 6);
    expect(over.level).toBe('likely');
  });

  it('is not fed by friction that rises with slip speed, and is damped by a judder pair', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 0.05, noNaN: true }),
        fc.double({ min: 1, max: 400, noNaN: true }),
        (slope, torque) => {
          expect(judderOf({ ...PACK, slope }, slipping(torque, 3)).level).toBe('none');
          const bare = judderOf({ ...PACK, slope: -slope }, slipping(torque, 0.4));
          const pair = judderOf({ ...PACK, slope: -slope, damping: 1.5 }, slipping(torque, 0.4));
          expect(pair.growth).toBeLessThanOrEqual(bare.growth + 1e-9);
        },
      ),
    );
    expect(judderOf(PACK, []).level).toBe('none');
  });

  it('comes with glazed plates, with an oil that is not known and with sintered linings', () => {
    const job = crag();
    const slopeOf = (each: Job) => judderSetupOf(each, evaluate(each).layout).slope;
    const glazed: Job = {
      ...job,
      pack: {
        ...job.pack,
        plates: job.pack.plates.map((p) => ({ ...p, seen: ['glazed' as const] })),
      },
    };
    const sintered: Job = {
      ...job,
      pack: {
        ...job.pack,
        kinds: job.pack.kinds.map((k) => ({ ...k, lining: 'sintered' as const })),
      },
    };
    const unknown: Job = { ...job, intake: { ...job.intake, oil: 'unknown' } };
    for (const worse of [glazed, sintered, unknown]) {
      expect(slopeOf(worse)).toBeLessThan(slopeOf(job));
      expect(judderSetupOf(worse, evaluate(worse).layout).reasons).toHaveLength(1);
    }
    const made = takeoffWithAssumptions(glazed);
    if ('needs' in made) throw new Error('known');
    const run = takeoff(made.setup, WAYS.race.hands, { steel: 90, oil: 90 });
    // Hot steels do the rest: a second start follows the first.
    const again = takeoff(made.setup, WAYS.race.hands, { steel: 150, oil: 90 });
    expect([run.judder.level, again.judder.level]).toEqual(['none', 'possible']);
    expect(run.judder.worst).toBeGreaterThan(1);
    expect(again.judder.growth).toBeGreaterThan(run.judder.growth);
  });
});
