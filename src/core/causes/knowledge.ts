/*
 * What clutch trouble comes from, as data. Weights are log-odds in tenths: +10 makes a cause e times as likely
 * against the others, −10 as much less. They are judgements of practice, each with its reason in words, to be argued
 * with one by one. Source: workshop practice; `docs/mechanics.md`, causes.
 */

import { CLUTCH_KINDS } from '../clutch/kinds';
import type { Cause, CauseId, Weight } from './cause';
import { w } from './cause';
import type { ComplaintId } from './complaints';

const OF_KINDS = CLUTCH_KINDS.flatMap(({ causes = {} }) => Object.entries(causes));

export const CAUSES = {
  wornDiscs: { name: 'Worn friction discs', prior: 0 },
  weakSprings: { name: 'Springs gone short or weak', prior: -5 },
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
  idleHigh: { name: 'Idle too high for the take-up', prior: -6 },
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

/** What makes a pack hold less, and does not keep it from letting go. */
const HOLDING = [
  'wornDiscs',
  'weakSprings',
  'wrongOil',
  'glazedDiscs',
  'stackLow',
  'noFreePlay',
] as const;

/** What keeps a pack from letting go, and takes nothing from its hold. */
const RELEASING = [
  'shortLift',
  'airInLine',
  'tooMuchFreePlay',
  'tiltedPlate',
  'stackTall',
  'tightHubNut',
  'tangsBind',
  'thickOil',
] as const;

/** What lets a clutch take up by itself too early. */
const EARLY = ['idleHigh'] as const;

const OF_EVERY_CLUTCH: Readonly<Record<ComplaintId, readonly Weight[]>> = {
  slips: [
    w('wornDiscs', 22, 'Thin discs let the springs out and the clamp falls.'),
    w('weakSprings', 22, 'Short springs clamp less.'),
    w('wrongOil', 24, 'Friction-modified oil takes about a third of the friction.'),
    w('noFreePlay', 20, 'A loaded bearing carries part of the springs’ force.'),
    w('glazedDiscs', 20, 'Glaze lowers friction for good.'),
    w('stackLow', 18, 'A low stack presses coil springs less.'),
    ...against(20, 'It keeps a pack from letting go; what slips has let go.', ...RELEASING),
    ...against(20, 'It takes up early, and slips no more for that.', ...EARLY),
    w('warpedSteels', -6, 'Warp makes a pack drag before it makes it slip.'),
    ...against(12, 'It makes the take-up rough, not the hold weak.', 'notches', 'judderMissing'),
    w('overSprung', -30, 'Too much clamp does not slip.'),
  ],
  drags: [
    w('warpedSteels', 20, 'Warp eats the clearance of its neighbours.'),
    w('shortLift', 22, 'Too little lift leaves no clearance per face.'),
    w('airInLine', 18, 'Air is pressed before the piston moves.'),
    w('tooMuchFreePlay', 18, 'Travel that takes up slack lifts nothing.'),
    w('notches', 14, 'Plates hang in notches instead of sliding apart.'),
    w('tiltedPlate', 16, 'The low side never opens.'),
    w('stackTall', 14, 'A tall pack may leave no room to open.'),
    w('tangsBind', 14, 'A plate that binds stays on its neighbour.'),
    ...against(15, 'It holds less for that; it does not drag.', ...HOLDING),
    w('overSprung', -10, 'A strong spring wants more pull, not more lift.'),
    w('judderMissing', -8, 'It is felt as it takes up, not with the lever in.'),
  ],
  creeps: [
    w('idleHigh', 22, 'Centrifugal parts reach their first contact.'),
    w('shortLift', 6, 'With the lever in, the pack may not quite let go.'),
    ...against(15, 'A clutch that holds less creeps less.', ...HOLDING),
    ...against(10, 'It is felt on the move, not at idle.', 'overSprung', 'judderMissing'),
    w('warpedSteels', 8, 'A warped pack drags without lever.'),
    w('thickOil', 6, 'Cold oil drags plates along.'),
  ],
  neutral: [
    w('shortLift', 18, 'The pack does not quite let go.'),
    w('warpedSteels', 14, 'Warped steels keep the hub turning.'),
    w('tooMuchFreePlay', 14, 'Slack costs lift.'),
    w('airInLine', 12, 'Air costs lift.'),
    w('notches', 12, 'Notches hold plates together.'),
    w('thickOil', 6, 'Cold oil drags.'),
    w('tightHubNut', 8, 'A bound hub is carried round.'),
    ...against(15, 'It holds less for that; it lets go as before.', ...HOLDING),
    ...against(8, 'It is felt as it takes up, not at a standstill.', 'judderMissing'),
  ],
  clunks: [
    w('thickOil', 10, 'Stuck plates let go with the first gear of the day.'),
    w('shortLift', 12, 'The input shaft still turns.'),
    w('idleHigh', 8, 'A fast idle turns a faster shaft.'),
    w('warpedSteels', 8, 'Warped steels keep the shaft turning.'),
    ...against(15, 'It holds less for that; the shaft stands as before.', ...HOLDING),
  ],
  chatters: [
    w('judderMissing', 20, 'The judder spring is there to smooth the take-up.'),
    w('warpedSteels', 14, 'High spots take hold in turn.'),
    w('glazedDiscs', 12, 'Glaze sticks and slips.'),
    w('tiltedPlate', 14, 'The plate takes hold on one side.'),
    w('notches', 12, 'Plates move in jerks along notches.'),
    ...against(
      10,
      'It is a matter of letting go, not of taking up.',
      'shortLift',
      'airInLine',
      'tooMuchFreePlay',
      'stackTall',
      'tightHubNut',
    ),
    ...against(8, 'It slips evenly, without a beat.', 'weakSprings', 'stackLow', 'noFreePlay'),
  ],
  grabby: [
    w('notches', 20, 'Plates hang, then jump.'),
    w('overSprung', 14, 'Strong clamp comes in over little travel.'),
    w('judderMissing', 12, 'Nothing softens the first contact.'),
    w('tangsBind', 10, 'Plates stick on the way in.'),
    ...against(
      12,
      'It takes up more softly for that.',
      'weakSprings',
      'wrongOil',
      'stackLow',
      'noFreePlay',
    ),
    ...against(
      8,
      'It is a matter of letting go, not of taking up.',
      'shortLift',
      'airInLine',
      'tooMuchFreePlay',
      'stackTall',
    ),
  ],
  heavy: [
    w('dryRelease', 22, 'Rubbing in the train is paid by the hand.'),
    w('overSprung', 22, 'Every newton of clamp is lifted by the hand.'),
    ...against(
      20,
      'The hand pulls less for that, if anything.',
      'weakSprings',
      'wornDiscs',
      'stackLow',
    ),
    w('airInLine', -20, 'Air makes a lever soft.'),
    ...against(
      15,
      'The hand does not feel it.',
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
      ...EARLY,
    ),
    w('tooMuchFreePlay', -12, 'Slack is light.'),
  ],
  burnt: [
    w('glazedDiscs', 22, 'That smell is the lining.'),
    w('wornDiscs', 12, 'A slipping pack burns.'),
    w('warpedSteels', 10, 'Heat warps steels.'),
    w('noFreePlay', 12, 'A half-lifted pack slips and burns.'),
    w('wrongOil', 8, 'The wrong oil lets it slip.'),
    ...against(
      8,
      'It drags, and what drags is oiled and cool.',
      'shortLift',
      'airInLine',
      'tooMuchFreePlay',
      'tangsBind',
      'tightHubNut',
    ),
    ...against(10, 'It is felt, and burns nothing.', 'judderMissing', 'idleHigh'),
  ],
  hotDrag: [
    w('fluidHot', 20, 'Old fluid boils, full reservoirs swell.'),
    w('warpedSteels', 14, 'Heat bends what is already bent.'),
    w('tooMuchFreePlay', 8, 'Free play grows with heat on some trains.'),
    w('noFreePlay', 8, 'Free play vanishes with heat on others.'),
    w('airInLine', 10, 'Air grows when it is hot.'),
    w('thickOil', -15, 'Hot oil is thin.'),
    ...against(
      15,
      'It holds less for that; it lets go as before.',
      'wornDiscs',
      'weakSprings',
      'wrongOil',
      'glazedDiscs',
      'stackLow',
    ),
  ],
};

/**
 * What a complaint speaks for and against.
 * @example complaintWeights('heavy').length > 5 // true
 */
export const complaintWeights = (complaint: ComplaintId): readonly Weight[] => [
  ...OF_EVERY_CLUTCH[complaint],
  ...OF_KINDS.flatMap(([id, { complaints }]) => {
    const [tenths, because] = complaints[complaint] ?? [];
    return tenths === undefined || because === undefined ? [] : [w(id as CauseId, tenths, because)];
  }),
];
