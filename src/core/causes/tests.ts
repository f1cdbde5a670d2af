import { CLUTCH_KINDS } from '../clutch/kinds';
import type { DecidingTest, TestId } from './cause';
import { bad, good, w } from './cause';

/* Checks at the machine that separate causes, with the weights of each outcome. Source: as for the causes. */

const OF_EVERY_CLUTCH = {
  oilGrade: {
    name: 'Read the oil grade on the can',
    minutes: 1,
    measuredBy: ['Oil at intake'],
    outcomes: [
      bad('Not for wet clutches', [w('wrongOil', 35, 'Grade read on the can.')]),
      good([w('wrongOil', -40, 'Correct grade.')], 'JASO MA or MA2'),
    ],
  },
  freePlay: {
    name: 'Free play at the lever or the adjuster',
    minutes: 1,
    outcomes: [
      {
        id: 'none',
        label: 'None',
        weights: [
          w('noFreePlay', 35, 'The lever has no free play.'),
          w('tooMuchFreePlay', -40, 'There is no free play.'),
        ],
      },
      {
        id: 'much',
        label: 'Too much',
        weights: [
          w('tooMuchFreePlay', 30, 'More than the manual allows.'),
          w('noFreePlay', -40, 'There is enough free play.'),
        ],
      },
      good(
        [w('noFreePlay', -35, 'As in the manual.'), w('tooMuchFreePlay', -30, 'As in the manual.')],
        'As in the manual',
      ),
    ],
  },
  leverPump: {
    name: 'Pump the lever and feel',
    minutes: 1,
    outcomes: [
      bad('Gets firmer', [w('airInLine', 30, 'Air compresses.')]),
      good([w('airInLine', -25, 'Firm from the first pull.')], 'Firm at once'),
    ],
  },
  idleSpeed: {
    name: 'Idle on a rev counter',
    minutes: 2,
    outcomes: [
      bad('Too high', [w('idleHigh', 28, 'Measured.')]),
      good([w('idleHigh', -35, 'As in the manual.')]),
    ],
  },
  coldHot: {
    name: 'Try it cold and warm',
    minutes: 10,
    saidBy: ['coldOnly', 'hotDrag'],
    measuredBy: ['Drag in cold oil'],
    outcomes: [
      {
        id: 'cold',
        label: 'Only cold',
        weights: [
          w('thickOil', 28, 'Disappears once warm.'),
          w('warpedSteels', -10, 'Warp drags when warm too.'),
          w('fluidHot', -30, 'Heat is not the cause.'),
        ],
      },
      {
        id: 'hot',
        label: 'Only hot',
        weights: [
          w('fluidHot', 18, 'Appears with heat.'),
          w('thickOil', -35, 'Oil viscosity is not the cause.'),
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
    name: 'Cable disconnected: check that it slides',
    minutes: 5,
    outcomes: [
      bad('Rough or stiff', [w('dryRelease', 28, 'Felt.')]),
      good([w('dryRelease', -18, 'Slides freely.')]),
    ],
  },
  dialLift: {
    name: 'Dial on the pressure plate',
    minutes: 15,
    measuredBy: ['Dial round the plate'],
    outcomes: [
      bad('Too little', [
        w('shortLift', 30, 'Measured.'),
        w('warpedSteels', -4, 'Too little lift explains it.'),
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
    measuredBy: ['Dial round the plate'],
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
    measuredBy: ['Measured wear', 'Measured discs'],
    outcomes: [
      bad('Below the limit', [w('wornDiscs', 35, 'Measured.')]),
      good([w('wornDiscs', -35, 'All within limits.')]),
    ],
  },
  discLook: {
    name: 'Inspect the lining',
    minutes: 30,
    measuredBy: ['Damage seen on discs'],
    outcomes: [
      bad('Glazed, black or loose', [w('glazedDiscs', 35, 'Seen.')]),
      good([w('glazedDiscs', -30, 'Clean lining.')]),
    ],
  },
  springLength: {
    name: 'Free length of every spring',
    minutes: 30,
    measuredBy: ['Free length'],
    outcomes: [
      bad('Short', [w('weakSprings', 32, 'Measured.')]),
      good([w('weakSprings', -28, 'Long enough.')]),
    ],
  },
  steelFlatness: {
    name: 'Steels on a surface plate',
    minutes: 35,
    measuredBy: ['Out-of-flat'],
    outcomes: [
      bad('Out of flat', [w('warpedSteels', 35, 'Measured.')]),
      good([w('warpedSteels', -38, 'All flat.')]),
    ],
  },
  stackHeight: {
    name: 'Caliper over the pack',
    minutes: 35,
    measuredBy: ['Stack height'],
    outcomes: [
      {
        id: 'low',
        label: 'Too low',
        weights: [w('stackLow', 32, 'Measured.'), w('stackTall', -40, 'The stack is low.')],
      },
      {
        id: 'tall',
        label: 'Too tall',
        weights: [w('stackTall', 32, 'Measured.'), w('stackLow', -40, 'The stack is tall.')],
      },
      good(
        [w('stackLow', -32, 'Within limits.'), w('stackTall', -32, 'Within limits.')],
        'Within limits',
      ),
    ],
  },
  basketNotches: {
    name: 'Notches in fingers and splines',
    minutes: 35,
    measuredBy: ['Notch depth'],
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
      bad('Missing or reversed', [w('judderMissing', 35, 'Seen.')]),
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
} satisfies Readonly<Record<string, DecidingTest>>;

export const TESTS = Object.assign(
  {},
  OF_EVERY_CLUTCH,
  ...CLUTCH_KINDS.map((kind) => kind.tests),
) as Readonly<Record<TestId, DecidingTest>>;
