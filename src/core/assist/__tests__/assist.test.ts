import fc from 'fast-check';

import {
  ballAssist,
  basketRpm,
  discGrowth,
  expandingClamp,
  leverAssist,
  engagementSpeeds,
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

const level = () => 1500;

describe('expanding disc', () => {
  it('touches and locks at the speeds at which its clamp says so', () => {
    const { firstContact, lockUp } = engagementSpeeds(disc, 0.8, 1500, 2.5);
    expect(firstContact).toBeLessThan(lockUp);
    expect(expandingClamp(disc, 0.8, level, firstContact / 2.5)).toBeCloseTo(0, 6);
    expect(expandingClamp(disc, 0.8, level, (firstContact + 50) / 2.5)).toBeGreaterThan(0);
    expect(expandingClamp(disc, 0.8, level, lockUp / 2.5)).toBeCloseTo(1500, 6);
    expect(expandingClamp(disc, 0.8, level, 2 * lockUp)).toBe(1500);
    expect(() => engagementSpeeds(disc, 1.2, 1500, 2.5)).toThrow('gap');
  });

  it('clamps with the springs where it holds them: F(s + e) fully out, whatever the gap was', () => {
    const springs = (rise: number) => 1500 + 200 * rise;
    for (const gap of [0.1, 0.5, 0.8])
      expect(expandingClamp(disc, gap, springs, 20_000)).toBe(springs(disc.growth));
    // At lock-up it presses as hard as the springs at first lift, F(s + g).
    const { lockUp } = engagementSpeeds(disc, 0.8, springs(0.8), 2.5);
    expect(expandingClamp(disc, 0.8, springs, lockUp / 2.5)).toBeCloseTo(springs(0.8), 3);
    // Past the peak of a diaphragm it clamps less the further it is out.
    expect(expandingClamp(disc, 0.5, (rise) => 3000 - 400 * rise, 20_000)).toBeCloseTo(2520, 9);
  });

  it('stops at the first balance on its way where the springs give way and stiffen again', () => {
    const springs = (rise: number) => 2000 + 1200 * Math.sin(8 * rise);
    fc.assert(
      fc.property(number(1000, 6000), (rpm) => {
        const grown = discGrowth(disc, 0.2, springs, rpm);
        if (grown <= 0.2 || grown >= disc.growth) return;
        const push = weightForce(disc.weights, rpm) * disc.advantage - disc.returnForce;
        expect(push - disc.returnRate * grown).toBeCloseTo(springs(grown), 4);
      }),
    );
  });

  it('takes up later with a wider gap', () => {
    expect(engagementSpeeds(disc, 1, 1500, 2.5).firstContact).toBeGreaterThan(
      engagementSpeeds(disc, 0.5, 1500, 2.5).firstContact,
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

  it('has its mass where the lining that is left lets it: the published case', () => {
    const shoe = { mass: 0.11, radius: 42, springPull: 100, drumRadius: 57, speedRatio: 1 };
    expect(worn(shoe, 1, 8, 0.01).radius).toBeCloseTo(41.5, 12);
    expect(worn(shoe, 1, 8, 0.01).springPull).toBe(108);
    expect(() => worn({ ...shoe, drumRadius: 40 }, 1, 8)).toThrow('drumRadius');
  });

  it('is asked for less torque on the input by what the primary loses', () => {
    const input = { ...clutch, speedRatio: 0.4 };
    expect(startClutchTorque(input, holdingRpm({ ...input, efficiency: 0.9 }, 30))).toBeCloseTo(
      (30 / 0.4) * 0.9,
      9,
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
    const { firstContact, lockUp } = engagementSpeeds(disc, gap, springs(gap), 2.5);
    expect(at(firstContact)).toBeCloseTo(gap, 6);
    expect(at(firstContact - 20)).toBeLessThan(gap);
    expect(at((firstContact + lockUp) / 2)).toBe(gap);
    const lifted = at(lockUp + 60);
    expect(lifted).toBeGreaterThan(gap);
    const push = weightForce(disc.weights, (lockUp + 60) / 2.5) * disc.advantage;
    expect(push).toBeCloseTo(120 + 60 * lifted + springs(lifted), 3);
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
