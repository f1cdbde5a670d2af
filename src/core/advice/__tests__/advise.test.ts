import { cairn, crag, fen, jobsOfEachKind, measured, scree } from '@/testing/jobs';
import type { Values } from '@/testing/packs';
import { figureOf, put } from '@/testing/packs';
import { layOut } from '@/core/evaluate/engine/layers';

import { evaluate } from '../../evaluate/evaluate';
import { readSentence } from '@/core/text/sentence';
import type { VerdictId } from '@/core/evaluate/engine/verdict';
import { blankCoilGroup, blankJob } from '../../job/blank';
import { entry } from '../../job/entry';
import { withEntry } from '../../job/paths';
import type { Job, Plate } from '../../job/types';
import type { AdviseOptions } from '../advise';
import { advise as adviseInAmounts } from '../advise';
import { movedTo, ofThickness } from '../../pack/edit';
import { creepMoves } from '../creepMoves';
import { COMMON_STEELS, movesFor } from '../moves';
import { orderMoves } from '../orderMoves';
import { manualFix } from '../manualFix';

/** Advice with its moves as text. */
const advise = (job: Job, verdict: VerdictId, options: AdviseOptions = {}) =>
  adviseInAmounts(job, verdict, options).map((a) => ({
    ...a,
    moves: a.moves.map((move) => readSentence(move)),
  }));

const softened = crag();
/** The same pack, pulled open by a cable. */
const cabled: Job = { ...crag(), release: scree().release };
const state = (job: Job, id: string) => evaluate(job).verdicts.find((v) => v.id === id)?.state;

