import fc from 'fast-check';

import { engage, ringMass, temperatureRise } from '../engagement';
import { integrate } from '../integrate';

const constant = (clutch: number, load = 20, engine = 90) => ({
  engineInertia: 0.06,
  vehicleInertia: 0.25,
  engineSpeed: 300,
  vehicleSpeed: 60,
  engineTorque: () => engine,
  loadTorque: () => load,
  clutchTorque: () => clutch,
});

describe('engagement', () => {
  it('meets the published case, to 1e-6', () => {
    const run = engage(constant(140));
    expect(run.outcome).toBe('locked');
    // Slip is at its maximum when it begins: 240 rad/s at 140 N·m; the engine is slowest when it locks.
    expect(run.peakPower).toBeCloseTo(140 * 240, 6);
    expect(run.leastSpeed).toBeCloseTo(run.speed, 6);
    expect(engage({ ...constant(140), liningArea: 0.02 }).peakPowerPerArea).toBeCloseTo(
      (140 * 240) / 0.02,
      3,
    );
    expect(run.time / 0.182741).toBeCloseTo(1, 5);
    expect(run.energy / 3070.05).toBeCloseTo(1, 5);
    expect(run.speed / 147.716).toBeCloseTo(1, 5);
  });

  it('meets the closed form for any constant torques that lock', () => {
    const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(
        number(0.02, 0.3),
        number(0.05, 1),
        number(40, 200),
        number(0, 60),
        number(0, 30),
        (je, jv, clutch, engine, load) => {
          const closing = (clutch - engine) / je + (clutch - load) / jv;
          fc.pre(clutch > engine + 5 && clutch > load + 5);
          const time = 240 / closing;
          fc.pre(time < 20);
          const run = engage({
            ...constant(clutch, load, engine),
            engineInertia: je,
            vehicleInertia: jv,
          });
          expect(Math.abs(run.time / time - 1)).toBeLessThan(1e-6);
          expect(Math.abs(run.energy / ((clutch * 240 * time) / 2) - 1)).toBeLessThan(1e-6);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('stalls, and keeps slipping, when it must', () => {
    expect(
      engage({ ...constant(140, 120), engineSpeed: 130, vehicleSpeed: 0, stallSpeed: 80 }),
    ).toMatchObject({ outcome: 'stalled' });
    // An engine that may stall but does not still locks up.
    expect(engage({ ...constant(140), stallSpeed: 80 })).toMatchObject({ outcome: 'locked' });
    const slipping = engage({ ...constant(30, 40), limit: 2 });
    expect(slipping).toMatchObject({ outcome: 'still slipping', time: 2 });
    expect(() => engage({ ...constant(140), vehicleSpeed: 300 })).toThrow('engineSpeed');
  });

  it('does not let a load push a standing vehicle backward', () => {
    const run = engage({
      ...constant(140),
      vehicleSpeed: 0,
      corners: [1],
      clutchTorque: (t) => 140 * Math.min(1, t),
      limit: 10,
    });
    expect(run.outcome).toBe('locked');
    expect(run.leastSpeed).toBeGreaterThan(0);
  });
});

describe('integration and heat', () => {
  it('follows an oscillator for a hundred turns to 1e-6', () => {
    const { y } = integrate(
      (_t, [x = 0, v = 0], out) => {
        out[0] = v;
        out[1] = -x;
      },
      [1, 0],
      { until: 200 * Math.PI, relative: 1e-10 },
    );
    expect(y[0]).toBeCloseTo(1, 6);
  });

  it('warms a steel as its mass and heat say', () => {
    const mass = ringMass(58.5, 46.5, 1.5, 'steel');
    expect(mass).toBeCloseTo(Math.PI * (58.5 ** 2 - 46.5 ** 2) * 1.5 * 7850e-9, 12);
    expect(temperatureRise(3070, [{ mass, metal: 'steel' }])).toBeCloseTo(3070 / (mass * 490), 9);
    expect(ringMass(58.5, 46.5, 1.5, 'aluminium') / mass).toBeCloseTo(2700 / 7850, 12);
    expect(() => temperatureRise(10, [])).toThrow('at least one plate');
  });
});
