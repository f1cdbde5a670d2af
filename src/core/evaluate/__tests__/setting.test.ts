import { cairn, scree } from '@/testing/jobs';
import { put } from '@/testing/packs';
import fc from 'fast-check';

import { entry } from '@/core/job/entry';
import type { Job } from '@/core/job/types';

import {
  eighthsText,
  gainAdvice,
  gapPlan,
  pushrodPlan,
  adjusterPosition,
  turnedBy,
} from '../../setting/plans';
import { evaluate } from '../evaluate';
import type { FigureId } from '@/core/evaluate/engine/figure';
import { readSentence } from '@/core/text/sentence';
import { omit } from '@/core/omit';

/** Set to 1 turn and 2 of 8 marks of 0.75 mm, and read at two settings of the adjuster. */
const base = put(scree(), {
  'expanding.growth': 1.4,
  'setting.installGap': 0.94,
  'setting.gapMin': 0.8,
  'setting.gapMax': 1.1,
  'setting.pitch': 0.75,
  'setting.turnsOut': 1,
  'setting.marksOut': 2,
  'setting.targetGain': 12,
});
const auto: Job = {
  ...base,
  setting: {
    ...base.setting,
    readings: [
      { id: 'g1', turns: entry(0.75), gain: entry(27) },
      { id: 'g2', turns: entry(1.25), gain: entry(15) },
    ],
  },
};
const verdict = (job: Job, id: string) => evaluate(job).verdicts.find((v) => v.id === id)?.state;
const figure = (job: Job, id: FigureId) => {
  const f = evaluate(job).figures.get(id);
  return f?.status === 'known' ? f.value : undefined;
};

describe('install gap', () => {
  it('goes from firm contact to the middle of its window in turns and marks, and back', () => {
    // 0.95 mm at 0.75 mm a turn is 1.267 turns: 1 turn and 2 of 8 marks, 0.9375 mm.
    expect(gapPlan(auto)).toMatchObject({
      wanted: expect.closeTo(0.95, 9) as number,
      turning: { turns: 1, marks: 2 },
    });
    expect(figure(auto, 'gapSet')).toBeCloseTo(0.9375, 9);
    expect(adjusterPosition(auto)).toBe(1.25);
    const out = turnedBy(auto, { turns: 0, marks: 7, gap: 0, rest: 0, direction: 'open' });
    expect([out.setting.turnsOut?.value, out.setting.marksOut?.value]).toEqual([2, 1]);
    expect(out.setting.installGap?.value).toBeCloseTo(0.75 * 2.125, 9);
    // It can't be turned in past its start.
    expect(turnedBy(auto, { turns: 2, marks: 0, gap: 0, rest: 0, direction: 'close' })).toBe(auto);
  });

  it('follows from turns alone or marks alone, and is missing without both', () => {
    const set = (turnsOut: number | undefined, marksOut: number | undefined) =>
      figure(
        {
          ...auto,
          setting: {
            ...omit(auto.setting, 'turnsOut', 'marksOut'),
            ...(turnsOut === undefined ? {} : { turnsOut: entry(turnsOut) }),
            ...(marksOut === undefined ? {} : { marksOut: entry(marksOut) }),
          },
        },
        'gapSet',
      );
    expect(set(2, undefined)).toBeCloseTo(1.5, 9);
    expect(set(undefined, 4)).toBeCloseTo(0.375, 9);
    expect(set(0, 0)).toBe(0);
    expect(set(undefined, undefined)).toBeUndefined();
  });

  it('by gauges is between the largest that passes and the smallest that does not', () => {
    const gauged = put(auto, { 'setting.goSize': 0.9, 'setting.noGoSize': 1 });
    expect(figure(gauged, 'gapGauged')).toBeCloseTo(0.95, 9);
    expect(verdict(gauged, 'gapWays')).toBe('good');
    const upside = put(auto, { 'setting.goSize': 1, 'setting.noGoSize': 0.9 });
    expect(figure(upside, 'gapGauged')).toBeUndefined();
    // Start point taken off the bearing: the adjuster says less than the caliper.
    expect(verdict(put(gauged, { 'setting.gapMeasured': 1.4 }), 'gapWays')).toBe('watch');
  });

  it('is closed by a mark at least where the lever did not move, and left where no mark is near enough', () => {
    const said = (job: Job) => {
      const v = evaluate(job).verdicts.find((x) => x.id === 'gain');
      return `${v?.state}: ${readSentence(v?.sentence ?? [])}`;
    };
    const whole = put(auto, { 'setting.marksPerTurn': 1 });
    // 12 mm too little at the train's ratio is under half a turn: one turn reaches it.
    expect(said(put(whole, { 'setting.readings.g2.gain': 0 }))).toBe(
      'watch: Lever gain 0.0 mm, target 12.0 mm: close the gap by 1 turn or more, by the train’s ratio.',
    );
    // 0.8 mm is 0.033 mm of gap, a third of a mark.
    expect(said(put(auto, { 'setting.readings.g2.gain': 12.8 }))).toBe(
      'good: Lever gain 12.8 mm, target 12.0 mm: less than half an adjuster mark too much.',
    );
  });

  it('is learned from two readings: this machine’s own ratio, and the next turn', () => {
    // 27 to 15 mm over half a turn of 0.75 mm: 12/0.375 = 32.
    expect(figure(auto, 'ownRatio')).toBeCloseTo(32, 9);
    // 1.4 mm of growth, 0.94 mm of gap: 32·0.46.
    expect(figure(auto, 'leverGain')).toBeCloseTo(14.72, 9);
    // Until the lever readings give it, the train's.
    const untaught = put(auto, { 'setting.readings.g1.gain': 0 });
    expect(figure(untaught, 'leverGain')).toBeCloseTo(
      (figure(untaught, 'overallRatio') ?? NaN) * 0.46,
      9,
    );
    const plan = gainAdvice(auto, 30);
    // 3 mm too much: 3/32 = 0.094 mm, one of 8 marks.
    expect(plan).toMatchObject({
      turning: { turns: 0, marks: 1, direction: 'open' },
      turns: 1.375,
    });
    expect(gainAdvice(put(auto, { 'setting.readings.g2.gain': 12.4 }), 30)).toBeUndefined();
  });
});