describe('advice', () => {
  it('has nothing to say where all is good', () => {
    expect(advise(softened, 'holds')).toEqual([]);
  });

  it('cures a slipping pack, makes no other verdict worse, and means what it says', () => {
    const weak = withEntry(softened, 'engine.peakTorque', entry(47));
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

  it('fixes a stack outside its limits by one steel', () => {
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
    const mix = advice.find((a) => a.moves[0]?.includes('to the middle of the limits'));
    expect(mix).toBeDefined();
    expect(Math.abs((mix?.change.stack.after ?? 0) - 35.4)).toBeLessThanOrEqual(0.2);
  });

  it('takes a reduced-effort part out where lift is short, and wrong oil where the pack slips', () => {
    const eased = withEntry(softened, 'release.reducedEffort', entry(1.3));
    expect(state(eased, 'releases')).not.toBe('good');
    expect(advise(eased, 'releases').flatMap((a) => a.moves)).toContain(
      'Reduced-effort part removed',
    );
    const oily: Job = { ...softened, intake: { ...softened.intake, oil: 'frictionModified' } };
    expect(advise(oily, 'oil').flatMap((a) => a.moves)).toEqual(['Oil for wet clutches filled']);
  });

  it('gives a short lift more travel: losses taken away first, else the least larger master, or a shorter arm', () => {
    const airy = withEntry(softened, 'release.air', entry(16));
    expect(state(airy, 'releases')).not.toBe('good');
    const [bled] = advise(airy, 'releases');
    expect(bled).toMatchObject({ moves: ['Line bled of air'], effort: 1 });

    const small = withEntry(softened, 'release.masterDiameter', entry(8.5));
    expect(state(small, 'releases')).not.toBe('good');
    const masters = advise(small, 'releases').filter((a) => a.moves[0]?.startsWith('Master'));
    expect(masters.length).toBeGreaterThan(0);
    // Of those that lift enough the lightest is first, and it is the smallest.
    const bores = masters.map((a) => a.job.release.masterDiameter?.value ?? 0);
    expect(bores).toEqual([...bores].sort((a, b) => a - b));
    for (const a of masters)
      expect(a.change.pull.after ?? 0).toBeGreaterThan(a.change.pull.before ?? 0);
    expect(advise(small, 'holds')).toEqual([]);

    const slow = withEntry(cabled, 'release.armLength', entry(52));
    expect(state(slow, 'releases')).not.toBe('good');
    expect(
      advise(slow, 'releases')
        .flatMap((a) => a.moves)
        .join(),
    ).toContain('Release arm');
  });

  it('makes a heavy lever lighter where there is lift to spare, and never at the cost of release', () => {
    const train = (job: Job) => put(job, { 'release.pullMax': 54, 'release.faceClearance': 0.07 });
    for (const [job, offered] of [
      [crag(), 'Master cylinder'],
      [cabled, 'Release arm'],
    ] as const) {
      const heavy = train(job);
      expect(state(heavy, 'pull')).toBe('watch');
      const advice = advise(heavy, 'pull', { most: 20 });
      expect(advice.flatMap((a) => a.moves).join()).toContain(offered);
      expect(advice.flatMap((a) => a.moves).join()).toContain('Reduced-effort part');
      for (const a of advice) {
        expect(a.change.pull.after).toBeLessThanOrEqual(54);
        expect([a.moves, state(a.job, 'releases')]).toEqual([a.moves, 'good']);
      }
      // Without lift to spare a lighter lever would make the pack drag: then nothing is offered.
      const needed = figureOf(job, 'liftHad') / 16;
      const scarce = put(job, { 'release.pullMax': 54, 'release.faceClearance': needed });
      expect(advise(scarce, 'pull')).toEqual([]);
    }
  });

  it('offers what binds in the train first, and no lift that makes the lever heavy', () => {
    const stiff = withEntry(crag(), 'release.efficiency', entry(0.5));
    const at = withEntry(stiff, 'release.pullMax', entry(70));
    expect(advise(at, 'pull')[0]?.moves).toEqual([
      'Binding parts between lever and plate cleaned, oiled or replaced',
    ]);
    const small = withEntry(softened, 'release.masterDiameter', entry(8.5));
    const bore = (a: { readonly moves: readonly string[] }) =>
      a.moves.join().includes('Master cylinder');
    const free = advise(small, 'releases', { most: 20 }).filter(bore);
    const light = withEntry(small, 'release.pullMax', entry(free[0]?.change.pull.after ?? NaN));
    expect(free.length).toBeGreaterThan(0);
    for (const a of advise(light, 'releases', { most: 20 }))
      expect(state(a.job, 'pull')).toBe('good');
    expect(advise(light, 'releases', { most: 20 }).filter(bore).length).toBeLessThan(free.length);
  });

  it('offers a thinner oil to a pack that drags when cold, and drops the can of the old one', () => {
    const cold = put(fen(), {
      'oil.coldest': 40,
      'oil.viscosity40': 95,
      'oil.viscosity100': 14,
    });
    expect(state(cold, 'coldDrag')).toBe('watch');
    const [first, ...others] = advise(cold, 'coldDrag');
    expect(first?.moves).toEqual(['SAE 5W-40 oil, if the maker’s manual allows it']);
    expect(first?.job.oil).toMatchObject({ grade: 'sae5w40', coldest: { value: 40 } });
    expect(first?.job.oil).not.toHaveProperty('viscosity40');
    for (const { job } of [first!, ...others]) expect(state(job, 'coldDrag')).toBe('good');
  });

  it('turns an install gap back into its window by marks of the adjuster', () => {
    const auto = put(
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
    const job = put(cairn(), { 'pack.splineLength': 31 });
    const [first] = advise(job, 'retention');
    expect(first?.moves[0]).toMatch(/spacer pair/);
    if (!first) throw new Error('no advice');
    const after = evaluate(first.job);
    expect(after.verdicts.find((v) => v.id === 'retention')?.state).toBe('good');
    expect(after.verdicts.find((v) => v.id === 'stack')?.state).toBe('good');
    // Two discs side by side at the outer end carry nothing between them.
    expect(layOut(first.job).slipping).toHaveLength(layOut(job).slipping.length - 2);
  });

  it('lays mixed springs in turn where they press off the middle', () => {
    const job = cairn();
    const ring = ['long', 'long', 'long', 'long', 'short', 'short', 'short', 'short'];
    const uneven: Job = {
      ...job,
      springs: { ...job.springs, coil: { ...job.springs.coil, ring } },
    };
    const [first] = advise(uneven, 'ring');
    expect(first?.moves).toEqual(['The springs alternating evenly round the ring']);
  });

  it('keeps a start clutch from creeping: idle let down, or stronger springs at its shoes', () => {
    const farm = withEntry(fen(), 'engine.idleRpm', entry(1600));
    expect(state(farm, 'start')).toBe('stop');
    const [idle, ...others] = advise(farm, 'start');
    // 1510 rpm clears an idle of 1300 rpm by its margin, and 1400 rpm not.
    expect(idle?.moves[0]).toMatch(/^Idle lowered to 1300 rpm/);
    expect(state(withEntry(farm, 'engine.idleRpm', entry(1400)), 'start')).toBe('watch');
    const springs = others.find((a) => a.moves[0]?.startsWith('Springs of the shoes'));
    expect(springs?.moves).toEqual(['Springs of the shoes stronger by 60 %']);
    if (!springs) throw new Error('no advice');
    const contact = (job: Job) => evaluate(job).figures.get('startContact');
    const [now, then] = [contact(farm), contact(springs.job)];
    if (now?.status !== 'known' || then?.status !== 'known') throw new Error('not known');
    // First contact goes with the root of the springs' pull.
    expect(then.value / now.value).toBeCloseTo(Math.sqrt(1.6), 6);
  });

  it('keeps an expanding disc from creeping without letting it lock up late', () => {
    const quad = put(scree(), { 'engine.idleRpm': 3200, 'engine.peakTorqueRpm': 9000 });
    expect(state(quad, 'auto')).toBe('stop');
    const advice = advise(quad, 'auto');
    expect(advice.length).toBeGreaterThan(0);
    for (const a of advice) expect(state(a.job, 'auto')).toBe('good');
    expect(advice.flatMap((a) => a.moves).join()).toMatch(/Return springs of the expanding disc/);
  });

  it('changes no lining where a kind has friction of its own, or where there is no disc', () => {
    const linings = (job: Job) =>
      movesFor(job, COMMON_STEELS).filter((m) => m.family === 'lining').length;
    expect(linings(softened)).toBe(3);
    const [kind] = softened.pack.kinds;
    expect(
      linings(withEntry(softened, `pack.kinds.${kind?.id ?? ''}.frictionLow`, entry(0.1))),
    ).toBe(0);
    const bare = {
      ...softened,
      pack: { ...softened.pack, kinds: softened.pack.kinds.filter((k) => k.lined === 'none') },
    };
    expect(linings(bare)).toBe(0);
  });

  it('lays a mixed-up pack in turn, the outermost disc last, and leaves out a steel too many', () => {
    const base = withEntry(softened, 'engine.peakTorque', entry(44));
    const { plates } = base.pack;
    // Two steels together, and so two discs: four faces fewer, and nothing else is wrong with it.
    const mixed = movedTo(base, [plates[13]?.id ?? ''], 12);
    expect(state(mixed, 'order')).toBe('good');
    expect(state(mixed, 'holds')).not.toBe('good');
    const [first] = advise(mixed, 'holds');
    expect(first?.moves).toEqual(['Discs and steels alternating, a disc at the floor']);
    expect(first?.overall.title).toBe('Holds and releases');
    expect(first?.job.pack.plates.map((p) => p.id)).toEqual(plates.map((p) => p.id));
    // An alternating order is not changed.
    expect(orderMoves(softened)[0]?.apply(softened)).toBeUndefined();

    // What another move has changed before it stays changed.
    const thicker = ofThickness(mixed, [plates[1]?.id ?? ''], 1.6, () => 'other');
    const both = orderMoves(mixed)[0]?.apply(thicker);
    expect(both?.pack.plates.map((p) => p.id)).toEqual(plates.map((p) => p.id));
    expect(both?.pack.plates[1]?.kindId).toBe('other');

    // A steel against a floor that turns with the basket.
    const turned: Job = {
      ...softened,
      pack: { ...softened.pack, floorTurnsWith: 'basket', plates: plates.slice(1) },
    };
    expect(state(turned, 'order')).toBe('stop');
    for (const a of advise(turned, 'order')) expect(state(a.job, 'order')).toBe('good');
    expect(orderMoves(turned).map((m) => m.apply(turned)?.pack.plates.length)).toEqual([
      plates.length - 1,
      undefined,
    ]);

    const more: Job = {
      ...softened,
      pack: {
        ...softened.pack,
        plates: [
          ...plates.slice(0, 2),
          { id: 'over1', kindId: plates[1]?.kindId ?? '' },
          { id: 'over2', kindId: plates[1]?.kindId ?? '' },
          ...plates.slice(2),
        ],
      },
    };
    const labels = orderMoves(more).map((m) => readSentence(m.label));
    expect(labels).toEqual([
      'Discs and steels alternating, a disc at the floor, 1 steel left out',
      'Discs and steels alternating, a steel at the floor',
    ]);
    for (const move of orderMoves(more)) {
      const laid = move.apply(more);
      expect(laid && state(laid, 'order')).toBe('good');
    }
    expect(orderMoves(blankJob('one', 'UR-1', ''))).toEqual([]);
  });

  it('lets no idle down that is not entered, and strengthens no spring that is not there', () => {
    const farm = fen();
    const unknown: Job = {
      ...farm,
      engine: {},
      startClutch: { place: 'none' },
      expanding: { fitted: false },
    };
    expect(creepMoves(unknown)).toEqual([]);
    const bare = creepMoves({ ...farm, startClutch: { place: 'crank' } });
    expect(bare.every((m) => m.family === 'idle')).toBe(true);
  });

  it('puts new plates in the places of worn ones, lying as those lay', () => {
    const quad = scree();
    const single = measured(crag(), 0.06);
    const worn = withEntry(single, 'pack.maxWear', entry(0.45));
    expect(state(worn, 'wear')).toBe('stop');
    const [first] = advise(worn, 'wear');
    expect(first?.moves).toEqual(['8 worn discs replaced']);
    const fresh = first?.job.pack.plates.filter((p) => p.isNew) ?? [];
    expect(fresh).toHaveLength(8);
    expect(fresh.every((p) => p.readings === undefined && p.seen === undefined)).toBe(true);
    // The order of the pack stays.
    expect(first?.job.pack.plates.map((p) => [p.id, p.kindId])).toEqual(
      single.pack.plates.map((p) => [p.id, p.kindId]),
    );
    const judder: Job = {
      ...worn,
      pack: {
        ...worn.pack,
        plates: worn.pack.plates.map((p, i) =>
          i === 0 ? { ...p, judder: true, offsetSlot: true, facing: 'inward' } : p,
        ),
      },
    };
    const move = movesFor(judder, COMMON_STEELS).find((m) => m.family === 'new plates');
    expect(move?.apply(judder)?.pack.plates[0]).toEqual({
      ...(({ id, kindId }) => ({ id, kindId }))(judder.pack.plates[0] as Plate),
      isNew: true,
      judder: true,
      offsetSlot: true,
      facing: 'inward',
    });
    // Nothing measured, nothing worn.
    for (const job of [quad, blankJob('one', 'UR-1', '')])
      expect(movesFor(job, COMMON_STEELS).some((m) => m.family === 'new plates')).toBe(false);
  });
});

describe('manual fixes', () => {
  it('has a stage, and no parts are tried for it', () => {
    const base = put(scree(), { 'setting.targetGain': 12 });
    const quad: Job = {
      ...base,
      setting: { ...base.setting, readings: [{ id: 'a', turns: entry(1), gain: entry(20) }] },
    };
    expect(state(quad, 'gain')).toBe('watch');
    expect(manualFix(quad, 'gain')).toEqual({ stage: 'prove', step: 'gain' });
    expect(advise(quad, 'gain')).toEqual([]);
    const twin: Job = {
      ...cairn(),
      release: {
        ...cairn().release,
        liftReadings: [2.2, 0.9, 1.5].map((lift, i) => ({
          id: `d${i}`,
          angle: entry(i * 120),
          lift: entry(lift),
        })),
      },
    };
    expect(state(twin, 'even')).toBe('stop');
    expect(manualFix(twin, 'even')).toEqual({ stage: 'set', step: 'lift' });
    expect(advise(twin, 'even')).toEqual([]);
  });

  it('is never what plates, springs or a window would cure', () => {
    for (const id of ['holds', 'releases', 'stack', 'coils', 'step', 'ring', 'wear'] as const)
      for (const job of jobsOfEachKind()) expect(manualFix(job, id)).toBeUndefined();
  });

  it('of a gain that is only worked out a wider gap is tried', () => {
    const quad = put(scree(), { 'engine.peakTorqueRpm': 9000 });
    const set = (values: Values) =>
      put({ ...quad, setting: { ...quad.setting, readings: [] } }, values);
    const narrow = set({ 'setting.installGap': 0.05, 'release.leverTravel': 22 });
    expect(manualFix(narrow, 'gain')).toBeUndefined();
    expect(state(narrow, 'gain')).toBe('watch');
    const advice = advise(narrow, 'gain', { most: 40 });
    expect(advice.length).toBeGreaterThan(0);
    for (const a of advice) expect(state(a.job, 'gain') ?? 'gone').not.toBe('watch');
    expect(advice.flatMap((a) => a.moves).join()).toMatch(/wider/);
  });
});
