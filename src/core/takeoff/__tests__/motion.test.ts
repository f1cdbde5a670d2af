import { crag, jobOf, knoll } from '@/testing/jobs';
import fc from 'fast-check';

import type { Hands } from '../hands';
import { handsAt, WAYS } from '../hands';
import type { Motion, Ride } from '../motion';
import { rideOf, speedsOf } from '../motion';
import type { TakeoffSetup } from '../setup';
import { takeoffWithAssumptions, takeoffOf } from '../setup';
import { takeoff } from '../takeoff';

const OIL = 90;
const setupOf = (number = 'T-1'): TakeoffSetup => {
  const made = takeoffWithAssumptions(jobOf(number));
  if ('needs' in made) throw new Error('not known');
  return made.setup;
};
const SPAN = 0.002;

/** Rides hands to a time, or until something happens. */
function ridden(ride: Ride, hands: Hands, until: number, stop?: (m: Motion) => boolean): Motion {
  let at = ride.begin();
  while (at.t < until && !stop?.(at)) at = ride.advance(at, handsAt(hands, at.t + SPAN / 2), SPAN);
  return at;
}

describe('a machine ridden by hand', () => {
  it.each(['T-1', 'T-3', 'T-1', 'T-5'])(
    'comes to what a start followed to lock-up comes to, %s',
    (number) => {
      const setup = setupOf(number);
      for (const way of [WAYS.gentle, WAYS.race]) {
        const run = takeoff({ ...setup, startRpm: setup.idle }, way.hands, {
          steel: OIL,
          oil: OIL,
        });
        const at = ridden(rideOf(setup, OIL), way.hands, 12, (m) => m.state !== 'slipping');
        expect(at.state).toBe(run.outcome);
        expect(at.t / run.time).toBeCloseTo(1, 2);
        expect(at.heat / run.energy).toBeCloseTo(1, 2);
      }
    },
  );

  it('warms the shoes of a start clutch and not the steels, where it is they that slip', () => {
    const setup = setupOf('T-5');
    const at = ridden(rideOf(setup, OIL), WAYS.handsOff.hands, 1.2);
    expect(at).toMatchObject({ state: 'slipping', atShoes: true });
    expect(at.heat).toBeGreaterThan(0);
    expect(at.steel).toBe(OIL);
  });

  it('turns as one once locked, and slips again when more is asked than it carries', () => {
    const setup = setupOf();
    const ride = rideOf(setup, OIL);
    const locked = ridden(ride, WAYS.gentle.hands, 6);
    expect(locked.state).toBe('locked');
    expect(locked.engine).toBe(locked.hub);
    expect(Math.abs(locked.torque)).toBeLessThanOrEqual(locked.capacity);
    const feathered = ride.advance(locked, { lever: setup.bites - 0.01, throttle: 1 }, 0.3);
    expect(feathered.state).toBe('slipping');
    expect(feathered.engine).toBeGreaterThan(feathered.hub);
    const { engine, hub, basketOwn } = speedsOf(ride, feathered);
    expect(engine).toBeGreaterThan(hub);
    expect(basketOwn * setup.primaryRatio).toBeCloseTo(engine, 9);
  });

  it('lets the hub push a closed throttle: slip the other way makes heat too', () => {
    const setup = setupOf();
    const ride = rideOf(setup, OIL);
    const rolling = ridden(ride, WAYS.race.hands, 4);
    const open = ride.advance(rolling, { lever: 1, throttle: 0 }, 1);
    expect(open.engine).toBeLessThan(open.hub);
    const caught = ride.advance(open, { lever: setup.presses + 0.05, throttle: 0 }, 0.2);
    expect(caught.torque).toBeLessThan(0);
    expect(caught.heat).toBeGreaterThan(open.heat);
  });

  it('stalls with the lever let go at idle, and rolls out', () => {
    const setup = setupOf();
    const ride = rideOf(setup, OIL);
    const stalled = ridden(ride, WAYS.stall.hands, 3);
    expect(stalled.state).toBe('stalled');
    expect(stalled.engine).toBe(0);
    let at = stalled;
    for (let i = 0; i < 20; i++) at = ride.advance(at, { lever: 0, throttle: 1 }, 1);
    expect(at.hub).toBe(0);
    expect(at.state).toBe('stalled');
  });

  it('is dragged to a stop by a hill that is too steep once it is locked', () => {
    const setup = setupOf();
    const locked = ridden(rideOf(setup, OIL), WAYS.gentle.hands, 6);
    const steep = rideOf({ ...setup, grade: 0.9 }, OIL);
    let at = locked;
    for (let i = 0; i < 40 && at.state === 'locked'; i++)
      at = steep.advance(at, { lever: 0, throttle: 0 }, 0.25);
    expect(at.state).toBe('stalled');
    expect(at.engine).toBe(0);
    expect(at.torque).toBe(0);
    expect(at.hub).toBeLessThan(locked.hub);
  });

  it('idles with the lever pulled', () => {
    const setup = setupOf();
    const at = ridden(
      rideOf(setup, OIL),
      [
        { t: 0, lever: 1, throttle: 0 },
        { t: 1, lever: 1, throttle: 0 },
      ],
      3,
    );
    expect(at.hub).toBe(0);
    expect(speedsOf(rideOf(setup, OIL), at).engine / setup.idle).toBeCloseTo(1, 0);
    expect(at.heat).toBe(0);
  });

  it('accounts for its heat and never turns backwards, whatever the hands do', () => {
    const setup = setupOf('T-2');
    const ride = rideOf(setup, OIL);
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            lever: fc.double({ min: 0, max: 1, noNaN: true }),
            throttle: fc.double({ min: 0, max: 1, noNaN: true }),
            span: fc.double({ min: 0.001, max: 0.5, noNaN: true }),
          }),
          { minLength: 1, maxLength: 12 },
        ),
        (holds) => {
          let at = ride.begin();
          for (const { span, ...hands } of holds) {
            const next = ride.advance(at, hands, span);
            expect(next.heat).toBeGreaterThanOrEqual(at.heat);
            expect(next.engine).toBeGreaterThanOrEqual(0);
            expect(next.hub).toBeGreaterThanOrEqual(0);
            expect(Math.abs(next.torque)).toBeLessThanOrEqual(next.capacity + 1e-6 || Infinity);
            for (const v of [next.engine, next.hub, next.heat, next.steel])
              expect(Number.isFinite(v)).toBe(true);
            at = next;
          }
        },
      ),
      { numRuns: 60 },
    );
    expect(() => ride.advance(ride.begin(), { lever: 2, throttle: 0 }, 0.1)).toThrow('lever');
    expect(() => ride.advance(ride.begin(), { lever: 0, throttle: 0 }, 0)).toThrow('span');
  });

  it('takes a middling machine where the job says none, and never for a pack', () => {
    const made = takeoffWithAssumptions({ ...knoll(), duty: {} });
    expect('assumed' in made && made.assumed).toHaveLength(4);
    const whole = takeoffWithAssumptions(crag());
    expect(whole).toEqual({ setup: takeoffOf(crag()), assumed: [] });
    const bare = takeoffWithAssumptions({ ...knoll(), engine: {} });
    expect('needs' in bare && bare.needs.length).toBeGreaterThan(0);
  });
});