describe('the gap by the lever', () => {
  it('follows from the last reading at the present adjuster position', () => {
    // 1.4 − 15/32, and half a millimetre at the lever is 1/64.
    const reported = evaluate(auto).figures.get('gapByLever');
    expect(reported).toMatchObject({
      value: expect.closeTo(0.93125, 9) as number,
      range: {
        low: expect.closeTo(0.915625, 9) as number,
        high: expect.closeTo(0.946875, 9) as number,
      },
    });
    expect(figure(put(auto, { 'setting.marksOut': 3 }), 'gapByLever')).toBeUndefined();
    expect(figure(put(auto, { 'setting.readings.g2.gain': 0 }), 'gapByLever')).toBeUndefined();
    expect(figure(put(auto, { 'setting.readings.g1.gain': 0 }), 'gapByLever')).toBeUndefined();
  });

  it('detects a start point that was not on the bearing', () => {
    expect(verdict(auto, 'gapWays')).toBe('good');
    // The count began 0.3 mm late: the gap is that much wider than counted, and the lever gains 0.3·32 mm less.
    const early = put(auto, { 'setting.readings.g1.gain': 17.4, 'setting.readings.g2.gain': 5.4 });
    expect(figure(early, 'gapByLever')).toBeCloseTo(1.23125, 9);
    const found = evaluate(early).verdicts.find((v) => v.id === 'gapWays');
    expect(found?.state).toBe('watch');
    expect(readSentence(found?.sentence ?? [])).toBe(
      'Gap by the lever 1.216 mm, by the adjuster 0.938 mm. Check that the start point was taken at the nut and not at the bearing, with the cable slack, and the disc growth.',
    );
  });
});

describe('what is set by a screw', () => {
  it('is said in eighths of a turn', () => {
    const job = put(auto, { 'setting.pushrodPitch': 1, 'setting.pushrodClearance': 0.62 });
    expect(pushrodPlan(job)).toMatchObject({ turns: 0, marks: 5 });
    expect(
      [
        { turns: 0, marks: 5 },
        { turns: 1, marks: 4 },
        { turns: 2, marks: 0 },
        { turns: 1, marks: 0 },
        { turns: 0, marks: 0 },
      ].map(eighthsText),
    ).toEqual(['5/8 turn', '1 1/2 turns', '2 turns', '1 turn', 'no turn']);
  });

  it.each<[string, Readonly<Record<string, number>>, string, string | undefined]>([
    ['none while nothing is measured', {}, 'freePlay', undefined],
    [
      'free play in its window',
      { 'release.freePlay': 3, 'setting.freePlayMin': 2, 'setting.freePlayMax': 4 },
      'freePlay',
      'good',
    ],
    [
      'free play over it',
      { 'release.freePlay': 5, 'setting.freePlayMin': 2, 'setting.freePlayMax': 4 },
      'freePlay',
      'stop',
    ],
    ['heads that touch', { 'build.headClearance': 0 }, 'heads', 'stop'],
    ['heads that clear', { 'build.headClearance': 1 }, 'heads', 'good'],
    [
      'end float right',
      { 'setting.endFloat': 0.12, 'setting.endFloatWanted': 0.1 },
      'endFloat',
      'good',
    ],
    [
      'end float tight',
      { 'setting.endFloat': 0.02, 'setting.endFloatWanted': 0.1 },
      'endFloat',
      'stop',
    ],
    [
      'chain slack over its window',
      { 'setting.chainSlack': 20, 'setting.chainSlackMin': 8, 'setting.chainSlackMax': 14 },
      'chain',
      'stop',
    ],
  ])('gives %s', (_what, entries, id, state) => {
    const job: Job = { ...auto, setting: { ...auto.setting, separatePrimary: true } };
    expect(verdict(put(job, entries), id)).toBe(state);
  });
});

