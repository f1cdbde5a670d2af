import { coilPack } from '@/testing/packs';

import { evaluate } from '../../evaluate/evaluate';
import { peakOf, withCurve } from '../engineCurve';

const job = coilPack();
const curve = {
  name: 'dyno',
  points: [
    { rpm: 3000, torque: 30 },
    { rpm: 6500, torque: 44 },
    { rpm: 9000, torque: 36 },
  ],
};

describe('a torque curve in a job', () => {
  it('brings its peak where that is asked for, from where it came', () => {
    const source = { kind: 'tested', date: '2026-11-29', note: 'dyno' } as const;
    const { engine } = withCurve(job, curve, source);
    expect(engine.peakTorque).toEqual({ value: 44, source });
    expect(engine.peakTorqueRpm).toEqual({ value: 6500, source });
  });

  it('leaves the peak alone otherwise, and all else always', () => {
    const { engine, ...rest } = withCurve(job, curve);
    expect(engine).toEqual({ ...job.engine, curve });
    expect({ ...rest, engine: job.engine }).toEqual(job);
  });

  it('has no peak to bring where it never pulls', () => {
    const down = { name: 'down', points: curve.points.map((p) => ({ ...p, torque: -4 })) };
    expect(peakOf(down.points)).toEqual({ rpm: 0, torque: 0 });
    expect(withCurve(job, down, { kind: 'tested' }).engine.peakTorque).toEqual(
      job.engine.peakTorque,
    );
  });

  it('asks more of the clutch when it gives more', () => {
    const held = (j: typeof job) => {
      const figure = evaluate(j).figures.get('reserve');
      return figure?.status === 'known' ? figure.value : NaN;
    };
    const source = { kind: 'tested' } as const;
    const half = { ...curve, points: curve.points.map((p) => ({ ...p, torque: p.torque / 2 })) };
    expect(held(withCurve(job, half, source))).toBeCloseTo(
      2 * held(withCurve(job, curve, source)),
      6,
    );
  });
});
