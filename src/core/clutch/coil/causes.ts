import type { KindCause, MeasuredWeight, DecidingTest } from '../../causes/cause';
import { bad, good, w } from '../../causes/cause';
import type { Verdict } from '../../evaluate/engine/verdict';

const ONE_SIDE = 'The plate engages on one side.';

export const COIL_CAUSES = {
  mixedSprings: {
    name: 'Two spring kinds fitted unevenly',
    prior: -14,
    complaints: {
      creeps: [-10, 'Shows on the move, not at idle.'],
      neutral: [-8, 'Shows during engagement, not at a standstill.'],
      chatters: [16, ONE_SIDE],
      heavy: [6, 'Stronger springs may have been fitted.'],
    },
  },
} as const satisfies Readonly<Record<string, KindCause>>;

export const COIL_TESTS: Readonly<Record<string, DecidingTest>> = {
  springKinds: {
    name: 'Compare the springs',
    minutes: 30,
    outcomes: [
      bad('Two kinds', [w('mixedSprings', 28, 'Seen.')]),
      good([w('mixedSprings', -30, 'All identical.')]),
    ],
  },
};

/**
 * Weights from the verdict on the spring ring.
 * @example weighRing({ id: 'ring', state: 'good', title: '', sentence: [], figures: [] })[0].tenths // -25
 */
export const weighRing = ({ id, state, title }: Verdict): MeasuredWeight[] =>
  id === 'ring' && (state === 'stop' || state === 'good')
    ? [
        {
          cause: 'mixedSprings',
          tenths: state === 'stop' ? 28 : -25,
          because: title,
          from: 'Spring ring',
        },
      ]
    : [];