describe('a window of what is set', () => {
  const separate: Job = { ...auto, setting: { ...auto.setting, separatePrimary: true } };
  const edge = fc.option(fc.integer({ min: 0, max: 40 }), { nil: undefined });

  it.each([
    ['freePlay', 'release.freePlay', 'setting.freePlayMin', 'setting.freePlayMax'],
    ['chain', 'setting.chainSlack', 'setting.chainSlackMin', 'setting.chainSlackMax'],
  ] as const)('of %s belongs to both its edges, and one edge is enough', (id, path, low, high) => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 40 }), edge, edge, (value, min, max) => {
        const job = put(
          { ...separate, setting: { separatePrimary: true, readings: [] } },
          {
            [path]: value,
            ...(min === undefined ? {} : { [low]: min }),
            ...(max === undefined ? {} : { [high]: max }),
          },
        );
        const judged = min !== undefined || max !== undefined;
        const upside = (min ?? -1) > (max ?? Infinity);
        const inside = value >= (min ?? value) && value <= (max ?? value);
        expect(verdict(job, id)).toBe(judged && !upside ? (inside ? 'good' : 'stop') : undefined);
      }),
    );
  });

  it('of an end float reaches half of what is wanted to either side', () => {
    const float = (value: number) =>
      verdict(
        put(separate, { 'setting.endFloat': value, 'setting.endFloatWanted': 0.1 }),
        'endFloat',
      );
    expect([0.049, 0.051, 0.149, 0.151].map(float)).toEqual(['stop', 'good', 'good', 'stop']);
    // A primary in one piece with the engine has no such screw.
    const whole = { ...auto, setting: { ...auto.setting, separatePrimary: false } };
    expect(
      verdict(put(whole, { 'setting.endFloat': 1, 'setting.endFloatWanted': 0.1 }), 'endFloat'),
    ).toBeUndefined();
  });

  it('of bolt heads starts at the required clearance, and two gap methods agree to a tenth', () => {
    const heads = (value: number) =>
      verdict(put(auto, { 'build.headClearance': value, 'build.headClearanceMin': 0.5 }), 'heads');
    expect([0.5, 0.499].map(heads)).toEqual(['good', 'stop']);
    const turned = figure(auto, 'gapSet') ?? NaN;
    const caliper = (off: number) =>
      verdict(
        put(auto, { 'setting.gapMeasured': turned + off, 'setting.installGap': turned }),
        'gapWays',
      );
    expect([0.099, 0.101, -0.099, -0.101].map(caliper)).toEqual(['good', 'watch', 'good', 'watch']);
  });
});

describe('lift by the dial', () => {
  const tilted = cairn();
  const pulls = (lifts: readonly number[]): Job => ({
    ...tilted,
    release: {
      ...tilted.release,
      liftReadings: lifts.map((lift, i) => ({
        id: `r${i}`,
        angle: entry((i % 3) * 120),
        lift: entry(lift),
      })),
    },
  });

  it('says how well several pulls at one place repeat', () => {
    expect(figure(tilted, 'liftRepeat')).toBeUndefined();
    const close = pulls([1.72, 1.21, 1.49, 1.74, 1.22, 1.48]);
    expect(figure(close, 'liftRepeat')).toBeCloseTo(0.02, 9);
    expect(verdict(close, 'repeat')).toBe('good');
    expect(verdict(pulls([1.72, 1.21, 1.49, 1.6, 1.22, 1.48]), 'repeat')).toBe('watch');
  });

  it('is followed by the thumb test, which distinguishes the seat from the springs', () => {
    const said = (thumbTest: 'tilts' | 'true') =>
      evaluate({ ...tilted, setting: { ...tilted.setting, thumbTest } }).verdicts.find(
        (v) => v.id === 'thumb',
      )?.title;
    expect(said('tilts')).toBe('Pushrod seat out of square');
    expect(said('true')).toBe('Springs differ');
  });
});
