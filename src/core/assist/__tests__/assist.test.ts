import fc from 'fast-check';

import {
  ballAssist,
  basketRpm,
  discGrowth,
  expandingClamp,
  leverAssist,
  takeUp,
  weightForce,
} from '../centrifugal';
import type { StartClutch } from '../startClutch';
import { firstContactRpm, holdingRpm, startClutchTorque, worn } from '../startClutch';

const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const weights = { count: 6, mass: 0.011, radius: 47 };

describe('centrifugal assist', () => {
  it('meets the published force, at basket speed and not engine speed', () => {
    expect(weightForce(weights, basketRpm(6500, 2.8))).toBeCloseTo(183.32, 2);
    expect(leverAssist(weights, basketRpm(6500, 2.8), 2)).toBeCloseTo(366.64, 1);
    expect(ballAssist(weights, basketRpm(6500, 2.8), 45)).toBeCloseTo(183.32, 2);
  });

  it('grows with the square of speed', () => {
    fc.assert(
      fc.property(number(100, 5000), number(1.1, 3), (rpm, factor) => {
        expect(weightForce(weights, rpm * factor) / weightForce(weights, rpm)).toBeCloseTo(
          factor ** 2,
          6,
        );
      }),
    );
  });
});

const disc = {
  weights: { count: 8, mass: 0.02, radius: 50 },
  advantage: 3,
  returnForce: 120,
  returnRate: 60,
  growth: 1.2,
};

describe('expanding disc', () => {
  it('touches and locks at the speeds at which its clamp says so', () => {
    const { firstContact, lockUp } = takeUp(disc, 0.8, 1500, 2.5);
    expect(firstContact).toBeLessThan(lockUp);
    expect(expandingClamp(disc, 0.8, 1500, firstContact / 2.5)).toBeCloseTo(0, 6);
    expect(expandingClamp(disc, 0.8, 1500, (firstContact + 50) / 2.5)).toBeGreaterThan(0);
    expect(expandingClamp(disc, 0.8, 1500, lockUp / 2.5)).toBeCloseTo(1500, 6);
    expect(expandingClamp(disc, 0.8, 1500, 2 * lockUp)).toBe(1500);
    expect(() => takeUp(disc, 1.2, 1500, 2.5)).toThrow('gap');
  });

  it('takes up later with a wider gap', () => {
    expect(takeUp(disc, 1, 1500, 2.5).firstContact).toBeGreaterThan(
      takeUp(disc, 0.5, 1500, 2.5).firstContact,
    );
  });
});

describe('start clutch', () => {
  const clutch: StartClutch = {
    shoes: 5,
    mass: 0.09,
    radius: 45,
    springPull: 160,
    drumRadius: 57,
    friction: 0.14,
    speedRatio: 1,
  };

  it('lifts its shoes where m·r·ω² meets the spring', () => {
    const rpm = firstContactRpm(clutch);
    expect(0.09 * 0.045 * ((rpm * Math.PI) / 30) ** 2).toBeCloseTo(160, 8);
    expect(startClutchTorque(clutch, rpm - 1)).toBe(0);
    expect(startClutchTorque(clutch, rpm + 1)).toBeGreaterThan(0);
  });

  it('holds a torque from the speed at which it makes it', () => {
    fc.assert(
      fc.property(number(1, 60), number(0.3, 1), (torque, speedRatio) => {
        const c = { ...clutch, speedRatio };
        expect(startClutchTorque(c, holdingRpm(c, torque)) * speedRatio).toBeCloseTo(torque, 6);
      }),
    );
  });

  it('takes up later and holds less once worn', () => {
    const old = worn(clutch, 1.5, 12, 0.006);
    expect(firstContactRpm(old)).toBeGreaterThan(firstContactRpm(clutch));
    expect(startClutchTorque(old, 5000)).toBeLessThan(startClutchTorque(clutch, 5000));
  });
});

describe('growth of an expanding disc', () => {
  const gap = 0.8;
  const springs = (lift: number) => 1500 + 200 * lift;
  const at = (rpm: number) => discGrowth(disc, gap, springs, rpm / 2.5);

  it('reaches the gap at first contact and rests there until lock-up, then lifts the springs', () => {
    const { firstContact, lockUp } = takeUp(disc, gap, springs(0), 2.5);
    expect(at(firstContact)).toBeCloseTo(gap, 6);
    expect(at(firstContact - 20)).toBeLessThan(gap);
    expect(at((firstContact + lockUp) / 2)).toBe(gap);
    const lifted = at(lockUp + 60);
    expect(lifted).toBeGreaterThan(gap);
    const push = weightForce(disc.weights, (lockUp + 60) / 2.5) * disc.advantage;
    expect(push).toBeCloseTo(120 + 60 * lifted + springs(lifted - gap), 3);
    expect(at(4 * lockUp)).toBe(1.2);
  });

  it('never shrinks with rpm nor grows beyond what it can', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 20_000, noNaN: true }),
        fc.double({ min: 0, max: 20_000, noNaN: true }),
        (a, b) => {
          expect(at(Math.max(a, b))).toBeGreaterThanOrEqual(at(Math.min(a, b)) - 1e-9);
          expect(at(a)).toBeLessThanOrEqual(disc.growth);
        },
      ),
    );
    expect(at(0)).toBe(0);
    expect(discGrowth(disc, 5, springs, 5000)).toBe(1.2);
    expect(() => discGrowth(disc, -1, springs, 100)).toThrow('gap');
  });
});
