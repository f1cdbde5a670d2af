import fc from 'fast-check';

import { DomainError } from '../../errors';
import type { DynoSample, Pull } from '../pulls';
import { atEngine, curveOfPulls, risingPart, torqueOfPower } from '../pulls';

/** An engine whose torque is a straight line over its speed, sampled every so many rpm. */
const line = (
  from: number,
  to: number,
  every: number,
  at = (rpm: number) => 20 + rpm / 400,
): Pull =>
  Array.from({ length: Math.floor((to - from) / every) + 1 }, (_, i) => {
    const rpm = from + i * every;
    return { rpm, torque: at(rpm) };
  });

const DOWN: Pull = [
  { rpm: 8400, torque: -4 },
  { rpm: 6000, torque: -6 },
  { rpm: 2600, torque: -3 },
];

describe('torque from power', () => {
  it('is power over the speed of the shaft', () => {
    // 30 kW at 7000 rpm, by hand: 30000/(7000·2π/60).
    expect(torqueOfPower(30_000, 7000)).toBeCloseTo(40.9256, 4);
    expect(() => torqueOfPower(30_000, 0)).toThrow(DomainError);
  });
});

describe('a curve from pulls on a dyno', () => {
  it('leaves out the way down, and what was before the pull', () => {
    const idle: DynoSample = { rpm: 3100, torque: 4 };
    const pull = line(2600, 9000, 40);
    expect(risingPart([idle, ...pull, ...DOWN])).toEqual(pull);
    expect(curveOfPulls([[...pull, ...DOWN]])).toEqual(curveOfPulls([pull]));
  });

  it('is the engine’s own line wherever it was sampled, at whole steps within what every pull passed', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            from: fc.integer({ min: 1500, max: 3000 }),
            to: fc.integer({ min: 6000, max: 9500 }),
            every: fc.integer({ min: 7, max: 110 }),
          }),
          { minLength: 1, maxLength: 4 },
        ),
        (pulls) => {
          const sampled = pulls.map(({ from, to, every }) => line(from, to, every));
          const { points, spread } = curveOfPulls(sampled);
          expect(points.filter((p) => Math.abs(p.torque - (20 + p.rpm / 400)) > 1e-9)).toEqual([]);
          expect(spread ?? 0).toBeLessThan(1e-9);
          expect(spread === undefined).toBe(pulls.length === 1);
          const least = Math.max(...sampled.map((s) => s[0]?.rpm ?? 0));
          const most = Math.min(...sampled.map((s) => s.at(-1)?.rpm ?? 0));
          expect(points[0]?.rpm).toBe(Math.ceil(least / 250) * 250);
          expect(points.at(-1)?.rpm).toBe(Math.floor(most / 250) * 250);
        },
      ),
    );
  });

  it('smooths what scatters from sample to sample', () => {
    const rough = line(2500, 9000, 25, (rpm) => 40 + (Math.floor(rpm / 25) % 2 ? 1 : -1));
    const off = curveOfPulls([rough]).points.map(({ torque }) => Math.abs(torque - 40));
    expect(Math.max(...off.slice(1, -1))).toBeLessThan(0.15);
    // At an end there is half as much to go by.
    expect(Math.max(...off)).toBeLessThan(0.5);
  });

  it('is the mean of the pulls, and says how far they lie apart', () => {
    const { points, spread } = curveOfPulls([
      line(3000, 6000, 50, () => 39),
      line(3000, 6000, 50, () => 41),
    ]);
    expect(points.every((p) => Math.abs(p.torque - 40) < 1e-9)).toBe(true);
    expect(spread).toBeCloseTo(2 / 40, 9);
  });

  it('has more at the engine than what reaches the wheel', () => {
    const [point] = atEngine([{ rpm: 3000, torque: 44 }], 0.88);
    expect(point?.torque).toBeCloseTo(50, 9);
    expect(() => atEngine([], 1.1)).toThrow(DomainError);
  });

  it('leaves out what a pull has a hole at, and draws nothing on beyond its end', () => {
    const pull = line(3000, 6100, 50).filter(({ rpm }) => rpm < 4100 || rpm > 4400);
    const speeds = curveOfPulls([pull]).points.map((p) => p.rpm);
    expect(speeds).toEqual(
      Array.from({ length: 13 }, (_, i) => 3000 + i * 250).filter((rpm) => rpm !== 4250),
    );
  });

  it.each([
    ['below', (rpm: number) => rpm < 4120 || rpm > 4250],
    ['above', (rpm: number) => rpm < 4250 || rpm > 4380],
  ])('knows nothing of a speed that has no sample %s it', (_side, there) => {
    const pull = line(3010, 6100, 50).filter(({ rpm }) => there(rpm));
    const speeds = curveOfPulls([pull]).points.map((p) => p.rpm);
    expect(speeds).not.toContain(4250);
    expect(speeds).toEqual(expect.arrayContaining([4000, 4500]));
  });

  it.each<[string, readonly Pull[], number, string]>([
    ['no pull', [], 250, 'pulls'],
    ['a pull of one moment', [[{ rpm: 4000, torque: 40 }]], 250, 'pulls'],
    ['pulls that never meet', [line(2000, 4000, 50), line(5000, 7000, 50)], 250, 'pulls'],
    [
      'a sample that is none',
      [[{ rpm: 3000, torque: NaN }, ...line(3100, 6000, 50)]],
      250,
      'torque',
    ],
    ['a step of nothing', [line(3000, 6000, 50)], 0, 'step'],
  ])('refuses %s', (_name, pulls, step, path) => {
    expect(() => curveOfPulls(pulls, step)).toThrow(
      expect.objectContaining({ path }) as DomainError,
    );
  });
});
