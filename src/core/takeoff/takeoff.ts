import { check, NOT_NEGATIVE, POSITIVE } from '../errors';
import { integrate } from '../heat/integrate';
import type { Celsius, Joule, NewtonMetre, Rpm, Second } from '../units/quantity';
import { dynamicsOf } from './dynamics';
import type { Hands, Way } from './hands';
import { checkHands, handsAt } from './hands';
import type { Judder } from './judder';
import { judderOf } from './judder';
import type { TakeoffSetup } from './setup';

/** How a start is looked at, besides the setup and the hands. */
export interface StartState {
  /** Steels at the beginning, and the oil. */
  readonly steel: Celsius;
  readonly oil: Celsius;
  /** Added to the grade of the setup. */
  readonly grade?: number;
}

/** One moment of a start. */
export interface TakeoffPoint {
  readonly t: Second;
  readonly engineRpm: Rpm;
  /** Speed of the hub, as the engine's speed would be with the clutch locked. */
  readonly hubRpm: Rpm;
  /** Transmitted torque. */
  readonly torque: NewtonMetre;
  readonly steel: Celsius;
}

export interface TakeoffResult {
  readonly outcome: 'locked' | 'stalled' | 'still slipping';
  /** From the first torque over the clutch to lock-up, stall or the end. */
  readonly slipTime: Second;
  /** Time of lock-up, stall or the end. */
  readonly time: Second;
  /** Heat made in the clutch. */
  readonly energy: Joule;
  /** Engine work and load work; with the change of both speeds they balance the heat. */
  readonly engineWork: Joule;
  readonly loadWork: Joule;
  readonly peakPower: number;
  readonly leastRpm: Rpm;
  readonly lockRpm: Rpm;
  /** Steels at the end, and at their warmest. */
  readonly steel: Celsius;
  readonly warmest: Celsius;
  /** Whether friction fed a vibration of the driveline while it slipped. */
  readonly judder: Judder;
  readonly points: readonly TakeoffPoint[];
}

const AFTER_HANDS: Second = 10;
/** So many moments are kept for a drawing. */
const POINTS = 160;

/**
 * Simulates one start from standstill: engine and vehicle as two inertias, the clutch slipping between them, the steels heated
 * by slip and cooled by oil.
 * @throws {DomainError} for hands that are none (see {@link checkHands}), temperatures outside −40 to 600 °C, or inertias, heat
 * capacity or speeds that are not above 0
 * Source: two-inertia clutch model and lumped heat balance, machine-element textbooks; `docs/mechanics.md` section 10.
 * @example takeoff(setup, gentle.hands, { steel: 60, oil: 60 }).outcome // "locked"
 */
