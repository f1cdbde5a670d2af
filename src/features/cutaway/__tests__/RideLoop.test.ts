import { cutawayOf } from '@/core/takeoff/cutaway';
import { autoPack, coilPack } from '@/testing/packs';

import type { Painter } from '../Painter';
import { RideLoop, startingHands } from '../RideLoop';

/* Frames come when the test says so, at the times that it says. */

let waiting: FrameRequestCallback | undefined;
let clock = 0;

beforeEach(() => {
  waiting = undefined;
  clock = 0;
  globalThis.requestAnimationFrame = (frame) => {
    waiting = frame;
    return 1;
  };
  globalThis.cancelAnimationFrame = () => {
    waiting = undefined;
  };
  jest.spyOn(performance, 'now').mockImplementation(() => clock);
});
afterEach(() => jest.restoreAllMocks());

/** Lets frames follow one another for so many seconds. */
function run(seconds: number, ms = 20): void {
  for (let passed = 0; passed < seconds * 1000 - 1e-9; passed += ms) {
    clock += ms;
    const frame = waiting;
    waiting = undefined;
    frame?.(clock);
  }
}

const single = cutawayOf(coilPack(), 90);
const auto = cutawayOf(autoPack(), 90);

const shown = () => {
  const show = jest.fn();
  return { show, painter: { show } as unknown as Painter };
};

describe('the machine of a cutaway, ridden by hand', () => {
  it('begins with the lever pulled, or left out where the clutch takes up by itself', () => {
    expect(startingHands(single)).toEqual({ lever: 1, throttle: 0 });
    expect(startingHands(auto)).toEqual({ lever: 0, throttle: 0 });
    expect(new RideLoop(single, false).reading().look.clearance).toBeGreaterThan(0);
  });

  it('stays at rest until it is run, and advances as far as the frames say', () => {
    const loop = new RideLoop(single, false);
    loop.hold({ lever: 0.5, throttle: 0.3 });
    expect(loop.reading().motion?.t).toBe(0);
    loop.run();
    run(1);
    loop.pause();
    expect(loop.reading().motion?.t).toBeCloseTo(1, 6);
    run(1);
    expect(loop.reading().motion?.t).toBeCloseTo(1, 6);
    expect(loop.status()).toEqual({ running: false, recording: false, begun: 0 });
  });

  it('takes up the machine as the same hands do in the core', () => {
    const loop = new RideLoop(single, false);
    loop.restart({ lever: 0, throttle: 0.6 });
    loop.run();
    run(0.4);
    loop.pause();
    const { ride } = single;
    let motion = ride?.begin();
    for (let i = 0; i < 20 && ride && motion; i++)
      motion = ride.advance(motion, { lever: 0, throttle: 0.6 }, 0.02);
    expect(motion?.heat).toBeGreaterThan(0);
    expect(loop.reading().motion?.hub).toBeCloseTo(motion?.hub ?? NaN, 6);
    expect(loop.reading().motion?.heat).toBeCloseTo(motion?.heat ?? NaN, 6);
  });

  it('counts a frame of a page that was hidden as a short one', () => {
    const loop = new RideLoop(single, false);
    loop.run();
    run(10, 10_000);
    loop.pause();
    expect(loop.reading().motion?.t).toBeCloseTo(0.05, 9);
  });

  it('is started once, regardless of how often start is called', () => {
    const loop = new RideLoop(single, false);
    loop.run();
    loop.run();
    run(0.1);
    loop.pause();
    expect(loop.reading().motion?.t).toBeCloseTo(0.1, 6);
  });

  it('moves the drawing at each frame, and reports its figures a few times a second', () => {
    const loop = new RideLoop(single, false);
    const { show, painter } = shown();
    loop.draws(painter);
    const reported = jest.fn();
    loop.run();
    show.mockClear();
    const end = loop.subscribe(reported);
    run(1);
    expect(show).toHaveBeenCalledTimes(50);
    expect(reported.mock.calls.length).toBeGreaterThanOrEqual(4);
    expect(reported.mock.calls.length).toBeLessThanOrEqual(8);
    end();
    reported.mockClear();
    run(1);
    expect(reported).not.toHaveBeenCalled();
  });

  it('where things should keep still, turns nothing and draws a few times a second', () => {
    const loop = new RideLoop(single, true);
    const { show, painter } = shown();
    loop.draws(painter);
    loop.run();
    show.mockClear();
    run(2);
    expect(show.mock.calls.length).toBeGreaterThanOrEqual(5);
    expect(show.mock.calls.length).toBeLessThanOrEqual(8);
    expect(show.mock.calls.every(([, , passed]) => passed === 0)).toBe(true);
    // It still has moved on.
    loop.pause();
    expect(loop.reading().motion?.t).toBeCloseTo(2, 6);
  });

  it('shows at once what the hands do while nothing runs', () => {
    const loop = new RideLoop(single, false);
    const { show, painter } = shown();
    loop.draws(painter);
    const reported = jest.fn();
    loop.subscribe(reported);
    loop.hold({ lever: 0 });
    expect(loop.held()).toEqual({ lever: 0, throttle: 0 });
    expect(loop.reading().look.clearance).toBe(0);
    expect(reported).toHaveBeenCalledTimes(1);
    expect(show).toHaveBeenLastCalledWith(
      expect.objectContaining({ load: 0, heat: expect.any(Number), atShoes: false }),
      expect.objectContaining({ hub: 0 }),
      0,
    );
  });

  it('steps a tenth of a second', () => {
    const loop = new RideLoop(single, false);
    loop.step();
    loop.step();
    expect(loop.reading().motion?.t).toBeCloseTo(0.2, 6);
    expect(loop.status().running).toBe(false);
  });

  it('records the hands from standing, and gives them back', () => {
    const loop = new RideLoop(single, false);
    loop.run();
    run(0.5);
    loop.hold({ lever: 1, throttle: 0.2 });
    loop.record();
    expect(loop.status()).toEqual({ running: true, recording: true, begun: 1 });
    run(0.5);
    loop.hold({ lever: 0 });
    run(0.5);
    const hands = loop.stop();
    expect(hands[0]).toEqual({ t: 0, lever: 1, throttle: 0.2 });
    expect(hands.at(-1)).toMatchObject({ lever: 0, throttle: 0.2 });
    expect(hands.at(-1)?.t).toBeCloseTo(1, 6);
    expect(loop.status().recording).toBe(false);
    expect(loop.stop()).toEqual([]);
  });

  it('restarts from standing with the hands where one begins', () => {
    const loop = new RideLoop(single, false);
    loop.hold({ lever: 0, throttle: 0.6 });
    loop.run();
    run(0.5);
    loop.restart();
    expect(loop.held()).toEqual({ lever: 1, throttle: 0 });
    expect(loop.reading().motion).toMatchObject({ t: 0, hub: 0, heat: 0 });
    expect(loop.status().begun).toBe(1);
  });

  it('works the lever of a machine that is not known, and does not run', () => {
    const loop = new RideLoop(cutawayOf({ ...coilPack(), engine: {} }, 90), false);
    loop.run();
    expect(loop.status().running).toBe(false);
    expect(waiting).toBeUndefined();
    expect(loop.reading().motion).toBeUndefined();
    loop.hold({ lever: 0 });
    expect(loop.reading().look.clearance).toBe(0);
    loop.step();
    expect(loop.reading().speeds).toBeUndefined();
  });
});
