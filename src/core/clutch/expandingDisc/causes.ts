import type { KindCause, MeasuredWeight, DecidingTest } from '../../causes/cause';
import { bad, good, w } from '../../causes/cause';
import type { FigureId, Outcome } from '../../evaluate/engine/figure';
import type { Verdict } from '../../evaluate/engine/verdict';
import type { Job } from '../../job/types';

const ONLY_LOWERS_RESERVE = 'Lowers the torque reserve; release is unchanged.';
const NOT_FELT = 'Not felt at the lever.';

export const EXPANDING_CAUSES = {
  gapSmall: {
    name: 'Install gap too small',
    prior: -10,
    complaints: {
      slips: [-20, 'Causes early engagement, not slip.'],
      creeps: [18, 'An expanding disc makes contact too early.'],
      grabby: [8, 'An expanding disc engages too early.'],
      heavy: [-15, NOT_FELT],
    },
  },
  gapWide: {
    name: 'Install gap too wide',
    prior: -10,
    complaints: {
      slips: [16, 'With too wide a gap the disc presses late or never fully.'],
      drags: [-15, 'Lowers the torque reserve; does not cause drag.'],
      creeps: [-15, 'A weaker clutch creeps less.'],
      neutral: [-15, ONLY_LOWERS_RESERVE],
      clunks: [-15, 'Lowers the torque reserve; the shaft stops as before.'],
      grabby: [-12, 'Makes engagement softer.'],
      heavy: [-15, NOT_FELT],
      burnt: [10, 'With late engagement it slips at every start.'],
      hotDrag: [-15, ONLY_LOWERS_RESERVE],
    },
  },
} as const satisfies Readonly<Record<string, KindCause>>;

export const EXPANDING_TESTS: Readonly<Record<string, DecidingTest>> = {
  gainReading: {
    name: 'Lever gain at a blip',
    minutes: 5,
    outcomes: [
      bad('Too much', [
        w('gapSmall', 28, 'The gap closes early.'),
        w('gapWide', -35, 'The gap closes early.'),
      ]),
      {
        id: 'little',
        label: 'Too little, or none',
        weights: [
          w('gapWide', 28, 'Little growth is left once the gap is closed.'),
          w('gapSmall', -35, 'The gap uses up most of the growth.'),
        ],
      },
      good([w('gapSmall', -28, 'On target.'), w('gapWide', -28, 'On target.')]),
    ],
  },
};

/**
 * Weights from the verdict on engagement: early by its first contact, late if it locks up late or never engages.
 * @example weighEngagement({ id: 'holds', state: 'good', title: '', sentence: [], figures: [] }, new Map()).length // 0
 */
export function weighEngagement(
  { id, state, title, figures: restsOn }: Verdict,
  figures: ReadonlyMap<FigureId, Outcome>,
): MeasuredWeight[] {
  if (id !== 'auto' || state === 'unknown') return [];
  const early =
    figures.get('expandContact')?.status === 'known' && !restsOn.includes('expandLockUp');
  const is = state === 'stop';
  const fine = state === 'good';
  const at = (wrong: boolean) => (fine || !wrong ? -20 : is ? 26 : 14);
  const from = 'Expanding disc';
  return [
    { cause: 'gapSmall', tenths: at(early), because: title, from },
    { cause: 'gapWide', tenths: at(!early), because: title, from },
    ...(early && !fine
      ? [{ cause: 'idleHigh', tenths: is ? 12 : 6, because: title, from } as const]
      : []),
  ];
}

/**
 * Rules out causes in parts the machine does not have.
 * @example weighAbsent(twin).length // 2
 */
export const weighAbsent = ({ machine, expanding }: Job): MeasuredWeight[] =>
  machine.layout === 'unknown' || expanding.fitted
    ? []
    : (['gapSmall', 'gapWide'] as const).map((cause) => ({
        cause,
        tenths: -40,
        because: 'No expanding disc is fitted.',
        from: 'The machine',
      }));
