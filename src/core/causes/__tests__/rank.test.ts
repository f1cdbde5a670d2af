import type { Job } from '@/core/job/types';
import { put } from '@/testing/packs';
import { cairn, crag, fen, measured } from '@/testing/jobs';
import fc from 'fast-check';

import { evaluate } from '../../evaluate/evaluate';
import { entry } from '../../job/entry';
import { withEntry } from '../../job/paths';
import type { ComplaintId } from '../complaints';
import type { TestId } from '../cause';
import { COMPLAINTS } from '../complaints';
import { CAUSES, complaintWeights } from '../knowledge';
import { TESTS } from '../tests';
import { complaintsOf, rankCauses } from '../rank';

const top = (ranking: ReturnType<typeof rankCauses>, n = 1) =>
  ranking.causes.slice(0, n).map((c) => c.id);
const place = (ranking: ReturnType<typeof rankCauses>, id: string) =>
  ranking.causes.findIndex((c) => c.id === id);

describe('likely causes', () => {
  it('distinguishes slip from drag', () => {
    const slips = rankCauses({ complaints: ['slips'] });
    expect(top(slips, 5)).toEqual(expect.arrayContaining(['wornDiscs', 'weakSprings', 'wrongOil']));
    expect(place(slips, 'shortLift')).toBeGreaterThan(10);
    const drags = rankCauses({ complaints: ['drags', 'neutral'] });
    expect(top(drags, 3)).toEqual(expect.arrayContaining(['shortLift', 'warpedSteels']));
    expect(top(rankCauses({ complaints: ['creeps'] }), 3)).toEqual(
      expect.arrayContaining(['idleHigh', 'shoeSpring']),
    );
  });

  const HOLDING = ['wornDiscs', 'weakSprings', 'wrongOil', 'glazedDiscs', 'stackLow', 'noFreePlay'];
  const RELEASING = ['shortLift', 'airInLine', 'tooMuchFreePlay', 'tiltedPlate', 'tangsBind'];
  it.each<[ComplaintId, readonly string[], readonly string[]]>([
    ['slips', HOLDING, RELEASING],
    ['drags', RELEASING, HOLDING],
    ['neutral', RELEASING, HOLDING],
    ['hotDrag', RELEASING, ['wornDiscs', 'weakSprings', 'glazedDiscs', 'stackLow']],
  ])(
    '%s is not laid to what does the opposite, known faults of the machine or not',
    (complaint, to, not) => {
      const sound = rankCauses({ complaints: [complaint] });
      const last = Math.max(...to.map((id) => place(sound, id)));
      for (const id of not) expect(place(sound, id)).toBeGreaterThan(Math.min(last, 8));
      // A plate that lifts on one side is found on this machine; it is no reason to slip.
      const job: Job = {
        ...cairn(),
        release: {
          ...cairn().release,
          liftReadings: [1.9, 1.2, 1.5].map((lift, i) => ({
            id: `d${i}`,
            angle: entry(i * 120),
            lift: entry(lift),
          })),
        },
      };
      const found = rankCauses({ complaints: [complaint], job, evaluation: evaluate(job) });
      if (complaint === 'slips') expect(place(found, 'tiltedPlate')).toBeGreaterThan(3);
      else expect(top(found)).toEqual(['tiltedPlate']);
    },
  );

  it('lays creeping to what takes up by itself only where there is such a thing', () => {
    const plain = crag();
    const single = rankCauses({ complaints: ['creeps'], job: plain, evaluation: evaluate(plain) });
    for (const id of ['idleHigh', 'gapSmall', 'shoeSpring'])
      expect(place(single, id)).toBeGreaterThan(3);
    const farm = put(fen(), { 'engine.idleRpm': 2600 });
    const quad = rankCauses({ complaints: ['creeps'], job: farm, evaluation: evaluate(farm) });
    expect(top(quad, 2)).toEqual(['shoeSpring', 'idleHigh']);
  });

  it('clears discs that were measured whole, pack limit or not', () => {
    const job = withEntry(measured(crag(), 0.02), 'pack.maxWear', undefined);
    const evaluation = evaluate(job);
    expect(evaluation.verdicts.some((v) => v.id === 'wear')).toBe(false);
    const cleared = rankCauses({ complaints: ['slips'], job, evaluation });
    expect(
      cleared.causes.find((c) => c.id === 'wornDiscs')?.reasons.map((r) => r.because),
    ).toContain('Every disc is above its minimum thickness.');
    const [disc] = job.pack.plates;
    const one = withEntry(job, `pack.plates.${disc?.id ?? ''}.readings.1`, entry(2));
    const worn = rankCauses({ complaints: ['slips'], job: one, evaluation: evaluate(one) });
    expect(top(worn)).toEqual(['wornDiscs']);
  });

  it('sends nobody to test what is hardly to blame', () => {
    for (const complaint of Object.keys(COMPLAINTS) as ComplaintId[]) {
      const { causes, next } = rankCauses({ complaints: [complaint] });
      const share = new Map(causes.map((c) => [c.id, c.share]));
      expect(next.length).toBeGreaterThan(2);
      for (const { id } of next) {
        const reported = new Set(
          TESTS[id].outcomes.flatMap((o) =>
            o.weights.filter((x) => x.tenths > 0).map((x) => x.cause),
          ),
        );
        expect(
          [...reported].reduce((sum, c) => sum + (share.get(c) ?? 0), 0),
        ).toBeGreaterThanOrEqual(0.03);
      }
    }
    expect(rankCauses({ complaints: ['slips'] }).next.map((t) => t.id)).not.toContain('idleSpeed');
  });

  it('moves with one tap of a test, and never offers it again', () => {
    const before = rankCauses({ complaints: ['slips'] });
    const after = rankCauses({ complaints: ['slips'], tests: { oilGrade: 'bad' } });
    expect(top(after)).toEqual(['wrongOil']);
    expect(before.next.map((t) => t.id)).toContain('oilGrade');
    expect(after.next.map((t) => t.id)).not.toContain('oilGrade');
    const cleared = rankCauses({ complaints: ['slips'], tests: { oilGrade: 'good' } });
    expect(place(cleared, 'wrongOil')).toBeGreaterThan(place(before, 'wrongOil'));
  });

  it('asks no test that the job has measured', () => {
    const asked = (job: Job) =>
      rankCauses({ complaints: ['drags'], job, evaluation: evaluate(job) }).next.map((t) => t.id);
    const dial = {
      ...crag(),
      release: {
        ...crag().release,
        liftReadings: [1.9, 0.9, 1.8].map((lift, i) => ({
          id: `d${i}`,
          angle: entry(i * 120),
          lift: entry(lift),
        })),
      },
    };
    expect(asked(crag())).toContain('liftRound');
    expect(asked(dial)).not.toContain('liftRound');
  });

  it('asks no test that the complaint answers', () => {
    const asked = (...complaints: ComplaintId[]) =>
      rankCauses({ complaints }).next.map((t) => t.id);
    expect(asked('neutral')).toContain('coldHot');
    expect(asked('neutral', 'coldOnly')).not.toContain('coldHot');
    expect(asked('neutral', 'hotDrag')).not.toContain('coldHot');
  });

  it('offers a machine without plates no complaint about lever or pack', () => {
    expect(complaintsOf('pack')).toEqual(Object.keys(COMPLAINTS));
    expect(complaintsOf('startAndBelt')).toEqual(
      expect.arrayContaining(['slips', 'creeps', 'chatters']),
    );
    for (const id of ['heavy', 'weakReturn', 'drags'] as const)
      expect(complaintsOf('startAndBelt')).not.toContain(id);
  });

  it('offers cheap tests that bear on the complaint first', () => {
    const { next } = rankCauses({ complaints: ['slips'] });
    expect(
      next
        .slice(0, 2)
        .map((t) => t.id)
        .sort(),
    ).toEqual(['freePlay', 'oilGrade']);
    expect(rankCauses({ complaints: ['creeps'] }).next[0]?.id).toBe('idleSpeed');
  });

  it('lets measurements of the job confirm and clear', () => {
    const job = measured(crag(), 0);
    const short = evaluate(withEntry(job, 'release.leverTravel', entry(40)));
    const withShort = rankCauses({ complaints: ['neutral'], evaluation: short });
    expect(top(withShort)).toEqual(['shortLift']);
    expect(withShort.causes[0]?.reasons.map((r) => r.from)).toContain('Lift');
    const fine = rankCauses({ complaints: ['neutral'], evaluation: evaluate(job) });
    expect(place(fine, 'shortLift')).toBeGreaterThan(3);
    expect(place(fine, 'warpedSteels')).toBeGreaterThan(3);
  });

  it('adds up: shares make one, scores are prior and reasons, order of evidence plays no part', () => {
    const complaint = fc.constantFrom(...(Object.keys(COMPLAINTS) as ComplaintId[]));
    const test = fc
      .constantFrom(...(Object.keys(TESTS) as TestId[]))
      .chain((id) => fc.constantFrom(...TESTS[id].outcomes.map((o) => [id, o.id] as const)));
    fc.assert(
      fc.property(
        fc.array(complaint, { maxLength: 5 }),
        fc.array(test, { maxLength: 6 }),
        (complaints, made) => {
          const tests = Object.fromEntries(made);
          const ranking = rankCauses({ complaints, tests });
          expect(ranking.causes.reduce((s, c) => s + c.share, 0)).toBeCloseTo(1, 9);
          for (const c of ranking.causes)
            expect(c.score).toBe(CAUSES[c.id].prior + c.reasons.reduce((s, r) => s + r.tenths, 0));
          expect(
            rankCauses({ complaints: [...complaints].reverse(), tests }).causes.map((c) => c.id),
          ).toEqual(ranking.causes.map((c) => c.id));
        },
      ),
    );
  });

  it('knows every cause by a complaint and by a test that can clear it, each weight with a reason', () => {
    const byComplaint = new Set(
      (Object.keys(COMPLAINTS) as ComplaintId[])
        .map(complaintWeights)
        .flat()
        .filter((x) => x.tenths > 0)
        .map((x) => x.cause),
    );
    const cleared = new Set(
      Object.values(TESTS)
        .flatMap((t) => t.outcomes)
        .flatMap((o) => o.weights)
        .filter((x) => x.tenths < 0)
        .map((x) => x.cause),
    );
    for (const id of Object.keys(CAUSES)) {
      expect([id, byComplaint.has(id as keyof typeof CAUSES)]).toEqual([id, true]);
      if (id !== 'overSprung')
        expect([id, cleared.has(id as keyof typeof CAUSES)]).toEqual([id, true]);
    }
    for (const x of (Object.keys(COMPLAINTS) as ComplaintId[]).flatMap(complaintWeights))
      expect(x.because).toMatch(/\.$/);
  });
});
