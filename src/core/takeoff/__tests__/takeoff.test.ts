import { crag, fen } from '@/testing/jobs';
import fc from 'fast-check';

import { evaluate } from '@/core/evaluate/evaluate';

import type { Hands } from '../hands';
import { handsAt, WAYS } from '../hands';
import type { TakeoffSetup } from '../setup';
import { takeoffOf } from '../setup';
import { pressedShare } from '../lever';
import { repeatedStarts, takeoff } from '../takeoff';

const flat = (torque: number) => [
  { rpm: 0, torque },
  { rpm: 20_000, torque },
];

/** The published case: constant torques, nothing lost to throttle, idle or fading. */
const PUBLISHED: TakeoffSetup = {
  primaryRatio: 1,
  engineInertia: 0.06,
  vehicleInertia: 0.25,
  weightTorque: 20 / 0.02,
  grade: 0,
  idle: 100,
  startRpm: (300 * 30) / Math.PI,
  engine: flat(90),
  typical: flat(140),
  low: flat(140),
  presses: 0.25,
  bites: 0.65,
  judder: { slope: 0, radius: 50, damping: 1, reasons: [] },
  heatCapacity: 1000,
  cooling: 0,
};
const OUT_WIDE_OPEN: Hands = [
  { t: 0, lever: 0, throttle: 1 },
  { t: 1, lever: 0, throttle: 1 },
];
const COLD = { steel: 80, oil: 80 };

const described = crag();
const setupOf = (job = described): TakeoffSetup => {
  const setup = takeoffOf(job);
  if ('needs' in setup) throw new Error(setup.needs.map((n) => n.label).join(', '));
  return setup;
};
const kinetic = (s: TakeoffSetup, engine: number, hub: number) =>
  (s.engineInertia * engine ** 2 + s.vehicleInertia * hub ** 2) / 2;

describe('a start', () => {
  it('with constant torques meets the closed form', () => {
    // From standing: slip falls at (T − T_e)/J_e + (T − T_l)/J_v.
    const load = 20;
    const rate = (140 - 90) / 0.06 + (140 - load) / 0.25;
    const time = 300 / rate;
    const run = takeoff(PUBLISHED, OUT_WIDE_OPEN, COLD);
    expect(run.outcome).toBe('locked');
    expect(run.time / time).toBeCloseTo(1, 5);
    expect(run.energy / (140 * 300 * time - (140 * rate * time ** 2) / 2)).toBeCloseTo(1, 5);
    expect(run.steel).toBeCloseTo(80 + run.energy / 1000, 6);
  });

  it('keeps few moments for a drawing, the first and the last of them in any case', () => {
    const setup = setupOf();
    for (const { hands, grade } of Object.values(WAYS)) {
      const { points, time } = takeoff(setup, hands, { ...COLD, grade });
      expect(points.length).toBeLessThanOrEqual(162);
      expect(points.length).toBeGreaterThan(10);
      expect(points[0]?.t).toBe(0);
      expect(points.at(-1)?.t).toBeCloseTo(time, 6);
      points.slice(1).forEach((p, i) => expect(p.t).toBeGreaterThan(points[i]?.t ?? Infinity));
    }
  });

  it('accounts for every joule: the engine’s work is heat, load and speed', () => {
    const setup = setupOf();
    for (const { hands, grade } of Object.values(WAYS)) {
      const run = takeoff(setup, hands, { ...COLD, grade });
      const last = run.points.at(-1);
      const speed = (rpm: number) => (rpm * Math.PI) / 30 / setup.primaryRatio;
      const gained =
        kinetic(setup, speed(last?.engineRpm ?? 0), speed(last?.hubRpm ?? 0)) -
        kinetic(setup, speed(setup.startRpm), 0);
      expect(run.engineWork - run.loadWork - run.energy).toBeCloseTo(gained, 0);
    }
  });

  it('is hotter the harder it is asked, and stalls when the lever is let go at idle', () => {
    const setup = setupOf();
    const way = (id: keyof typeof WAYS) =>
      takeoff(setup, WAYS[id].hands, { ...COLD, grade: WAYS[id].grade });
    expect(way('gentle').outcome).toBe('locked');
    expect(way('hill').energy).toBeGreaterThan(way('gentle').energy);
    expect(way('hill').slipTime).toBeGreaterThan(way('race').slipTime * 0.5);
    const idling = { ...setup, startRpm: setup.idle };
    expect(takeoff(idling, WAYS.stall.hands, COLD).outcome).toBe('stalled');
    expect(way('race').peakPower).toBeGreaterThan(way('gentle').peakPower);
  });

  it('slips without end where the load is more than the clutch carries', () => {
    const weak = {
      ...PUBLISHED,
      typical: flat(60),
      low: flat(60),
      engine: flat(60),
      weightTorque: 4000,
    };
    const run = takeoff(weak, OUT_WIDE_OPEN, COLD);
    expect(run.outcome).toBe('still slipping');
    expect(run.time).toBe(11);
    expect(run.points.at(-1)?.hubRpm).toBe(0);
  });

  it('never is what no number is, never cools below the oil, never loses heat, for any hands', () => {
    const setup = setupOf();
    const hands = fc
      .uniqueArray(
        fc.record({
          t: fc.double({ min: 0, max: 10, noNaN: true }).map((t) => Math.round(t * 100) / 100),
          lever: fc.double({ min: 0, max: 1, noNaN: true }),
          throttle: fc.double({ min: 0, max: 1, noNaN: true }),
        }),
        { minLength: 2, maxLength: 6, selector: (m) => m.t },
      )
      .map((moments) => moments.sort((a, b) => a.t - b.t));
    fc.assert(
      fc.property(hands, fc.double({ min: 20, max: 140, noNaN: true }), (given, oil) => {
        const run = takeoff(setup, given, { steel: oil, oil });
        for (const p of run.points)
          for (const value of Object.values(p)) expect(Number.isFinite(value)).toBe(true);
        expect(run.energy).toBeGreaterThanOrEqual(-1e-6);
        expect(run.warmest).toBeGreaterThanOrEqual(oil - 1e-6);
        expect(run.points.length).toBeLessThanOrEqual(162);
      }),
      { numRuns: 60 },
    );
  });

  it('names missing inputs when the job does not describe a start', () => {
    const needs = takeoffOf({ ...fen(), duty: {} });
    expect('needs' in needs && needs.needs.map((n) => n.label)).toEqual(
      expect.arrayContaining(['Machine with rider']),
    );
  });

  it('takes its clutch and its steels from the pack as the figures have them', () => {
    const setup = setupOf();
    const { figures } = evaluate(described);
    const known = (id: 'capacityWithTangs' | 'steelRise' | 'startHeat') => {
      const figure = figures.get(id);
      return figure?.status === 'known' ? figure.value : NaN;
    };
    expect(setup.typical.at(0)?.torque).toBeCloseTo(known('capacityWithTangs'), 6);
    expect(known('startHeat') / known('steelRise')).toBeCloseTo(setup.heatCapacity, 6);
  });

  it.each([
    ['no moment', [], 'hands'],
    [
      'time without progress',
      [
        { t: 0, lever: 1, throttle: 0 },
        { t: 0, lever: 0, throttle: 0 },
      ],
      'hands.1.t',
    ],
    [
      'a lever beyond the bar',
      [
        { t: 0, lever: 1.2, throttle: 0 },
        { t: 1, lever: 0, throttle: 0 },
      ],
      'hands.0.lever',
    ],
  ])('refuses hands with %s', (_what, hands, path) => {
    expect(() => takeoff(PUBLISHED, hands, COLD)).toThrow(path);
  });
});

