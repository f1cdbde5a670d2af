import { check, DomainError } from '../errors';
import { valueAlong } from '../points';
import type { Second } from '../units/quantity';

/** Lever and throttle position over time; linear between moments, constant before the first and after the last. */
export interface HandMoment {
  readonly t: Second;
  /** 0 let out, 1 pulled to the bar. */
  readonly lever: number;
  /** 0 closed, 1 wide open. */
  readonly throttle: number;
}

/** The two hands over a start: a ready way, or recorded. */
export type Hands = readonly HandMoment[];

const SHARE = { min: 0, max: 1 } as const;
const LONGEST: Second = 120;

/**
 * Lever and throttle at a time.
 * @param t seconds from the beginning of the hands
 * @example handsAt([{ t: 0, lever: 1, throttle: 0 }, { t: 2, lever: 0, throttle: 1 }], 1).lever // 0.5
 */
export function handsAt(hands: Hands, t: Second): Omit<HandMoment, 't'> {
  const now = (valueOf: (m: HandMoment) => number) => valueAlong(hands, t, (m) => m.t, valueOf);
  return { lever: now((m) => m.lever), throttle: now((m) => m.throttle) };
}

/**
 * @throws {DomainError} for fewer than two moments, moments out of order, or a lever or throttle beyond 0 to 1
 * @example checkHands([{ t: 0, lever: 1, throttle: 0 }, { t: 2, lever: 0, throttle: 1 }]) // nothing: they can be followed
 */
export function checkHands(hands: Hands): void {
  if (hands.length < 2) throw new DomainError('hands', 'two moments or more', hands.length);
  hands.forEach((m, i) => {
    const before = hands[i - 1];
    check(`hands.${i}.t`, m.t, before ? { above: before.t, max: LONGEST } : { min: 0 });
    check(`hands.${i}.lever`, m.lever, SHARE);
    check(`hands.${i}.throttle`, m.throttle, SHARE);
  });
}

export type WayId = 'gentle' | 'hill' | 'race' | 'handsOff' | 'mud' | 'stall';

export interface Way {
  readonly name: string;
  /** Description in one sentence. */
  readonly about: string;
  readonly hands: Hands;
  /** Whether the engine idles at the start, or turns at the speed in the job. */
  readonly from: 'idle' | 'start';
  /** Added to the grade of the job. */
  readonly grade: number;
  /** Starts one after the other, and the rest between them; once where it does not say. */
  readonly repeated?: { readonly starts: number; readonly rest: Second };
}

/**
 * A start by hands that were recorded: from idle, as the recording began.
 * @example recordedWay([{ t: 0, lever: 1, throttle: 0 }, { t: 2, lever: 0, throttle: 1 }]).hands.length // 2
 */
export const recordedWay = (hands: Hands): Way => ({
  name: 'Your own hands',
  about: 'As recorded with the two thumbs of the cutaway.',
  hands,
  from: 'idle',
  grade: 0,
});

/** Predefined types of start. The hand movements are assumed values; grades are rise over run. */
export const WAYS: Readonly<Record<WayId, Way>> = {
  gentle: {
    name: 'Gentle',
    about: 'A little throttle, the lever released over 1.5 s.',
    hands: [
      { t: 0, lever: 1, throttle: 0.25 },
      { t: 0.3, lever: 0.7, throttle: 0.3 },
      { t: 1.8, lever: 0, throttle: 0.4 },
    ],
    from: 'start',
    grade: 0,
  },
  hill: {
    name: 'On a hill',
    about: 'Half throttle, the lever released over 2 s, a gradient 20 % steeper than in the job.',
    hands: [
      { t: 0, lever: 1, throttle: 0.5 },
      { t: 0.3, lever: 0.7, throttle: 0.55 },
      { t: 2.3, lever: 0, throttle: 0.7 },
    ],
    from: 'start',
    grade: 0.2,
  },
  race: {
    name: 'Race start',
    about: 'Wide open, the lever released in 0.6 s.',
    hands: [
      { t: 0, lever: 1, throttle: 1 },
      { t: 0.1, lever: 0.7, throttle: 1 },
      { t: 0.7, lever: 0, throttle: 1 },
    ],
    from: 'start',
    grade: 0,
  },
  handsOff: {
    name: 'Hands off',
    about: 'The lever not used, the throttle opened from idle over 1 s: for an automatic clutch.',
    hands: [
      { t: 0, lever: 0, throttle: 0 },
      { t: 0.3, lever: 0, throttle: 0.05 },
      { t: 1.3, lever: 0, throttle: 0.6 },
    ],
    from: 'idle',
    grade: 0,
  },
  mud: {
    name: 'Starts in mud',
    about: 'Twenty starts, four seconds apart, at three-quarter throttle with drag like a slope.',
    hands: [
      { t: 0, lever: 1, throttle: 0.75 },
      { t: 0.2, lever: 0.7, throttle: 0.75 },
      { t: 1.2, lever: 0, throttle: 0.8 },
    ],
    from: 'start',
    grade: 0.15,
    repeated: { starts: 20, rest: 4 },
  },
  stall: {
    name: 'Dumped at idle',
    about: 'The lever released in 0.1 s with the throttle closed.',
    hands: [
      { t: 0, lever: 1, throttle: 0 },
      { t: 0.1, lever: 0, throttle: 0 },
    ],
    from: 'idle',
    grade: 0,
  },
};
