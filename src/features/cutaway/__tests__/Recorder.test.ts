import fc from 'fast-check';

import type { HandMoment } from '@/core/takeoff/hands';
import { checkHands, handsAt } from '@/core/takeoff/hands';

import { Recorder } from '../Recorder';

const frames = fc
  .array(
    fc.record({
      hold: fc.integer({ min: 1, max: 30 }),
      lever: fc.double({ min: 0, max: 1, noNaN: true }),
      throttle: fc.double({ min: 0, max: 1, noNaN: true }),
    }),
    { minLength: 2, maxLength: 30 },
  )
  .map((holds) => {
    let t = 0;
    return holds.flatMap(({ hold, lever, throttle }) =>
      Array.from({ length: hold }, (): HandMoment => {
        t += 1 / 60;
        return { t, lever, throttle };
      }),
    );
  });

describe('recorded hands', () => {
  it('stand at every frame where the thumbs stood, in fewer moments, as the core takes them', () => {
    fc.assert(
      fc.property(frames, (seen) => {
        const recorder = new Recorder();
        recorder.note({ t: 0, lever: 1, throttle: 0 });
        for (const moment of seen) recorder.note(moment);
        const kept = recorder.moments();
        checkHands(kept);
        for (const { t, lever, throttle } of seen) {
          const there = handsAt(kept, t);
          expect(Math.abs(there.lever - lever)).toBeLessThanOrEqual(0.0041);
          expect(Math.abs(there.throttle - throttle)).toBeLessThanOrEqual(0.0041);
        }
        expect(kept.length).toBeLessThanOrEqual(seen.length + 1);
      }),
    );
  });

  it('of hands that rest are two moments, and end after a minute', () => {
    const recorder = new Recorder();
    for (let i = 0; i < 8000; i++) recorder.note({ t: i / 100, lever: 0.5, throttle: 0.2 });
    const kept = recorder.moments();
    expect(kept).toHaveLength(2);
    expect(kept[1]?.t).toBe(60);
  });
});