describe('starts over and over', () => {
  const mud = WAYS.mud;

  it('warm up to where the oil takes what each brings, and the last stays above the first', () => {
    const setup = { ...setupOf(), low: setupOf().typical };
    const runs = repeatedStarts(
      setup,
      mud.hands,
      { ...COLD, grade: mud.grade },
      { starts: 60, rest: 20 },
    );
    const after = runs.map((r) => r.after);
    for (let i = 1; i < after.length; i++)
      expect(after[i] ?? 0).toBeGreaterThanOrEqual((after[i - 1] ?? 0) - 1e-6);
    const gain = (i: number) => (after[i] ?? 0) - (after[i - 1] ?? 0);
    expect(gain(59)).toBeLessThan(gain(1) / 10 + 1e-9);
  });

  it('cool by the law of the oil while they rest', () => {
    const setup = setupOf();
    const [one] = repeatedStarts(setup, mud.hands, COLD, { starts: 1, rest: 30 });
    const keeps = Math.exp((-30 * setup.cooling) / setup.heatCapacity);
    expect((one?.after ?? 0) - 80).toBeCloseTo(((one?.start.steel ?? 0) - 80) * keeps, 9);
  });

  it('end with a stall', () => {
    const setup = { ...setupOf(), startRpm: setupOf().idle };
    const runs = repeatedStarts(setup, WAYS.stall.hands, COLD, { starts: 5, rest: 1 });
    expect(runs.map((r) => r.start.outcome)).toEqual(['stalled']);
  });
});

describe('hands', () => {
  it('stand level before and after, and straight between', () => {
    const [a, b] = [
      { t: 1, lever: 1, throttle: 0 },
      { t: 3, lever: 0, throttle: 0.5 },
    ];
    expect(handsAt([a, b], 0)).toMatchObject({ lever: 1, throttle: 0 });
    expect(handsAt([a, b], 2)).toMatchObject({ lever: 0.5, throttle: 0.25 });
    expect(handsAt([a, b], 9)).toMatchObject({ lever: 0, throttle: 0.5 });
  });

  it('press in full with the lever out and not at all with it pulled', () => {
    expect(pressedShare(1)).toBe(0);
    expect(pressedShare(0)).toBe(1);
    expect(pressedShare(0.45)).toBeCloseTo(0.5, 12);
  });
});
