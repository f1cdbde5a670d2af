import { blankJob } from '@/core/job/blank';
import { entry } from '@/core/job/entry';

import { minutesText, soakOf, soakState } from '../soak';

const AT = '2026-11-25T08:00:00.000Z';
const later = (minutes: number) => new Date(Date.parse(AT) + minutes * 60_000).toISOString();

describe('soak', () => {
  it('counts from the time the linings went in, across interruptions', () => {
    expect(soakState(undefined, 480, 20, AT)).toMatchObject({ status: 'waiting', toPlan: 480 });
    expect(soakState(AT, 480, 20, later(19))).toMatchObject({ status: 'soaking', toLeast: 1 });
    expect(soakState(AT, 480, 20, later(20))).toMatchObject({ status: 'least', toPlan: 460 });
    const done = soakState(AT, 480, 20, later(480));
    expect(done).toMatchObject({ status: 'done', share: 1, endsAt: later(480) });
  });

  it('counts a clock that was set back as just begun', () => {
    expect(soakState(AT, 480, 20, later(-60))).toMatchObject({ soaked: 0, status: 'soaking' });
  });

  it('plans the longer method until changed, and never less than the minimum', () => {
    const job = blankJob('j', 'UR-1', AT);
    expect(soakOf(job)).toEqual({ plan: 480, least: 20 });
    expect(soakOf({ build: { ...job.build, soakPlan: entry(10), soakLeast: entry(30) } })).toEqual({
      plan: 30,
      least: 30,
    });
  });

  it('says minutes as people do', () => {
    expect([5, 60, 95.2].map(minutesText)).toEqual(['5 min', '1 h', '1 h 36 min']);
  });
});
