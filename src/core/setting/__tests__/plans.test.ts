import fc from 'fast-check';

import { entry } from '@/core/job/entry';
import type { Setting } from '@/core/job/types';
import { autoPack } from '@/testing/packs';

import { leverGain } from '../leverGain';
import {
  adjusterOf,
  eighthsText,
  endFloatPlan,
  GAIN_READS,
  gainAdvice,
  gainReadings,
  gapPlan,
  pushrodPlan,
  adjusterPosition,
  turnedBy,
} from '../plans';
import { omit } from '@/core/omit';

const bare: Setting = { ...autoPack().setting, readings: [] };
/** A screw of 1 mm pitch with eight marks. */
const screw: Setting = {
  readings: [],
  pitch: entry(1),
  marksPerTurn: entry(8),
} as unknown as Setting;
const job = (setting: Partial<Setting>, ...without: readonly (keyof Setting)[]) => ({
  setting: omit({ ...screw, ...setting }, ...without) as Setting,
});

describe('the adjuster of a job', () => {
  it('is known once its pitch is; without marks a turn is one, without linkage the screw is direct', () => {
    expect(adjusterOf({ setting: omit(bare, 'pitch') })).toBeUndefined();
    expect(adjusterOf(job({}, 'marksPerTurn'))).toEqual({
      pitch: 1,
      marksPerTurn: 1,
      linkage: 1,
    });
    expect(adjusterOf(job({ linkage: entry(0.5) }))?.linkage).toBe(0.5);
  });

  it('is turned to the middle of the window, or to its only edge', () => {
    const both = gapPlan(job({ gapMin: entry(0.8), gapMax: entry(1.2) }));
    expect(both?.wanted).toBeCloseTo(1, 12);
    expect(both?.turning).toMatchObject({ turns: 1, marks: 0, direction: 'open' });
    expect(gapPlan(job({ gapMin: entry(0.8) }))?.wanted).toBe(0.8);
    expect(gapPlan(job({ gapMax: entry(1.2) }))?.wanted).toBe(1.2);
    // No window, one that contradicts itself, no pitch.
    expect(gapPlan(job({}))).toBeUndefined();
    expect(gapPlan(job({ gapMin: entry(1.2), gapMax: entry(0.8) }))).toBeUndefined();
    expect(gapPlan(job({ gapMin: entry(0.8) }, 'pitch'))).toBeUndefined();
  });

  it('follows from turns and marks, and is missing while neither is recorded', () => {
    expect(adjusterPosition(job({}))).toBeUndefined();
    expect(adjusterPosition(job({ turnsOut: entry(1) }))).toBe(1);
    expect(adjusterPosition(job({ marksOut: entry(3) }))).toBe(3 / 8);
    expect(adjusterPosition(job({ turnsOut: entry(1), marksOut: entry(2) }))).toBe(1.25);
  });

  it('records the new position and the resulting gap after a turn', () => {
    const at = job({ turnsOut: entry(0), marksOut: entry(7) });
    const open = { turns: 1, marks: 2, gap: 1.25, rest: 0, direction: 'open' } as const;
    expect(turnedBy(at, open).setting).toMatchObject({
      turnsOut: { value: 2 },
      marksOut: { value: 1 },
      installGap: { value: 2.125 },
    });
    // Back by as much it is where it was.
    const back = turnedBy(turnedBy(at, open), { ...open, direction: 'close' });
    expect(adjusterPosition(back)).toBe(7 / 8);
    expect(back.setting.installGap?.value).toBeCloseTo(0.875, 12);
  });

  it('stays where it is when nobody knows where that is, or when the start point would be passed', () => {
    const close = { turns: 1, marks: 0, gap: 1, rest: 0, direction: 'close' } as const;
    for (const at of [job({}), job({ marksOut: entry(7) }), job({}, 'pitch')])
      expect(turnedBy(at, close)).toBe(at);
    const exactly = turnedBy(job({ turnsOut: entry(1) }), close);
    expect(adjusterPosition(exactly)).toBe(0);
  });
});

describe('screws without marks', () => {
  it('are backed off by eighths of a turn', () => {
    const plan = pushrodPlan(job({ pushrodPitch: entry(1), pushrodClearance: entry(0.37) }));
    expect(plan).toMatchObject({ turns: 0, marks: 3 });
    expect(pushrodPlan(job({ pushrodPitch: entry(1) }))).toBeUndefined();
    expect(pushrodPlan(job({ pushrodClearance: entry(0.3) }))).toBeUndefined();
    const float = endFloatPlan(job({ endFloatPitch: entry(1.25), endFloatWanted: entry(1.9) }));
    expect(float && eighthsText(float)).toBe('1 1/2 turns');
  });

  it.each([
    [0, 0, 'no turn'],
    [0, 1, '1/8 turn'],
    [0, 4, '1/2 turn'],
    [0, 7, '7/8 turn'],
    [1, 0, '1 turn'],
    [1, 4, '1 1/2 turns'],
    [2, 0, '2 turns'],
    [2, 6, '2 3/4 turns'],
  ])('%i turns and %i eighths are said as "%s" would be', (turns, marks, words) => {
    expect(eighthsText({ turns, marks })).toBe(words);
  });
});

