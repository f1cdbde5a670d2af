import { DomainError } from '../../errors';
import type { EngagementQuestion } from '../question';
import { engageFrom } from '../question';

const question: EngagementQuestion = {
  engineInertia: 0.06,
  vehicleInertia: 0.25,
  engineSpeed: 300,
  vehicleSpeed: 60,
  engine: [
    { speed: 0, torque: 90 },
    { speed: 400, torque: 90 },
  ],
  load: 20,
  clutch: 140,
  letOut: 0,
};

describe('an engagement given as data', () => {
  it('meets the closed form of constant torques', () => {
    const { outcome, time, energy, speed } = engageFrom(question);
    expect(outcome).toBe('locked');
    expect(Math.abs(time / 0.182741 - 1)).toBeLessThan(1e-5);
    expect(Math.abs(energy / 3070.05 - 1)).toBeLessThan(1e-5);
    expect(speed).toBeCloseTo(147.716, 2);
  });

  it('slips longer and hotter the slower the lever is let out', () => {
    const slow = engageFrom({ ...question, letOut: 0.3 });
    expect(slow.time).toBeGreaterThan(engageFrom(question).time);
    expect(slow.energy).toBeGreaterThan(engageFrom(question).energy);
  });

  it('takes torque straight between its points and level beyond them', () => {
    const rising = engageFrom({
      ...question,
      engine: [
        { speed: 100, torque: 60 },
        { speed: 200, torque: 90 },
      ],
    });
    // Less torque low down brings the engine to the clutch's speed sooner than 90 N·m all the way.
    expect(rising.time).toBeLessThan(engageFrom(question).time);
  });

  it.each<[Partial<EngagementQuestion>, string]>([
    [{ engine: [{ speed: 0, torque: 90 }] }, 'engine'],
    [
      {
        engine: [
          { speed: 9, torque: 1 },
          { speed: 9, torque: 2 },
        ],
      },
      'engine.1.speed',
    ],
    [{ load: -1 }, 'load'],
    [{ clutch: 0 }, 'clutch'],
    [{ letOut: 99 }, 'letOut'],
    [{ engineInertia: 0 }, 'engineInertia'],
  ])('refuses %j by the path', (part, path) => {
    try {
      engageFrom({ ...question, ...part });
      throw new Error('it was taken');
    } catch (error) {
      expect(error).toBeInstanceOf(DomainError);
      expect((error as DomainError).path).toBe(path);
    }
  });
});
