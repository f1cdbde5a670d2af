import fc from 'fast-check';

import { gapFromTurns, pitchOf, turningText, turnsForGap } from '../adjuster';
import {
  bladesFor,
  FRACTION_DRILLS,
  goNoGo,
  LETTER_DRILLS,
  METRIC_BLADES,
  METRIC_DRILLS,
  NUMBER_DRILLS,
} from '../gauges';
import { correctGain, leverGain, measuredRatio, readingsAtTwoSettings } from '../leverGain';

const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const screw = { pitch: 1.27, marksPerTurn: 8 };

describe('adjuster', () => {
  it('turns a gap into turns and marks and back, to half a mark', () => {
    expect(pitchOf(20)).toBeCloseTo(1.27, 12);
    expect(gapFromTurns(screw, 1, 2)).toBeCloseTo(1.5875, 12);
    expect(turnsForGap(screw, 1.6)).toMatchObject({ turns: 1, marks: 2, direction: 'open' });
    expect(turnsForGap(screw, -0.32)).toMatchObject({ turns: 0, marks: 2, direction: 'close' });
    expect(turnsForGap(screw, 0.05)).toMatchObject({ direction: 'leave', rest: 0.05 });
    fc.assert(
      fc.property(
        number(0, 5),
        number(0.2, 3),
        fc.integer({ min: 1, max: 60 }),
        number(0.2, 4),
        (gap, pitch, marks, linkage) => {
          const adjuster = { pitch, marksPerTurn: marks, linkage };
          const t = turnsForGap(adjuster, gap);
          expect(Math.abs(t.rest)).toBeLessThanOrEqual((pitch * linkage) / marks / 2 + 1e-9);
          expect(gapFromTurns(adjuster, t.turns, t.marks)).toBeCloseTo(t.gap, 9);
          expect(t.gap + t.rest).toBeCloseTo(gap, 9);
        },
      ),
    );
    expect(() => turnsForGap({ pitch: 1, marksPerTurn: 0 }, 1)).toThrow('marksPerTurn');
  });
});

describe('lever gain', () => {
  it('grows with what the disc grows past the gap', () => {
    expect(leverGain(40, 1, 0.8)).toBeCloseTo(8, 12);
    expect(leverGain(40, 0.7, 0.8)).toBe(0);
  });

  it('learns the machine’s own ratio from two readings and lands on the target with it', () => {
    fc.assert(
      fc.property(number(20, 70), number(0.1, 0.8), number(0.2, 1), (ratio, gap, turned) => {
        const growth = 1.9 + turned * screw.pitch;
        const gain = (turns: number) => leverGain(ratio, growth, gap + turns * screw.pitch);
        const readings = [
          { turns: 0, gain: gain(0) },
          { turns: turned, gain: gain(turned) },
        ];
        fc.pre(readings.every((r) => r.gain > 0));
        expect(measuredRatio(screw, readings[0]!, readings[1]!)).toBeCloseTo(ratio, 6);
        const advice = correctGain(screw, readings, 5, 1);
        expect(advice).toMatchObject({ kind: 'turn', from: 'measured ratio' });
        if (advice.kind !== 'turn') return;
        expect(
          leverGain(ratio, growth, Math.max(0, gap + turned * screw.pitch + advice.change)),
        ).toBeCloseTo(Math.min(5, ratio * growth), 5);
      }),
    );
  });

  it('learns no ratio from a reading of nothing', () => {
    const readings = [
      { turns: 0, gain: 0 },
      { turns: 1, gain: 9 },
    ];
    expect(readingsAtTwoSettings(readings, 8)).toBeUndefined();
    expect(readingsAtTwoSettings([...readings, { turns: 2, gain: 3 }], 8)).toHaveLength(2);
  });

  it('takes a reading of nothing as a bound, and contradicting readings as no lesson', () => {
    const none = correctGain(screw, [{ turns: 0, gain: 0 }], 6, 40);
    expect(none).toMatchObject({ kind: 'bound', atLeast: 0.15, turning: { direction: 'close' } });
    const odd = correctGain(
      screw,
      [
        { turns: 0, gain: 4 },
        { turns: 1, gain: 9 },
      ],
      6,
      40,
    );
    expect(odd).toMatchObject({ kind: 'turn', from: 'given ratio' });
    expect(() => measuredRatio(screw, { turns: 1, gain: 4 }, { turns: 1, gain: 5 })).toThrow(
      'two different adjuster settings',
    );
    expect(() => correctGain(screw, [], 6, 40)).toThrow('at least one reading');
  });
});

