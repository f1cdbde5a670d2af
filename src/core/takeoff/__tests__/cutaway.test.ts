import { withVariant, jobWith } from '@/core/job/variants';
import { crag, fen, jobOf, jobsOfEachKind, scree } from '@/testing/jobs';
import { evaluate } from '../../evaluate/evaluate';
import type { FigureId } from '@/core/evaluate/engine/figure';
import { blankJob } from '../../job/blank';
import { cutawayOf } from '../cutaway';
import { packsOf, takeoffOfPacks } from '../packs';
import { WAYS } from '../hands';
import { takeoffOf } from '../setup';
import { takeoffBy } from '../takeoff';

const known = (number: string, id: FigureId) => {
  const figure = evaluate(jobOf(number)).figures.get(id);
  return figure?.status === 'known' ? figure.value : Number.NaN;
};

describe('the cutaway', () => {
  it('agrees with the sheet for any job of the workshop', () => {
    for (const job of jobsOfEachKind()) {
      const cut = cutawayOf(job, 90);
      const rest = cut.at(0, 0);
      expect(rest.lift).toBe(0);
      expect(rest.plate - rest.growth).toBeCloseTo(rest.opening, 12);
      expect(cut.at(1, 0).opening).toBeLessThanOrEqual(cut.widest + 1e-9);
      if (!cut.expanding) expect(rest.clamp).toBeCloseTo(known(job.number, 'clamp'), 6);
      expect(cut.ride).toBeDefined();
    }
  });

  it('closes the gap of an auto-clutch where its figures say, and then the lever gains', () => {
    const cut = cutawayOf(scree(), 90);
    const gap = scree().setting.installGap?.value ?? 0;
    const contact = known('T-2', 'expandContact');
    expect(cut.at(0, contact - 60).growth).toBeLessThan(gap);
    expect(cut.at(0, contact - 60).clamp).toBe(0);
    expect(cut.at(0, contact + 1).growth).toBeCloseTo(gap, 2);
    expect(cut.at(0, contact + 1).opening).toBeCloseTo(0, 2);
    const full = cut.at(0, 9000);
    expect(full.growth).toBeCloseTo(scree().expanding.growth?.value ?? 0, 9);
    expect(full.gain).toBeCloseTo(known('T-2', 'leverGain'), 6);
    expect(full.clamp).toBeGreaterThan(known('T-2', 'clampAtPeak'));
    // The lever must first make up for what the disc has lifted.
    expect(cut.at(0.3, 9000).pressed).toBeGreaterThan(cut.at(0.3, 1400).pressed);
  });

  it('swings the shoes of a start clutch out to the drum where they touch', () => {
    const cut = cutawayOf(fen(), 90);
    const contact = known('T-5', 'startContact');
    expect(cut.shoes).toBe(4);
    expect(cut.at(0, contact * 0.7).shoes).toBeCloseTo(0.49, 6);
    expect(cut.at(0, contact * 1.2).shoes).toBe(1);
  });

  it('works its lever while the machine is not known, and says what is needed', () => {
    const cut = cutawayOf({ ...crag(), engine: {} }, 90);
    expect(cut.ride).toBeUndefined();
    expect(cut.needs.length).toBeGreaterThan(0);
    expect(cut.at(1, 0).clearance).toBeGreaterThan(0);
    expect(cutawayOf(blankJob('x', 'X', '2026-01-01T00:00:00.000Z'), 90).layout.layers).toEqual([]);
  });
});

describe('packs of a job with the same hands', () => {
  it('are tried each by itself, the one being worked on first', () => {
    const job = withVariant(withVariant(crag(), 'one', 'As it came'), 'two', 'Soft springs');
    const made = takeoffOfPacks(packsOf(job), WAYS.race, 90);
    expect(made.map((m) => m.name)).toEqual(['Current', 'As it came', 'Soft springs']);
    job.variants.forEach((variant, i) => {
      const alone = takeoffOf(jobWith(job, variant));
      if ('needs' in alone) throw new Error('known');
      expect(made[i + 1]?.starts).toEqual(takeoffBy(alone, WAYS.race, 90));
    });
  });

  it('name missing inputs: of the first as a refusal, of another beside the results', () => {
    const job = crag();
    const bare = { name: 'bare', job: { ...job, engine: {} } };
    expect(() => takeoffOfPacks([bare], WAYS.race, 90)).toThrow('duty');
    const [, second] = takeoffOfPacks([...packsOf(job).slice(0, 1), bare], WAYS.race, 90);
    expect(second?.starts).toEqual([]);
    expect(second?.needs?.length).toBeGreaterThan(0);
  });
});
