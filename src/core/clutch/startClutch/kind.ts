import type { KindCause, MeasuredWeight, DecidingTest } from '../../causes/cause';
import { bad, good, w } from '../../causes/cause';
import type { Problem } from '../../evaluate/engine/problem';
import type { Sheet } from '../../evaluate/engine/sheet';
import type { Verdict } from '../../evaluate/engine/verdict';
import { hasPack, LAYOUTS } from '../../guide/layouts';
import { entry } from '../../job/entry';
import type { Job, StartClutchPlace } from '../../job/types';
import { line, part } from '../../strip/line';
import { length, say } from '../../text/sentence';
import type { ClutchKind } from '../kind';
import { START_FIELDS } from './fields';
import { startFigures } from './figures';
import { judgeShoes, shoeReadings } from './inspection';
import { judgeStart } from './verdicts';
import { START_FAMILIES, START_TERMS } from './words';

const CAUSES = {
  shoeSpring: {
    name: 'Weak springs of the start clutch',
    prior: -8,
    complaints: {
      slips: [-20, 'Causes early engagement, not slip.'],
      creeps: [20, 'Weak springs let the shoes swing out at idle.'],
      heavy: [-15, 'Not felt at the lever.'],
    },
  },
} as const satisfies Readonly<Record<string, KindCause>>;

const TESTS: Readonly<Record<string, DecidingTest>> = {
  shoeContact: {
    name: 'Engine speed at which the start clutch engages',
    minutes: 5,
    outcomes: [
      bad('At or near idle', [w('shoeSpring', 25, 'The shoes engage early.')]),
      good([w('shoeSpring', -28, 'Clear of idle.')]),
    ],
  },
};

/** First contact below idle means weak springs or a high idle; the other check decides. */
function weigh({ id, state, title }: Verdict): MeasuredWeight[] {
  if (id !== 'start' || (state !== 'stop' && state !== 'good')) return [];
  const is = state === 'stop';
  const from = 'Start clutch';
  return [
    { cause: 'shoeSpring', tenths: is ? 30 : -25, because: title, from },
    { cause: 'idleHigh', tenths: is ? 14 : -12, because: title, from },
  ];
}

const isFitted = ({ startClutch: { place } }: Job): boolean => place !== 'none';

/** Rules out causes in parts the machine does not have. */
const weighJob = (job: Job): MeasuredWeight[] => {
  const { plates, shoes } = LAYOUTS[job.machine.layout];
  return job.machine.layout !== 'unknown' && plates && !shoes && !isFitted(job)
    ? [
        {
          cause: 'shoeSpring',
          tenths: -40,
          because: 'The machine has no start clutch.',
          from: 'The machine',
        },
      ]
    : [];
};

function shoeProblems({ job: { startClutch: record } }: Sheet): readonly Problem[] {
  const { radius, drumRadius } = record;
  return radius && drumRadius && drumRadius.value <= radius.value
    ? [
        {
          path: 'startClutch.drumRadius',
          state: 'stop',
          sentence: say`The shoe’s centre of mass, at a radius of ${length(radius.value)}, must be inside the drum.`,
        },
      ]
    : [];
}

/** Shoes that swing out into a drum. */
export const startClutch: ClutchKind = {
  id: 'start',
  name: 'start clutch',
  isFitted,
  example: (job) => ({
    ...job,
    startClutch: {
      place: 'crank',
      shoes: entry(4),
      mass: entry(0.12),
      radius: entry(40),
      springPull: entry(120),
      drumRadius: entry(55),
    },
  }),
  families: START_FAMILIES,
  terms: START_TERMS,
  fields: START_FIELDS,
  choice: {
    heading: 'Start clutch',
    label: 'Shoes in a drum',
    options: [
      { value: 'none', label: 'None' },
      { value: 'crank', label: 'On the crank' },
      { value: 'input', label: 'On the gearbox input' },
    ],
    of: ({ startClutch: { place } }) => place,
    put: (job, place) => ({
      ...job,
      startClutch: { ...job.startClutch, place: place as StartClutchPlace },
    }),
  },
  form: () => [
    {
      fields: [
        'startClutch.shoes',
        'startClutch.mass',
        'startClutch.radius',
        'startClutch.springPull',
        'startClutch.drumRadius',
        'startClutch.friction',
        'startClutch.wear',
        'startClutch.springRate',
        'startClutch.massLost',
      ],
    },
  ],
  shown: ['startContact', 'startHolding', 'startContactWorn'],
  figures: startFigures,
  takesUp: 'before',
  verdicts: (sheet) => [judgeStart(sheet)],
  problems: shoeProblems,
  strip: () => ({
    underCover: [
      line(
        'startClutch',
        'Start clutch: drum off, shoes and springs out',
        'Mark the drum to its shoes; note which way the one-way bearing turns.',
      ),
      line(
        'oneWay',
        'One-way bearing: turn it by hand, both ways',
        'It must lock one way and run free the other.',
      ),
    ],
  }),
  parts: () => [
    part('shoeSprings', 'Shoe springs'),
    part('shoeWashers', 'Washers of the start clutch', 'order and marked faces'),
  ],
  checklist: ({ machine }) => ({
    hub: [
      {
        key: 'startClutch',
        section: hasPack(machine.layout) ? 'Hub' : 'Start clutch',
        text: ['Start clutch: shoes, springs and drum in, one-way bearing turning the way noted'],
      },
    ],
  }),
  readings: shoeReadings,
  judge: judgeShoes,
  limits: () => [{ path: 'startClutch.shoeLiningMin' }, { path: 'startClutch.drumBoreMax' }],
  causes: CAUSES,
  tests: TESTS,
  weigh,
  weighJob,
  returnSprings: {
    name: 'Springs of the shoes',
    paths: ['startClutch.springPull', 'startClutch.springRate'],
  },
};
