import { check } from '../errors';
import type { Celsius, Joule, NewtonMetre, Rpm, Second } from '../units/quantity';
import type { Dynamics } from './dynamics';
import { dynamicsOf } from './dynamics';
import type { HandMoment } from './hands';
import type { TakeoffSetup } from './setup';

/** A machine that is being ridden by hand, at one moment. Speeds are at the clutch, rad/s. */
export interface Motion {
  readonly t: Second;
  readonly engine: number;
  readonly hub: number;
  readonly state: 'slipping' | 'locked' | 'stalled';
  /** Made in the clutch since the beginning. */
  readonly heat: Joule;
  readonly steel: Celsius;
  /** Transmitted torque at this moment, and the capacity. */
  readonly torque: NewtonMetre;
  readonly capacity: NewtonMetre;
  /** The shoes of a start clutch slip, not the pack. */
  readonly atShoes: boolean;
}

export interface Ride {
  readonly dynamics: Dynamics;
  /** Engine at idle, machine at standstill. */
  begin(): Motion;
  /**
   * The machine a while later, lever and throttle held as they are.
   * @param span s, above 0 up to 1
   * @throws {DomainError} for a span, lever or throttle out of range
   */
  advance(from: Motion, hands: Omit<HandMoment, 't'>, span: Second): Motion;
}

/** Steps of the integration: far shorter than an engine's speed takes to change. */
const STEP: Second = 0.001;
const SHARE = { min: 0, max: 1 } as const;
/** Speeds nearer than this are one, rad/s. */
const SAME = 1e-9;

/**
 * A start controlled by hand: engine, clutch, road and heat as in {@link takeoff}, but step by step and beyond lock-up, where
 * engine and hub turn together until the torque exceeds the capacity.
 * @param oil °C, from which the steels begin
 * @throws {DomainError} for an oil outside −40 to 600 °C
 * Source: two-inertia clutch model with stick and slip, machine-element textbooks; `docs/mechanics.md` section 10.
 * @example rideOf(setup, 60).dynamics.stall // 31.42
 */
export function rideOf(setup: TakeoffSetup, oil: Celsius): Ride {
  check('oil', oil, { min: -40, max: 600 });
  const dynamics = dynamicsOf(setup);
  const { rpmOf, speedOf, load, stall, engine: engineTorque, carries, givesAtShoes } = dynamics;
  const { engineInertia, vehicleInertia, heatCapacity, cooling } = setup;

  /** Load on the hub: the road brakes, and holds a standing machine. */
  const resisting = (hub: number, pushed: NewtonMetre): NewtonMetre =>
    hub > SAME ? load : Math.min(load, Math.max(0, pushed));

  const step = (m: Motion, { lever, throttle }: Omit<HandMoment, 't'>, h: Second): Motion => {
    const rpm = rpmOf(m.engine);
    const capacity = carries(lever, rpm, m.steel);
    const cooled = (cooling * (m.steel - oil)) / heatCapacity;
    if (m.state === 'stalled')
      return {
        ...m,
        t: m.t + h,
        hub: Math.max(0, m.hub - ((load + capacity) / vehicleInertia) * h),
        torque: 0,
        capacity,
        steel: m.steel - cooled * h,
      };
    const given = engineTorque(rpm, throttle);
    if (m.state === 'locked') {
      const together = engineInertia + vehicleInertia;
      const rise = (given - resisting(m.hub, given)) / together;
      const passed = given - engineInertia * rise;
      if (Math.abs(passed) <= capacity) {
        const speed = Math.max(0, m.engine + rise * h);
        const stalled = speed < stall;
        return {
          t: m.t + h,
          engine: stalled ? 0 : speed,
          hub: speed,
          state: stalled ? 'stalled' : 'locked',
          heat: m.heat,
          steel: m.steel - cooled * h,
          torque: passed,
          capacity,
          atShoes: false,
        };
      }
    }
    const slip = m.engine - m.hub;
    // From locked up it slips in the direction of the torque.
    const way = Math.abs(slip) > SAME ? Math.sign(slip) : Math.sign(given) || 1;
    const torque = way * capacity;
    const engine = Math.max(0, m.engine + ((given - torque) / engineInertia) * h);
    const hub = Math.max(0, m.hub + ((torque - resisting(m.hub, torque)) / vehicleInertia) * h);
    const after = engine - hub;
    const met = after * way <= 0 && Math.abs(slip) > SAME;
    const rubbed = capacity * Math.abs((slip + after) / 2) * h;
    const atShoes = givesAtShoes(lever, rpm, m.steel);
    const steel = m.steel + (atShoes ? 0 : rubbed / heatCapacity) - cooled * h;
    const t = m.t + h;
    const heat = m.heat + rubbed;
    if (met) {
      // One common speed by conservation of momentum; the next step checks whether it holds.
      const speed =
        (engineInertia * engine + vehicleInertia * hub) / (engineInertia + vehicleInertia);
      return {
        t,
        engine: speed,
        hub: speed,
        state: 'locked',
        heat,
        steel,
        torque,
        capacity,
        atShoes,
      };
    }
    return engine < stall
      ? { t, engine: 0, hub, state: 'stalled', heat, steel, torque: 0, capacity, atShoes }
      : { t, engine, hub, state: 'slipping', heat, steel, torque, capacity, atShoes };
  };

  return {
    dynamics,
    begin: () => ({
      t: 0,
      engine: speedOf(setup.idle),
      hub: 0,
      state: 'slipping',
      heat: 0,
      steel: oil,
      torque: 0,
      capacity: 0,
      atShoes: false,
    }),
    advance(from, hands, span) {
      check('span', span, { above: 0, max: 1 });
      check('lever', hands.lever, SHARE);
      check('throttle', hands.throttle, SHARE);
      const steps = Math.max(1, Math.round(span / STEP));
      let at = from;
      for (let i = 0; i < steps; i++) at = step(at, hands, span / steps);
      return at;
    },
  };
}

/** Speeds as one reads them. */
export interface MotionSpeeds {
  readonly engine: Rpm;
  /** As the engine's speed would be with the clutch locked. */
  readonly hub: Rpm;
  /** Of basket and hub themselves. */
  readonly basketOwn: Rpm;
  readonly hubOwn: Rpm;
}

/**
 * The speeds of a moment, rpm. Never throws.
 * @example speedsOf(rideOf(setup, 60), rideOf(setup, 60).begin()).hub // 0
 */
export function speedsOf({ dynamics }: Ride, { engine, hub }: Motion): MotionSpeeds {
  const own = (speed: number): Rpm => (speed * 30) / Math.PI;
  return {
    engine: dynamics.rpmOf(engine),
    hub: dynamics.rpmOf(hub),
    basketOwn: own(engine),
    hubOwn: own(hub),
  };
}
