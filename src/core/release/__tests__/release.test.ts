import { DomainError } from '../../errors';
import { clearancePerFace, liftNeeded } from '../clearance';
import { cableLift, hydraulicLift, leverForce, overallRatio } from '../train';

describe('release train', () => {
  it('meets the published hydraulic train', () => {
    expect(hydraulicLift(62, 5.2, 0.4, 9.5, 27)).toBeCloseTo(1.4266, 4);
  });

  it('meets the published cable train', () => {
    expect(cableLift(60, 5, 2, 32, 30)).toBeCloseTo(1.4921, 4);
  });

  it('lifts nothing when the loss takes all of the travel', () => {
    expect(hydraulicLift(62, 5.2, 20, 9.5, 27)).toBe(0);
    expect(cableLift(10, 5, 2, 32, 30)).toBe(0);
    expect(() => hydraulicLift(62, 0, 0.4, 9.5, 27)).toThrow('leverRatio');
    expect(() => cableLift(60, 5, -1, 32, 30)).toThrow(DomainError);
  });

  it('trades lever force for travel', () => {
    expect(overallRatio(60, 1.5)).toBe(40);
    expect(leverForce(2000, 40, 0.8)).toBeCloseTo(62.5, 12);
    expect(() => overallRatio(60, 0)).toThrow('lift');
  });
});

describe('lift and clearance', () => {
  it('needs a clearance at every face and room for warp', () => {
    expect(liftNeeded(16, 0.1)).toBeCloseTo(1.6, 12);
    expect(liftNeeded(16, 0.1, 0.12)).toBeCloseTo(1.72, 12);
    expect(clearancePerFace(1.72, 16, 0.12)).toBeCloseTo(0.1, 12);
    expect(clearancePerFace(0.1, 16, 0.3)).toBeLessThan(0);
    expect(() => liftNeeded(0, 0.1)).toThrow(
      'a number of 1 or more'.replace('a number', 'a whole number'),
    );
  });
});