it.each([
  [{ turns: 0, marks: 0 }, '0 marks'],
  [{ turns: 0, marks: 1 }, '1 mark'],
  [{ turns: 1, marks: 0 }, '1 turn'],
  [{ turns: 2, marks: 3 }, '2 turns and 3 marks'],
])('turning of %j is said as it is done', (turning, words) => {
  expect(turningText(turning)).toBe(words);
});

describe('gauges', () => {
  it('bracket a window by go and no-go', () => {
    const found = goNoGo(METRIC_DRILLS, 0.75, 0.95);
    expect([found.go?.name, found.noGo?.name, found.inside.map((g) => g.name)]).toEqual([
      '0.7 mm',
      '1 mm',
      ['0.8 mm', '0.9 mm'],
    ]);
    // A gauge of just the edge is the one that goes in, or does not, and none between.
    const onEdges = goNoGo(METRIC_DRILLS, 0.7, 1);
    expect([onEdges.go?.name, onEdges.noGo?.name]).toEqual(['0.7 mm', '1 mm']);
    expect(onEdges.inside.map((g) => g.name)).toEqual(['0.8 mm', '0.9 mm']);
    expect(goNoGo(METRIC_DRILLS, 0.1, 5)).toMatchObject({ go: undefined, noGo: undefined });
    expect(FRACTION_DRILLS.slice(0, 8).map((g) => g.name)).toEqual([
      '1/64 in',
      '1/32 in',
      '3/64 in',
      '1/16 in',
      '5/64 in',
      '3/32 in',
      '7/64 in',
      '1/8 in',
    ]);
    expect(FRACTION_DRILLS.find((g) => g.name === '1/8 in')?.size).toBeCloseTo(3.175, 12);
    expect(NUMBER_DRILLS).toHaveLength(80);
    expect(LETTER_DRILLS).toHaveLength(26);
  });

  it('have the sizes of their standards, each set in its order', () => {
    const inch = (set: readonly { name: string; size: number }[], name: string) =>
      (set.find((g) => g.name === name)?.size ?? Number.NaN) / 25.4;
    expect(NUMBER_DRILLS).toHaveLength(80);
    expect(inch(NUMBER_DRILLS, 'No. 1')).toBeCloseTo(0.228, 9);
    expect(inch(NUMBER_DRILLS, 'No. 30')).toBeCloseTo(0.1285, 9);
    expect(inch(NUMBER_DRILLS, 'No. 80')).toBeCloseTo(0.0135, 9);
    expect(LETTER_DRILLS).toHaveLength(26);
    expect(inch(LETTER_DRILLS, 'Letter A')).toBeCloseTo(0.234, 9);
    expect(inch(LETTER_DRILLS, 'Letter H')).toBeCloseTo(0.266, 9);
    expect(inch(LETTER_DRILLS, 'Letter Z')).toBeCloseTo(0.413, 9);
    const steps = (set: readonly { size: number }[]) =>
      set.slice(1).map((g, i) => g.size - (set[i]?.size ?? Number.NaN));
    expect(steps(NUMBER_DRILLS).every((step) => step < 0)).toBe(true);
    for (const set of [LETTER_DRILLS, FRACTION_DRILLS, METRIC_DRILLS, METRIC_BLADES])
      expect(steps(set).every((step) => step > 0)).toBe(true);
  });

  it('stack blades to a value with as few as do it', () => {
    expect(bladesFor(0.85, METRIC_BLADES)).toMatchObject({ blades: [{ name: '0.85 mm' }] });
    const two = bladesFor(1.35, METRIC_BLADES);
    expect(two.blades).toHaveLength(2);
    expect(Math.abs(two.rest)).toBeLessThan(1e-9);
    expect(Math.abs(bladesFor(0.93, METRIC_BLADES).rest)).toBeLessThan(0.0201);
    // Each blade is there once, and a fifth would add more air than it gives.
    const small = [0.05, 0.1, 0.15, 0.2, 0.25].map((size) => ({ name: `${size}`, size }));
    const most = bladesFor(0.75, small);
    expect(most.blades.map((b) => b.size)).toEqual([0.25, 0.2, 0.15, 0.1]);
    expect(most.rest).toBeCloseTo(0.05, 9);
    expect(bladesFor(0.4, small).blades.map((b) => b.size)).toEqual([0.25, 0.15]);
  });
});
