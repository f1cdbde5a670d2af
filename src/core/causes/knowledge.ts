/*
 * What clutch trouble comes from, as data. Weights are log-odds in tenths: +10 makes a cause e times as likely
 * against the others, −10 as much less. They are judgements of practice, each with its reason in words, to be argued
 * with one by one. Source: workshop practice; `docs/mechanics.md`, causes.
 */

export type ComplaintId =
  | 'slips'
  | 'drags'
  | 'creeps'
  | 'neutral'
  | 'clunks'
  | 'chatters'
  | 'grabby'
  | 'heavy'
  | 'burnt'
  | 'hotDrag';

export const COMPLAINTS: Readonly<Record<ComplaintId, string>> = {
  slips: 'Slips',
  drags: 'Drags with the lever in',
  creeps: 'Creeps at idle',
  neutral: 'Neutral hard to find',
  clunks: 'Clunks into gear',
  chatters: 'Chatters on take-off',
  grabby: 'Grabby',
  heavy: 'Heavy lever',
  burnt: 'Burnt smell',
  hotDrag: 'Won’t release when hot',
};

export type CauseId =
  | 'wornDiscs'
  | 'weakSprings'
  | 'wrongOil'
  | 'noFreePlay'
  | 'glazedDiscs'
  | 'stackLow'
  | 'warpedSteels'
  | 'shortLift'
  | 'airInLine'
  | 'tooMuchFreePlay'
  | 'notches'
  | 'tiltedPlate'
  | 'stackTall'
  | 'tightHubNut'
  | 'thickOil'
  | 'judderMissing'
  | 'mixedSprings'
  | 'dryRelease'
  | 'overSprung'
  | 'idleHigh'
  | 'gapSmall'
  | 'shoeSpring'
  | 'fluidHot'
  | 'tangsBind';

export type TestId =
  | 'oilGrade'
  | 'freePlay'
  | 'leverPump'
  | 'dialLift'
  | 'liftRound'
  | 'discThickness'
  | 'springLength'
  | 'steelFlatness'
  | 'basketNotches'
  | 'stackHeight'
  | 'idleSpeed'
  | 'cableFeel'
  | 'hubSpin'
  | 'judderPresent'
  | 'coldHot'
  | 'discLook'
  | 'tangClearance'
  | 'springKinds'
  | 'gainReading'
  | 'shoeContact';

/** A weight for or against a cause, in tenths of log-odds, with its reason. */
export interface Weight {
  readonly cause: CauseId;
  readonly tenths: number;
  readonly because: string;
}

export interface Cause {
  readonly name: string;
  /** How common it is among all clutch trouble, in tenths of log-odds. */
  readonly prior: number;
}

export const CAUSES: Readonly<Record<CauseId, Cause>> = {
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
  mixedSprings: { name: 'Two spring kinds fitted unevenly', prior: -14 },
  dryRelease: { name: 'Dry cable or worn release parts', prior: -5 },
  overSprung: { name: 'More clamp than the engine needs', prior: -9 },
  idleHigh: { name: 'Idle too high for the take-up', prior: -6 },
  gapSmall: { name: 'Install gap too small', prior: -10 },
  shoeSpring: { name: 'Weak springs of the start clutch', prior: -8 },
  fluidHot: { name: 'Fluid boils or swells when hot', prior: -11 },
  tangsBind: { name: 'Tangs bind in their slots', prior: -11 },
};

const w = (cause: CauseId, tenths: number, because: string): Weight => ({ cause, tenths, because });