export function takeoff(setup: TakeoffSetup, hands: Hands, state: StartState): TakeoffResult {
  checkHands(hands);
  const { engineInertia, vehicleInertia, heatCapacity, cooling } = setup;
  for (const name of [
    'startRpm',
    'primaryRatio',
    'engineInertia',
    'vehicleInertia',
    'idle',
    'heatCapacity',
  ] as const)
    check(name, setup[name], POSITIVE);
  check('cooling', cooling, NOT_NEGATIVE);
  for (const name of ['steel', 'oil'] as const) check(name, state[name], { min: -40, max: 600 });
  const dynamics = dynamicsOf(setup, state.grade);
  const { rpmOf, load, stall, engine: engineTorque } = dynamics;
  const carries = (t: Second, rpm: Rpm, steel: Celsius): NewtonMetre =>
    dynamics.carries(handsAt(hands, t).lever, rpm, steel);
  const end = (hands.at(-1)?.t ?? 0) + AFTER_HANDS;
  const points: TakeoffPoint[] = [];
  let peakPower = 0;
  let bite: Second | undefined;
  let leastRpm: Rpm = Infinity;
  let warmest: Celsius = state.steel;
  const note = (t: Second, y: Float64Array) => {
    const [engine = 0, hub = 0, , steel = 0] = y;
    const torque = carries(t, rpmOf(engine), steel);
    if (torque > 0) bite ??= t;
    peakPower = Math.max(peakPower, torque * (engine - hub));
    leastRpm = Math.min(leastRpm, rpmOf(engine));
    warmest = Math.max(warmest, steel);
    points.push({ t, engineRpm: rpmOf(engine), hubRpm: rpmOf(hub), torque, steel });
  };
  const first = [dynamics.speedOf(setup.startRpm), 0, 0, state.steel, 0, 0];
  note(0, Float64Array.from(first));
  const run = integrate(
    (t, y, out) => {
      const [engine = 0, hub = 0, , steel = 0] = y;
      const rpm = rpmOf(engine);
      const clutch = carries(t, rpm, steel);
      const torque = engineTorque(rpm, handsAt(hands, t).throttle);
      // A braking load holds a standing machine; it can't roll back here.
      const current = hub <= 0 && clutch < load;
      const heat = clutch * (engine - hub);
      out[0] = (torque - clutch) / engineInertia;
      out[1] = current ? 0 : (clutch - load) / vehicleInertia;
      out[2] = heat;
      const taken = dynamics.givesAtShoes(handsAt(hands, t).lever, rpm, steel) ? 0 : heat;
      out[3] = (taken - cooling * (steel - state.oil)) / heatCapacity;
      out[4] = torque * engine;
      out[5] = current ? 0 : load * hub;
    },
    first,
    {
      until: end,
      corners: hands.map((m) => m.t).filter((t) => t > 0),
      relative: 1e-7,
      absolute: 1e-7,
      onStep: note,
      event: (_t, y) => Math.min((y[0] as number) - (y[1] as number), (y[0] as number) - stall),
    },
  );
  note(run.t, run.y);
  const [engine = 0, hub = 0, energy = 0, steel = 0, engineWork = 0, loadWork = 0] = run.y;
  const stalled = run.met && engine - hub > 1e-6 * (first[0] ?? 1);
  return {
    outcome: stalled ? 'stalled' : run.met ? 'locked' : 'still slipping',
    slipTime: bite === undefined ? 0 : run.t - bite,
    time: run.t,
    energy,
    engineWork,
    loadWork,
    peakPower,
    leastRpm,
    lockRpm: rpmOf(engine),
    steel,
    warmest,
    judder: judderOf(
      setup.judder,
      points.map((p) => ({
        t: p.t,
        torque: p.torque,
        slip: dynamics.speedOf(p.engineRpm - p.hubRpm),
        steel: p.steel,
      })),
    ),
    points: thinned(points),
  };
}

const thinned = (points: readonly TakeoffPoint[]): readonly TakeoffPoint[] => {
  const every = Math.ceil(points.length / POINTS);
  return points.filter((_, i) => i % every === 0 || i === points.length - 1);
};

const ONCE = { starts: 1, rest: 0 } as const;

/**
 * The result of a type of start: its starts, the first with all points.
 * @example takeoffBy(setup, gentle, 60).length // 1
 */
export function takeoffBy(setup: TakeoffSetup, way: Way, oil: Celsius): readonly RepeatedStart[] {
  const begun = way.from === 'idle' ? { ...setup, startRpm: setup.idle } : setup;
  return repeatedStarts(
    begun,
    way.hands,
    { steel: oil, oil, grade: way.grade },
    way.repeated ?? ONCE,
  );
}

/** One of repeated starts. */
export interface RepeatedStart {
  readonly start: TakeoffResult;
  /** Steels when the next one begins. */
  readonly after: Celsius;
}

/**
 * The same start over and over with a rest between, the steels cooling in the oil meanwhile. Ends early with a stall.
 * @param starts how many, 1 to 200
 * @param rest between them, s, 0 to 3600
 * @throws {DomainError} as {@link takeoff}, and for a count or rest out of range
 * Source: lumped heat balance, exponential cooling; `docs/mechanics.md` section 10.
 * @example repeatedStarts(setup, gentle.hands, { steel: 60, oil: 60 }, { starts: 2, rest: 10 }).length // 2
 */
export function repeatedStarts(
  setup: TakeoffSetup,
  hands: Hands,
  state: StartState,
  { starts, rest }: { readonly starts: number; readonly rest: Second },
): readonly RepeatedStart[] {
  check('starts', starts, { min: 1, max: 200, integer: true });
  check('rest', rest, { min: 0, max: 3600 });
  const keeps = Math.exp((-rest * setup.cooling) / setup.heatCapacity);
  const all: RepeatedStart[] = [];
  let steel = state.steel;
  for (let i = 0; i < starts; i++) {
    const start = takeoff(setup, hands, { ...state, steel: Math.min(600, steel) });
    steel = state.oil + (start.steel - state.oil) * keeps;
    all.push({ start, after: steel });
    if (start.outcome === 'stalled') break;
  }
  return all;
}
