import type { RecordedPull } from '@/core/torque/dynoPulls';

import { curveFromPulls } from '../curveFromPulls';

const pull = (
  torque: number,
  from = 3000,
  to = 8000,
  state: RecordedPull['state'] = 'whole',
): RecordedPull => ({
  number: 1,
  parts: 1,
  state,
  samples: Array.from({ length: (to - from) / 50 + 1 }, (_, i) => ({
    rpm: from + 50 * i,
    torque,
  })),
});

const note = (...pulls: readonly RecordedPull[]) => curveFromPulls(pulls)?.notes.join(' ');

describe('the curve of what the dyno has sent', () => {
  it('is none until a pull came whole', () => {
    expect(curveFromPulls([])).toBeUndefined();
    expect(curveFromPulls([pull(40, 3000, 8000, 'running')])).toBeUndefined();
    expect(curveFromPulls([pull(40, 3000, 8000, 'broken')])).toBeUndefined();
  });

  it('goes by whole pulls alone, and says how many', () => {
    const file = curveFromPulls([pull(40), pull(10, 3000, 4000, 'broken'), pull(41)]);
    expect(file?.curve.name).toMatch(/^Dyno, 2 pulls, \d{4}-\d{2}-\d{2}$/);
    expect(file?.curve.points.at(-1)).toEqual({ rpm: 8000, torque: 40.5 });
  });

  it('says how well they repeat, to the edge of what is believed', () => {
    expect(note(pull(40))).toContain('One pull does not show repeatability');
    expect(note(pull(40), pull(41))).toBe('The pulls agree within 2.5 % of the peak.');
    expect(note(pull(40), pull(42))).toContain('4.9 % of the peak. Pull again with a warm engine');
  });

  it('has no points where the pulls never meet, and says what to do', () => {
    const file = curveFromPulls([pull(40, 3000, 4000), pull(40, 6000, 7000)]);
    expect(file?.curve.points).toEqual([]);
    expect(file?.notes[0]).toContain('Remove one, or pull again');
  });
});
