import type { DynoReading, RecordedPulls } from '@/core/torque/dynoPulls';
import { withStoppedPull, withPart } from '../dynoPulls';

let id = 0;
const part = (
  pull: number,
  part: number,
  samples: DynoReading['samples'],
  more: Partial<DynoReading> = {},
): DynoReading => ({
  device: 'dyno',
  id: ++id,
  pull,
  part,
  unit: 'N·m',
  samples,
  last: false,
  ...more,
});

const taken = (...parts: readonly DynoReading[]): RecordedPulls =>
  parts.reduce<RecordedPulls>(withPart, []);

describe('pulls as they come from the dyno', () => {
  it('are put together of their parts, each whole with its last', () => {
    const pulls = taken(
      part(7, 0, [[3000, 30]]),
      part(7, 1, [[4000, 38]]),
      part(7, 2, [[5000, 36]], { last: true }),
      part(8, 0, [[3000, 31]]),
    );
    expect(pulls.map((p) => p.state)).toEqual(['whole', 'running']);
    expect(pulls[0]?.samples).toEqual([
      { rpm: 3000, torque: 30 },
      { rpm: 4000, torque: 38 },
      { rpm: 5000, torque: 36 },
    ]);
  });

  it('are turned into N·m from what the dyno shows', () => {
    const [pull] = taken(part(1, 0, [[3000, 20]], { unit: 'ft·lb' }));
    expect(pull?.samples[0]?.torque).toBeCloseTo(27.116358966628, 9);
  });

  it('stay broken once a part is missing', () => {
    const pulls = taken(
      part(1, 0, [[3000, 30]]),
      part(1, 2, [[5000, 36]]),
      part(1, 3, [[6000, 33]], { last: true }),
    );
    expect(pulls).toEqual([expect.objectContaining({ state: 'broken', parts: 1 })]);
  });

  it('are broken when heard from the middle on, when another begins, and when the link goes', () => {
    expect(taken(part(4, 3, [[5000, 36]], { last: true }))[0]).toMatchObject({
      state: 'broken',
      parts: 0,
    });
    expect(taken(part(1, 0, [[3000, 30]]), part(2, 0, [[3000, 30]])).map((p) => p.state)).toEqual([
      'broken',
      'running',
    ]);
    const running = taken(part(1, 0, [[3000, 30]]));
    expect(withStoppedPull(running)[0]?.state).toBe('broken');
    const whole = taken(part(1, 0, [[3000, 30]], { last: true }));
    expect(withStoppedPull(whole)).toBe(whole);
  });

  it('begin again with the numbers of a dyno that was switched off', () => {
    const pulls = taken(
      part(1, 0, [[3000, 30]], { last: true }),
      part(1, 0, [[3000, 31]], { last: true }),
    );
    expect(pulls.map((p) => p.state)).toEqual(['whole', 'whole']);
  });
});
