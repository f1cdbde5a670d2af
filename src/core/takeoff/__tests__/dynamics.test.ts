import { dynamicsOf } from '../dynamics';
import type { TakeoffSetup } from '../setup';

/** A small machine of round figures: 2 : 1 in the primary drive, 40 N·m at 5000 rpm. */
const SETUP: TakeoffSetup = {
  primaryRatio: 2,
  engineInertia: 0.02,
  vehicleInertia: 0.5,
  weightTorque: 100,
  grade: 0,
  idle: 1500,
  startRpm: 3500,
  engine: [
    { rpm: 1000, torque: 20 },
    { rpm: 5000, torque: 40 },
    { rpm: 9000, torque: 30 },
  ],
  typical: [
    { rpm: 0, torque: 100 },
    { rpm: 10000, torque: 100 },
  ],
  low: [
    { rpm: 0, torque: 80 },
    { rpm: 10000, torque: 80 },
  ],
  presses: 0.2,
  bites: 0.8,
  judder: {} as TakeoffSetup['judder'],
  heatCapacity: 300,
  cooling: 10,
};

describe('the machine of a start', () => {
  const { rpmOf, speedOf, engine, carries, stall } = dynamicsOf(SETUP);

  it('turns the clutch at engine speed ÷ primary ratio', () => {
    // 3000 rpm ÷ 2 × 2π ÷ 60.
    expect(speedOf(3000)).toBeCloseTo(157.08, 2);
    expect(rpmOf(speedOf(3000))).toBeCloseTo(3000, 9);
    // Half of 1500 rpm at the clutch.
    expect(stall).toBeCloseTo(speedOf(750), 9);
  });

  it('follows the torque curve at full throttle, and brakes with a closed one', () => {
    expect(engine(5000, 1)).toBeCloseTo(40, 9);
    expect(engine(3000, 1)).toBeCloseTo(30, 9);
    // 0.15 of the peak at the peak’s speed.
    expect(engine(5000, 0)).toBeCloseTo(-6, 9);
  });

  it('helps itself below idle, and is limited above its highest speed', () => {
    expect(engine(1000, 0)).toBeGreaterThan(0);
    expect(engine(9900, 1)).toBeCloseTo(0, 6);
  });

  it('carries all with the lever out, nothing with it in, and less once its linings fade', () => {
    expect(carries(0, 3000, 20)).toBeCloseTo(100, 9);
    expect(carries(1, 3000, 20)).toBe(0);
    expect(carries(0, 3000, 250)).toBeCloseTo(80, 9);
    expect(carries(0, 3000, 200)).toBeCloseTo(90, 9);
    expect(carries(0.5, 3000, 20)).toBeGreaterThan(0);
    expect(carries(0.5, 3000, 20)).toBeLessThan(100);
  });

  it('gives way at the shoes of a start clutch where they carry less', () => {
    const shod = dynamicsOf({
      ...SETUP,
      shoes: [
        { rpm: 0, torque: 0 },
        { rpm: 10000, torque: 200 },
      ],
    });
    expect(shod.carries(0, 2000, 20)).toBeCloseTo(40, 9);
    expect(shod.givesAtShoes(0, 2000, 20)).toBe(true);
    expect(shod.carries(0, 8000, 20)).toBeCloseTo(100, 9);
    expect(shod.givesAtShoes(0, 8000, 20)).toBe(false);
  });

  it('is held back by the road, more up a hill and less down one', () => {
    expect(dynamicsOf(SETUP, 0.1).load).toBeGreaterThan(dynamicsOf(SETUP).load);
    expect(dynamicsOf(SETUP).load).toBeGreaterThan(0);
    expect(dynamicsOf(SETUP, -0.3).load).toBeLessThan(dynamicsOf(SETUP).load);
  });
});
