import fc from 'fast-check';

import { DomainError } from '../../errors';
import type { FrictionFace } from '../capacity';
import { packCapacity, torqueAtClutch } from '../capacity';
import { effectiveRadius, liningPressure } from '../radius';

/** 8 discs and 7 steels, the innermost disc with a large bore, faces from the pressure plate inward. */
function publishedPack(model: 'uniformWear' | 'uniformPressure'): FrictionFace[] {
  return Array.from({ length: 16 }, (_, k) => ({
    radius: effectiveRadius(58.5, k >= 14 ? 50.5 : 46.5, model),
    friction: 0.12,
    // Face 0 is between pressure plate and disc: below it a disc, above it nothing.
    tangRadiusBelow: k % 2 === 0 ? 61 : 43,
    tangRadiusAbove: k % 2 === 0 ? 43 : 61,
  }));
}

describe('pack capacity', () => {
  it('meets the published case by uniform wear and by uniform pressure', () => {
    expect(packCapacity(1600, publishedPack('uniformWear')).torque).toBeCloseTo(162.048, 3);
    expect(packCapacity(1600, publishedPack('uniformPressure')).torque).toBeCloseTo(162.7, 3);
  });

  it('meets the published case with tang friction', () => {
    const { torque, clampAtFace } = packCapacity(1600, publishedPack('uniformWear'), 0.06);
    expect(torque).toBeCloseTo(145.272, 3);
    expect(clampAtFace.at(-1)).toBeCloseTo(1280.15, 2);
    expect(clampAtFace[0]).toBe(1600);
  });

  const face = fc.record({
    radius: fc.double({ min: 20, max: 90, noNaN: true }),
    friction: fc.double({ min: 0.04, max: 0.3, noNaN: true }),
    tangRadiusBelow: fc.double({ min: 15, max: 100, noNaN: true }),
    tangRadiusAbove: fc.double({ min: 15, max: 100, noNaN: true }),
  });

  it('never loses plain capacity by a further face, and never gains by tang friction', () => {
    fc.assert(
      fc.property(
        fc.array(face, { maxLength: 30 }),
        face,
        fc.double({ min: 0, max: 4000, noNaN: true }),
        fc.double({ min: 0, max: 0.2, noNaN: true }),
        (faces, more, clamp, tang) => {
          const plain = packCapacity(clamp, faces).torque;
          expect(packCapacity(clamp, [...faces, more]).torque).toBeGreaterThanOrEqual(plain);
          expect(packCapacity(clamp, faces, tang).torque).toBeLessThanOrEqual(plain + 1e-9);
        },
      ),
    );
  });

  it('passes no clamp on where tangs would jam, and never a pull', () => {
    const jam: FrictionFace = { radius: 90, friction: 1, tangRadiusBelow: 15, tangRadiusAbove: 15 };
    const { clampAtFace } = packCapacity(1000, [jam, jam, jam], 0.5);
    expect(clampAtFace).toEqual([1000, 0, 0]);
  });

  it('refuses values outside its domain', () => {
    expect(() => packCapacity(-1, [])).toThrow(DomainError);
    expect(() => packCapacity(100, [{ radius: 50, friction: 0 }])).toThrow('faces.0.friction');
    expect(() =>
      packCapacity(
        100,
        [
          { radius: 50, friction: 0.1 },
          { radius: 50, friction: 0.1 },
        ],
        0.06,
      ),
    ).toThrow('tang radius above 0');
  });
});

describe('radius, pressure and torque at the clutch', () => {
  it('is between the radii, uniform wear never above uniform pressure', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 100, noNaN: true }),
        fc.double({ min: 0.01, max: 60, noNaN: true }),
        (inner, width) => {
          const wear = effectiveRadius(inner + width, inner, 'uniformWear');
          const pressure = effectiveRadius(inner + width, inner, 'uniformPressure');
          expect(wear).toBeGreaterThan(inner);
          expect(pressure).toBeLessThan(inner + width);
          expect(wear).toBeLessThanOrEqual(pressure + 1e-9);
        },
      ),
    );
    expect(() => effectiveRadius(46.5, 58.5)).toThrow('less than the outer radius');
  });

  it('spreads force over the ring less its grooves', () => {
    // π(58.5² − 46.5²) = 3958.41 mm²
    expect(liningPressure(1600, 58.5, 46.5)).toBeCloseTo(0.404203, 5);
    expect(liningPressure(1600, 58.5, 46.5, 0.5)).toBeCloseTo(0.808406, 5);
    expect(() => liningPressure(1600, 58.5, 46.5, 1)).toThrow(DomainError);
  });

  it('multiplies by the primary ratio and its efficiency', () => {
    expect(torqueAtClutch(40, 2.5)).toBe(100);
    expect(torqueAtClutch(40, 2.5, 0.98)).toBeCloseTo(98, 12);
    expect(() => torqueAtClutch(40, 0)).toThrow('primaryRatio');
  });
});
