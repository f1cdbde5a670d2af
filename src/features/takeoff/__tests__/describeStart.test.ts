import type { Judder } from '@/core/takeoff/judder';
import type { TakeoffResult } from '@/core/takeoff/takeoff';

import { describeJudder, describeStart } from '../describeStart';

const calm: Judder = { level: 'none', growth: 1, fed: 0, worst: -0.4, reasons: [] };
const start: TakeoffResult = {
  outcome: 'locked',
  slipTime: 1.234,
  time: 1.8,
  energy: 12_340,
  engineWork: 30_000,
  loadWork: 2000,
  peakPower: 20_000,
  leastRpm: 2210,
  lockRpm: 3456,
  steel: 130,
  warmest: 141.4,
  judder: calm,
  points: [],
};
const judders = (part: Partial<Judder>) =>
  describeJudder({ ...start, judder: { ...calm, ...part } });

describe('a start in words', () => {
  it('says how it ended, with slip, heat and the warmest steels', () => {
    expect(describeStart(start, {})).toBe(
      'Locked at 3456 rpm after 1.23 s of slip, 12.3 kJ of heat, steels at 141 °C.',
    );
    expect(describeStart({ ...start, outcome: 'stalled' }, {})).toMatch(/^Stalled at 2210 rpm/);
    expect(describeStart({ ...start, outcome: 'still slipping' }, {})).toMatch(
      /^Still slipping at the end: 1\.23 s/,
    );
  });

  it('follows the units that are chosen', () => {
    expect(describeStart(start, { temperature: 'F' })).toContain('steels at 287 °F');
  });

  it('explains no judder by the effect of friction on the driveline', () => {
    expect(judders({})).toBe('No judder: friction rises with slip speed and damps the driveline.');
    expect(judders({ worst: 0.42 })).toBe(
      'No judder: friction takes at most 42 % of the driveline’s damping.',
    );
  });

  it('explains judder by its growth and its cause', () => {
    const bad = { level: 'likely', worst: 2, fed: 0.31, growth: 25.4 } as const;
    expect(
      judders({ ...bad, reasons: ['2 plates glazed or burnt', 'an oil that is not known'] }),
    ).toBe(
      'Judder is likely: for 0.31 s friction feeds a vibration that grows 25 times. Caused by 2 plates glazed or burnt, an oil that is not known.',
    );
    expect(judders(bad)).toMatch(/Caused by the heat of the steels\.$/);
    expect(judders({ ...bad, growth: 999.4 })).toContain('999 times');
    expect(judders({ ...bad, growth: 1000 })).toContain('over 1000');
  });
});