/** What a complaint speaks for and against. */
export const COMPLAINT_WEIGHTS: Readonly<Record<ComplaintId, readonly Weight[]>> = {
  slips: [
    w('wornDiscs', 22, 'Thin discs let the springs out and the clamp falls.'),
    w('weakSprings', 22, 'Short springs clamp less.'),
    w('wrongOil', 24, 'Friction-modified oil takes about a third of the friction.'),
    w('noFreePlay', 20, 'A loaded bearing carries part of the springs’ force.'),
    w('glazedDiscs', 20, 'Glaze lowers friction for good.'),
    w('stackLow', 18, 'A low stack presses coil springs less.'),
    w('shortLift', -20, 'Lift has nothing to do with holding.'),
    w('warpedSteels', -6, 'Warp makes a pack drag before it makes it slip.'),
    w('airInLine', -20, 'Air costs lift, not clamp.'),
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
    w('wornDiscs', -12, 'Worn discs hold less, they do not drag more.'),
    w('weakSprings', -15, 'Weak springs let go easily.'),
  ],
  creeps: [
    w('idleHigh', 22, 'Centrifugal parts reach their first contact.'),
    w('gapSmall', 18, 'An expanding disc touches too early.'),
    w('shoeSpring', 20, 'Shoes that are held too weakly swing out at idle.'),
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
  ],
  clunks: [
    w('thickOil', 10, 'Stuck plates let go with the first gear of the day.'),
    w('shortLift', 12, 'The input shaft still turns.'),
    w('idleHigh', 8, 'A fast idle turns a faster shaft.'),
    w('warpedSteels', 8, 'Warped steels keep the shaft turning.'),
  ],
  chatters: [
    w('judderMissing', 20, 'The judder spring is there to smooth the take-up.'),
    w('warpedSteels', 14, 'High spots take hold in turn.'),
    w('glazedDiscs', 12, 'Glaze sticks and slips.'),
    w('mixedSprings', 16, 'The plate takes hold on one side.'),
    w('tiltedPlate', 14, 'The plate takes hold on one side.'),
    w('notches', 12, 'Plates move in jerks along notches.'),
  ],
  grabby: [
    w('notches', 20, 'Plates hang, then jump.'),
    w('overSprung', 14, 'Strong clamp comes in over little travel.'),
    w('judderMissing', 12, 'Nothing softens the first contact.'),
    w('tangsBind', 10, 'Plates stick on the way in.'),
    w('gapSmall', 8, 'An expanding disc comes in too early.'),
  ],
  heavy: [
    w('dryRelease', 22, 'Rubbing in the train is paid by the hand.'),
    w('overSprung', 22, 'Every newton of clamp is lifted by the hand.'),
    w('mixedSprings', 6, 'Stronger springs may have been put in.'),
    w('weakSprings', -20, 'Weak springs pull lightly.'),
  ],
  burnt: [
    w('glazedDiscs', 22, 'That smell is the lining.'),
    w('wornDiscs', 12, 'A slipping pack burns.'),
    w('warpedSteels', 10, 'Heat warps steels.'),
    w('noFreePlay', 12, 'A half-lifted pack slips and burns.'),
    w('wrongOil', 8, 'The wrong oil lets it slip.'),
  ],
  hotDrag: [
    w('fluidHot', 20, 'Old fluid boils, full reservoirs swell.'),
    w('warpedSteels', 14, 'Heat bends what is already bent.'),
    w('tooMuchFreePlay', 8, 'Free play grows with heat on some trains.'),
    w('noFreePlay', 8, 'Free play vanishes with heat on others.'),
    w('airInLine', 10, 'Air grows when it is hot.'),
    w('thickOil', -15, 'Hot oil is thin.'),
  ],
};

export interface Outcome {
  readonly id: string;
  readonly label: string;
  readonly weights: readonly Weight[];
}

export interface TellingTest {
  readonly name: string;
  /** Minutes at the bench: what makes a test cheap. */
  readonly minutes: number;
  readonly outcomes: readonly Outcome[];
}

const good = (weights: readonly Weight[], label = 'In order'): Outcome => ({
  id: 'good',
  label,
  weights,
});
const bad = (label: string, weights: readonly Weight[]): Outcome => ({ id: 'bad', label, weights });

