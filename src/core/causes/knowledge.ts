/*
 * Causes of clutch trouble, as data. Weights are log-odds in tenths: +10 makes a cause e times as likely, −10 as much less.
 * They are judgements of practice, each with its reason, open to discussion one by one. Source: workshop practice;
 * `docs/mechanics.md`, causes.
 */

import { CLUTCH_KINDS } from '../clutch/kinds';
import type { Cause, CauseId, Weight } from './cause';
import { w } from './cause';
import type { ComplaintId } from './complaints';

const OF_KINDS = CLUTCH_KINDS.flatMap(({ causes = {} }) => Object.entries(causes));

export const CAUSES = {
  wornDiscs: { name: 'Worn friction discs', prior: 0 },
  weakSprings: { name: 'Springs short or weak', prior: -5 },
  wrongOil: { name: 'Oil not meant for wet clutches', prior: -7 },
  noFreePlay: { name: 'No free play: the bearing carries load', prior: -5 },
  glazedDiscs: { name: 'Glazed or burnt lining', prior: -6 },
  stackLow: { name: 'Stack too low for the springs', prior: -9 },
  warpedSteels: { name: 'Warped steels', prior: -3 },
  shortLift: { name: 'Too little lift from the train', prior: -4 },
  airInLine: { name: 'Air in the hydraulic line', prior: -7 },
  tooMuchFreePlay: { name: 'Too much free play or slack', prior: -3 },
  notches: { name: 'Notched basket fingers or hub splines', prior: -5 },
  tiltedPlate: { name: 'Pressure plate lifts on one side', prior: -9 },
  stackTall: { name: 'Stack too tall, no room to open', prior: -12 },
  tightHubNut: { name: 'Hub bound by its nut or a missing thrust washer', prior: -13 },
  thickOil: { name: 'Cold or thick oil', prior: -6 },
  judderMissing: { name: 'Judder spring or seat missing or turned', prior: -12 },
  dryRelease: { name: 'Dry cable or worn release parts', prior: -5 },
  overSprung: { name: 'More clamp than the engine needs', prior: -9 },
  idleHigh: { name: 'Idle too high for the engagement speed', prior: -6 },
  fluidHot: { name: 'Fluid boils or swells when hot', prior: -11 },
  tangsBind: { name: 'Tangs bind in their slots', prior: -11 },
  ...Object.fromEntries(OF_KINDS),
} as Readonly<Record<CauseId, Cause>>;

/** One reason against several causes. */
const against = (
  tenths: number,
  because: string,
  ...causes: readonly CauseId[]
): readonly Weight[] => causes.map((cause) => w(cause, -tenths, because));

/** Causes that lower the torque reserve and do not affect release. */
const RESERVE_CAUSES = [
  'wornDiscs',
  'weakSprings',
  'wrongOil',
  'glazedDiscs',
  'stackLow',
  'noFreePlay',
] as const;

/** Causes that affect release and do not lower the torque reserve. */
const RELEASE_CAUSES = [
  'shortLift',
  'airInLine',
  'tooMuchFreePlay',
  'tiltedPlate',
  'stackTall',
  'tightHubNut',
  'tangsBind',
  'thickOil',
] as const;

/** Against causes that do not change how the pack releases. */
const LOWERS_RESERVE = against(
  15,
  'Lowers the torque reserve; release is unchanged.',
  'wornDiscs',
  'weakSprings',
  'wrongOil',
  'glazedDiscs',
  'stackLow',
);

/** Causes of engagement at too low a speed. */
const EARLY_ENGAGEMENT = ['idleHigh'] as const;