describe('turning by the lever gain', () => {
  const reading = (turns: number, gain: number, id = `${turns}`) => ({
    id,
    turns: entry(turns),
    gain: entry(gain),
  });

  it('waits for a reading that is whole and a target, and assumes a ratio until one is known', () => {
    const ready = job({ targetGain: entry(12), readings: [reading(1, 22)] });
    expect(gainAdvice(ready, 40)?.turning).toMatchObject({ turns: 0, marks: 2, direction: 'open' });
    // 10 mm too much by a ratio of 35: 0.286 mm, two of eight marks; then 22 − 35·0.25.
    expect(gainAdvice(ready, undefined)).toMatchObject({
      from: 'assumed ratio',
      turning: { turns: 0, marks: 2, direction: 'open' },
      expected: 13.25,
    });
    expect(gainAdvice(job({ readings: [reading(1, 22)] }), 40)).toBeUndefined();
    expect(gainAdvice(job({ targetGain: entry(12) }), 40)).toBeUndefined();
    const begun = [reading(1, 22), { id: 'next', turns: entry(1.25) }];
    expect(gainReadings(job({ readings: begun }))).toHaveLength(1);
    expect(gainAdvice(job({ targetGain: entry(12), readings: begun }), 40)).toBeUndefined();
  });

  it('has nothing to say of a reading on target, to what a lever can be read', () => {
    const at = (gain: number) =>
      gainAdvice(job({ targetGain: entry(12), readings: [reading(1, gain)] }), 4);
    expect(at(12 + GAIN_READS)).toBeUndefined();
    expect(at(12 - GAIN_READS)).toBeUndefined();
    expect(at(12 + GAIN_READS + 0.01)?.turning.direction).not.toBe('close');
    expect(at(12 - GAIN_READS - 0.01)?.turning.direction).not.toBe('open');
  });

  it('takes a printed range as its target, and warm and cold readings apart', () => {
    const range = { ...entry(2), range: { low: 1.5, high: 2.5 } };
    const at = (gain: number) =>
      gainAdvice(job({ targetGain: range, readings: [reading(1, gain)] }), 20);
    expect(at(1.5)).toBeUndefined();
    expect(at(2.5)).toBeUndefined();
    expect(at(3.4)?.turning.direction).toBe('open');
    expect(at(0.4)?.turning.direction).toBe('close');
    const cold = { ...reading(1, 9), engine: 'cold' as const };
    const both = job({
      targetGain: entry(12),
      readings: [cold, { ...reading(1.25, 16), id: 'w' }],
    });
    expect(gainReadings(both)).toHaveLength(1);
    // One warm reading teaches no ratio, whatever was read cold before it.
    expect(gainAdvice(both, 40)?.from).toBe('given ratio');
  });

  it('gives the resulting adjuster position, and whether it is only a bound', () => {
    const wide = gainAdvice(job({ targetGain: entry(10), readings: [reading(2, 0)] }), 40);
    expect(wide).toMatchObject({ turns: 1.75, atLeast: true });
    const narrow = gainAdvice(job({ targetGain: entry(10), readings: [reading(1, 30)] }), 40);
    expect(narrow).toMatchObject({ turns: 1.5, atLeast: false });
  });

  it('read and turned in turn, brings any machine to its target within three readings', () => {
    fc.assert(
      fc.property(
        // What the machine really does, and what its train seems to.
        fc.record({
          ratio: fc.double({ min: 15, max: 50, noNaN: true }),
          believed: fc.double({ min: 0.75, max: 1.3, noNaN: true }),
          growth: fc.double({ min: 1.2, max: 1.8, noNaN: true }),
          start: fc.integer({ min: 4, max: 7 }),
        }),
        ({ ratio, believed, growth, start }) => {
          const target = 12;
          let at = job({ targetGain: entry(target), marksOut: entry(start) });
          const perMark = 1 / 8;
          const gap = () => (adjusterPosition(at) ?? 0) * 1;
          for (let n = 0; n < 4; n++) {
            const gain = leverGain(ratio, growth, gap());
            at = {
              setting: {
                ...at.setting,
                readings: [
                  ...at.setting.readings,
                  reading(adjusterPosition(at) ?? 0, gain, `r${n}`),
                ],
              },
            };
            const plan = gainAdvice(at, ratio * believed);
            if (!plan || plan.turning.direction === 'leave') break;
            at = turnedBy(at, plan.turning);
          }
          const left = Math.abs(leverGain(ratio, growth, gap()) - target);
          // No nearer than the adjuster's marks let it come, or than a lever is read.
          expect(left).toBeLessThanOrEqual(Math.max(GAIN_READS, (ratio * perMark) / 2) + 1e-6);
        },
      ),
    );
  });
});