export const TESTS: Readonly<Record<TestId, TellingTest>> = {
  oilGrade: {
    name: 'Read the oil’s grade from its can',
    minutes: 1,
    outcomes: [
      bad('Not for wet clutches', [w('wrongOil', 35, 'The can says it.')]),
      good([w('wrongOil', -40, 'Right grade.')], 'JASO MA or MA2'),
    ],
  },
  freePlay: {
    name: 'Free play at the lever',
    minutes: 1,
    outcomes: [
      {
        id: 'none',
        label: 'None',
        weights: [
          w('noFreePlay', 35, 'The lever has none.'),
          w('tooMuchFreePlay', -40, 'There is none at all.'),
        ],
      },
      {
        id: 'much',
        label: 'Too much',
        weights: [
          w('tooMuchFreePlay', 30, 'More than the manual allows.'),
          w('noFreePlay', -40, 'There is plenty.'),
        ],
      },
      good(
        [w('noFreePlay', -35, 'By the manual.'), w('tooMuchFreePlay', -30, 'By the manual.')],
        'By the manual',
      ),
    ],
  },
  leverPump: {
    name: 'Pump the lever and feel',
    minutes: 1,
    outcomes: [
      bad('Gets firmer', [w('airInLine', 30, 'Air is pressed together.')]),
      good([w('airInLine', -25, 'Firm from the first.')], 'Firm at once'),
    ],
  },
  idleSpeed: {
    name: 'Idle on a rev counter',
    minutes: 2,
    outcomes: [
      bad('Too high', [w('idleHigh', 28, 'Measured.')]),
      good([w('idleHigh', -35, 'By the manual.')]),
    ],
  },
  coldHot: {
    name: 'Try it cold and warm',
    minutes: 10,
    outcomes: [
      {
        id: 'cold',
        label: 'Only cold',
        weights: [
          w('thickOil', 28, 'Gone once warm.'),
          w('warpedSteels', -10, 'Warp stays when warm.'),
          w('fluidHot', -30, 'Heat is not to blame.'),
        ],
      },
      {
        id: 'hot',
        label: 'Only hot',
        weights: [
          w('fluidHot', 18, 'Comes with heat.'),
          w('thickOil', -35, 'Not the oil’s thickness.'),
        ],
      },
      good(
        [
          w('thickOil', -15, 'Cold makes no difference.'),
          w('fluidHot', -15, 'Heat makes no difference.'),
        ],
        'No difference',
      ),
    ],
  },
  cableFeel: {
    name: 'Cable off: feel it slide',
    minutes: 5,
    outcomes: [
      bad('Rough or stiff', [w('dryRelease', 28, 'Felt.')]),
      good([w('dryRelease', -18, 'Slides freely.')]),
    ],
  },
  gainReading: {
    name: 'Lever gain at a blip',
    minutes: 5,
    outcomes: [
      bad('Too much', [w('gapSmall', 28, 'The gap closes early.')]),
      good([w('gapSmall', -28, 'On target.')]),
    ],
  },
  shoeContact: {
    name: 'Rpm at which the start clutch takes hold',
    minutes: 5,
    outcomes: [
      bad('At or near idle', [w('shoeSpring', 25, 'The shoes come out early.')]),
      good([w('shoeSpring', -28, 'Clear of idle.')]),
    ],
  },
  dialLift: {
    name: 'Dial on the pressure plate',
    minutes: 15,
    outcomes: [
      bad('Less than needed', [
        w('shortLift', 30, 'Measured.'),
        w('warpedSteels', -4, 'Lift alone explains it.'),
      ]),
      good([
        w('shortLift', -35, 'Enough lift.'),
        w('airInLine', -20, 'Enough lift.'),
        w('tooMuchFreePlay', -20, 'Enough lift.'),
      ]),
    ],
  },
  liftRound: {
    name: 'Lift at three points round the plate',
    minutes: 20,
    outcomes: [
      bad('One side less', [
        w('tiltedPlate', 30, 'Measured.'),
        w('mixedSprings', 10, 'Uneven springs tilt it.'),
      ]),
      good([w('tiltedPlate', -35, 'Even.'), w('mixedSprings', -20, 'Even.')]),
    ],
  },
  discThickness: {
    name: 'Thickness of every disc',
    minutes: 30,
    outcomes: [
      bad('Below the limit', [w('wornDiscs', 35, 'Measured.')]),
      good([w('wornDiscs', -35, 'All within limits.')]),
    ],
  },
  discLook: {
    name: 'Look at the lining',
    minutes: 30,
    outcomes: [
      bad('Glazed, black or loose', [w('glazedDiscs', 35, 'Seen.')]),
      good([w('glazedDiscs', -30, 'Clean lining.')]),
    ],
  },
  springLength: {
    name: 'Free length of every spring',
    minutes: 30,
    outcomes: [
      bad('Short', [w('weakSprings', 32, 'Measured.')]),
      good([w('weakSprings', -28, 'Long enough.')]),
    ],
  },
  springKinds: {
    name: 'Compare the springs',
    minutes: 30,
    outcomes: [
      bad('Two kinds', [w('mixedSprings', 28, 'Seen.')]),
      good([w('mixedSprings', -30, 'All alike.')]),
    ],
  },
  steelFlatness: {
    name: 'Steels on a surface plate',
    minutes: 35,
    outcomes: [
      bad('Out of flat', [w('warpedSteels', 35, 'Measured.')]),
      good([w('warpedSteels', -38, 'All flat.')]),
    ],
  },
  stackHeight: {
    name: 'Caliper over the pack',
    minutes: 35,
    outcomes: [
      {
        id: 'low',
        label: 'Below the window',
        weights: [w('stackLow', 32, 'Measured.'), w('stackTall', -40, 'It is low.')],
      },
      {
        id: 'tall',
        label: 'Above the window',
        weights: [w('stackTall', 32, 'Measured.'), w('stackLow', -40, 'It is tall.')],
      },
      good(
        [w('stackLow', -32, 'In its window.'), w('stackTall', -32, 'In its window.')],
        'In its window',
      ),
    ],
  },
  basketNotches: {
    name: 'Notches in fingers and splines',
    minutes: 35,
    outcomes: [bad('Notched', [w('notches', 30, 'Felt.')]), good([w('notches', -32, 'Smooth.')])],
  },
  tangClearance: {
    name: 'Clearance of tangs in their slots',
    minutes: 40,
    outcomes: [
      bad('Tight', [w('tangsBind', 30, 'Measured.')]),
      good([w('tangsBind', -28, 'Free.')]),
    ],
  },
  judderPresent: {
    name: 'Judder spring and seat in place',
    minutes: 35,
    outcomes: [
      bad('Missing or turned', [w('judderMissing', 35, 'Seen.')]),
      good([w('judderMissing', -35, 'In place.')]),
    ],
  },
  hubSpin: {
    name: 'Turn the hub by hand',
    minutes: 35,
    outcomes: [
      bad('Binds', [w('tightHubNut', 32, 'Felt.')]),
      good([w('tightHubNut', -32, 'Turns freely.')]),
    ],
  },
};