const OF_EVERY_CLUTCH: Readonly<Record<ComplaintId, readonly Weight[]>> = {
  slips: [
    w('wornDiscs', 22, 'Thin discs let the springs extend and the clamp falls.'),
    w('weakSprings', 22, 'Short springs clamp less.'),
    w('wrongOil', 24, 'Friction-modified oil removes about a third of the friction.'),
    w('noFreePlay', 20, 'A loaded bearing carries part of the spring force.'),
    w('glazedDiscs', 20, 'Glazing lowers friction permanently.'),
    w('stackLow', 18, 'A low stack compresses coil springs less.'),
    ...against(20, 'Drag is the opposite fault: a slipping pack does release.', ...RELEASE_CAUSES),
    ...against(20, 'Causes early engagement, not slip.', ...EARLY_ENGAGEMENT),
    w('warpedSteels', -6, 'Warp causes drag before it causes slip.'),
    ...against(12, 'Makes engagement rough, not the clutch weak.', 'notches', 'judderMissing'),
    w('overSprung', -30, 'Too much clamp does not cause slip.'),
  ],
  drags: [
    w('warpedSteels', 20, 'Warp takes clearance from the neighbouring plates.'),
    w('shortLift', 22, 'Too little lift leaves no clearance per face.'),
    w('airInLine', 18, 'Air compresses before the piston moves.'),
    w('tooMuchFreePlay', 18, 'Slack uses up lever travel without lift.'),
    w('notches', 14, 'Plates catch in notches instead of separating.'),
    w('tiltedPlate', 16, 'The low side never opens.'),
    w('stackTall', 14, 'A tall pack may leave no room to open.'),
    w('tangsBind', 14, 'A plate that binds stays on its neighbour.'),
    ...against(15, 'Lowers the torque reserve; does not cause drag.', ...RESERVE_CAUSES),
    w('overSprung', -10, 'A strong spring needs more pull, not more lift.'),
    w('judderMissing', -8, 'Shows during engagement, not with the lever in.'),
  ],
  creeps: [
    w('idleHigh', 22, 'Centrifugal parts reach first contact.'),
    w('shortLift', 6, 'With the lever in, the pack may not release fully.'),
    ...against(15, 'A weaker clutch creeps less.', ...RESERVE_CAUSES),
    ...against(10, 'Shows on the move, not at idle.', 'overSprung', 'judderMissing'),
    w('warpedSteels', 8, 'A warped pack drags with the lever out or in.'),
    w('thickOil', 6, 'Cold oil drags the plates along.'),
  ],
  neutral: [
    w('shortLift', 18, 'The pack may not release fully.'),
    w('warpedSteels', 14, 'Warped steels keep the hub turning.'),
    w('tooMuchFreePlay', 14, 'Slack reduces lift.'),
    w('airInLine', 12, 'Air reduces lift.'),
    w('notches', 12, 'Notches hold plates together.'),
    w('thickOil', 6, 'Cold oil drags.'),
    w('tightHubNut', 8, 'A bound hub turns with the basket.'),
    ...against(15, 'Lowers the torque reserve; release is unchanged.', ...RESERVE_CAUSES),
    ...against(8, 'Shows during engagement, not at a standstill.', 'judderMissing'),
  ],
  clunks: [
    w('thickOil', 10, 'Stuck plates separate with the first gear of the day.'),
    w('shortLift', 12, 'The input shaft keeps turning.'),
    w('idleHigh', 8, 'A high idle turns the shaft faster.'),
    w('warpedSteels', 8, 'Warped steels keep the shaft turning.'),
    ...against(15, 'Lowers the torque reserve; the shaft stops as before.', ...RESERVE_CAUSES),
  ],
  chatters: [
    w('judderMissing', 20, 'The judder spring smooths engagement.'),
    w('warpedSteels', 14, 'High spots engage in turn.'),
    w('glazedDiscs', 12, 'Glazed lining sticks and slips.'),
    w('tiltedPlate', 14, 'The plate engages on one side.'),
    w('notches', 12, 'Plates move in jerks along notches.'),
    ...against(
      10,
      'Affects release, not engagement.',
      'shortLift',
      'airInLine',
      'tooMuchFreePlay',
      'stackTall',
      'tightHubNut',
    ),
    ...against(8, 'Slip is even, without a beat.', 'weakSprings', 'stackLow', 'noFreePlay'),
  ],
  grabby: [
    w('notches', 20, 'Plates catch, then jump.'),
    w('overSprung', 14, 'High clamp builds up over little travel.'),
    w('judderMissing', 12, 'Nothing softens the first contact.'),
    w('tangsBind', 10, 'Plates stick while closing.'),
    ...against(12, 'Makes engagement softer.', 'weakSprings', 'wrongOil', 'stackLow', 'noFreePlay'),
    ...against(
      8,
      'Affects release, not engagement.',
      'shortLift',
      'airInLine',
      'tooMuchFreePlay',
      'stackTall',
    ),
  ],
  heavy: [
    w('dryRelease', 22, 'Friction in the train adds to the pull.'),
    w('overSprung', 22, 'The lever works against all of the clamp.'),
    ...against(20, 'Makes the lever lighter, if anything.', 'weakSprings', 'wornDiscs', 'stackLow'),
    w('airInLine', -20, 'Air makes the lever soft.'),
    ...against(
      15,
      'Not felt at the lever.',
      'wrongOil',
      'glazedDiscs',
      'warpedSteels',
      'notches',
      'tangsBind',
      'judderMissing',
      'thickOil',
      'tightHubNut',
      'tiltedPlate',
      'fluidHot',
      ...EARLY_ENGAGEMENT,
    ),
    w('tooMuchFreePlay', -12, 'Slack makes the lever light.'),
  ],
  burnt: [
    w('glazedDiscs', 22, 'The smell is burnt lining.'),
    w('wornDiscs', 12, 'A slipping pack burns.'),
    w('warpedSteels', 10, 'Heat warps steels.'),
    w('noFreePlay', 12, 'A half-lifted pack slips and burns.'),
    w('wrongOil', 8, 'The wrong oil lets it slip.'),
    ...against(
      8,
      'A dragging pack is oiled and cool.',
      'shortLift',
      'airInLine',
      'tooMuchFreePlay',
      'tangsBind',
      'tightHubNut',
    ),
    ...against(10, 'Can be felt, but burns nothing.', 'judderMissing', 'idleHigh'),
  ],
  hotDrag: [
    w('fluidHot', 20, 'Old fluid boils; full reservoirs overflow.'),
    w('warpedSteels', 14, 'Heat increases existing warp.'),
    w('tooMuchFreePlay', 8, 'Free play grows with heat on some trains.'),
    w('noFreePlay', 8, 'Free play disappears with heat on others.'),
    w('airInLine', 10, 'Air expands when hot.'),
    w('thickOil', -15, 'Hot oil is thin.'),
    ...LOWERS_RESERVE,
  ],
  coldOnly: [
    w(
      'thickOil',
      30,
      'Cold oil is many times thicker: it drags the plates along until it is warm.',
    ),
    w('shortLift', 12, 'Little clearance per face drags more in cold oil.'),
    w('warpedSteels', 4, 'Warp leaves little clearance for cold oil.'),
    w('fluidHot', -30, 'Heat is not the cause.'),
    ...against(12, 'It would drag when warm too.', 'tightHubNut', 'stackTall', 'notches'),
    ...LOWERS_RESERVE,
  ],
  overrunChatter: [
    w('notches', 14, 'Plates catch in the notches as the load turns round.'),
    w('judderMissing', 8, 'Take-up is not smoothed either way.'),
    ...against(10, 'Felt with the lever in, not on overrun.', ...RELEASE_CAUSES),
  ],
  powerSlip: [
    w('weakSprings', 16, 'Reserve runs out at the highest torque first.'),
    w('wornDiscs', 14, 'Reserve runs out at the highest torque first.'),
    w('wrongOil', 14, 'Reserve runs out at the highest torque first.'),
    w('glazedDiscs', 10, 'Reserve runs out at the highest torque first.'),
    ...against(15, 'Affects release, not the torque reserve.', ...RELEASE_CAUSES),
  ],
  weakReturn: [
    w('dryRelease', 28, 'Friction of the train works against the springs on the way back.'),
    w('tangsBind', 16, 'Plates that bind hold the pack open.'),
    w('warpedSteels', 6, 'A bent plate rubs on its spline.'),
    w('weakSprings', 12, 'Weak springs push back weakly.'),
    w('overSprung', -25, 'Strong springs return the lever hard.'),
    ...against(10, 'Not felt on the way back.', 'wornDiscs', 'glazedDiscs', 'wrongOil'),
  ],
};

/**
 * The weights of a complaint, for and against causes.
 * @example complaintWeights('heavy').length > 5 // true
 */
export const complaintWeights = (complaint: ComplaintId): readonly Weight[] => [
  ...OF_EVERY_CLUTCH[complaint],
  ...OF_KINDS.flatMap(([id, { complaints }]) => {
    const [tenths, because] = complaints[complaint] ?? [];
    return tenths === undefined || because === undefined ? [] : [w(id as CauseId, tenths, because)];
  }),
];
