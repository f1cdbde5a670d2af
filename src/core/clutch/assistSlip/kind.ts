import { entry } from '../../job/entry';
import type { Job } from '../../job/types';
import type { Reason } from '../../inspect/decisions';
import { EDGE } from '../../inspect/decisions';
import type { RunStep } from '../../inspect/runStep';
import { limitSource } from '../../inspect/limitSource';
import { unusualEntries } from '../../evaluate/verdicts/unusual';
import { line, part } from '../../strip/line';
import { length, say } from '../../text/sentence';
import type { UnitChoice } from '../../units/format';
import { formatWithUnit } from '../../units/format';
import type { ClutchKind } from '../kind';
import { RAMP_CAUSES, RAMP_TESTS, weighRamps, weighRampWear } from './causes';
import { RAMP_FIELDS, RAMP_WEAR } from './fields';
import { RAMP_DRIVE } from './figures';
import { rampVerdicts } from './verdicts';
import { RAMP_FAMILIES, RAMP_TERMS } from './words';

const own = (job: Job) => job.fittings?.['ramps'];
const isFitted = (job: Job): boolean => own(job)?.['type'] === 'ramps';

/** Wear as measured, and its limit, mm. */
function wearOf(job: Job): readonly [worn: number | undefined, limit: number] {
  const { wear, wearLimit } = own(job) ?? {};
  const value = (e: typeof wear) => (typeof e === 'object' ? e.value : undefined);
  return [value(wear), value(wearLimit) ?? RAMP_WEAR];
}

const WEAR = 'fittings.ramps.wear';
const LIMIT = 'fittings.ramps.wearLimit';

const readings = (job: Job): readonly RunStep[] => [
  {
    path: WEAR,
    part: 'around',
    fixture: 'hub',
    title: 'Hub ramps',
    what: 'depth of the step worn into them',
    siblings: [WEAR],
    limit: wearOf(job)[1],
    limitIs: 'max',
    onlyWears: false,
  },
];

function judge(job: Job): readonly Reason[] {
  const [worn, limit] = wearOf(job);
  if (worn === undefined) return [];
  return [
    {
      on: 'hub',
      limitFrom: limitSource(job, LIMIT),
      decision: worn > limit + EDGE ? 'change' : 'keep',
      sentence: say`Ramps worn ${length(worn)}; limit ${length(limit)}.`,
    },
  ];
}

/** The ramps as measured, for a printed sheet. */
function sheetRows(job: Job, units: UnitChoice): readonly (readonly [string, string])[] {
  const { radius, driveAngle, overrunAngle, wear } = own(job) ?? {};
  const said = (of: typeof radius, name: string, quantity: 'length' | 'angle') =>
    typeof of === 'object' ? `${name} ${formatWithUnit(of.value, quantity, units)}` : '';
  return [
    [
      'Ramps',
      [
        said(radius, 'radius', 'length'),
        said(driveAngle, 'drive', 'angle'),
        said(overrunAngle, 'overrun', 'angle'),
        said(wear, 'wear', 'length'),
      ]
        .filter(Boolean)
        .join(', '),
    ],
  ];
}

/** A hub in two halves on ramps, which adds clamp on drive and takes it away on overrun. */
export const assistSlip: ClutchKind = {
  id: 'ramps',
  name: 'assist-and-slip hub',
  isFitted,
  example: (job) => ({
    ...job,
    fittings: {
      ...job.fittings,
      ramps: {
        type: 'ramps',
        radius: entry(32),
        driveAngle: entry(78),
        overrunAngle: entry(60),
        braking: entry(14),
      },
    },
  }),
  families: RAMP_FAMILIES,
  terms: RAMP_TERMS,
  fields: RAMP_FIELDS,
  choice: {
    heading: 'Assist-and-slip hub',
    label: 'Hub',
    options: [
      { value: 'none', label: 'In one piece' },
      { value: 'ramps', label: 'In two halves on ramps' },
    ],
    of: (job) => (isFitted(job) ? 'ramps' : 'none'),
    put: (job, type) => ({ ...job, fittings: { ...job.fittings, ramps: { ...own(job), type } } }),
  },
  form: () => [
    {
      fields: [
        'fittings.ramps.radius',
        'fittings.ramps.driveAngle',
        'fittings.ramps.overrunAngle',
        'fittings.ramps.friction',
        'fittings.ramps.braking',
      ],
    },
  ],
  shown: [
    'ramps:gain',
    'ramps:share',
    'ramps:clampOnDrive',
    'ramps:overrun',
    'ramps:opens',
    'ramps:without',
    'ramps:saved',
  ],
  drive: RAMP_DRIVE,
  verdicts: rampVerdicts,
  problems: (sheet) => unusualEntries(sheet, RAMP_FIELDS),
  strip: () => ({
    plates: [
      line(
        'rampMarks',
        'Hub halves: mark their place to each other before they part',
        'A half turned to the next ramp looks right and works wrong.',
      ),
      line(
        'rampOrder',
        'Washers and springs between the halves out, laid down in their order',
        'Note which side of each faced outward.',
      ),
    ],
  }),
  parts: () => [part('rampSprings', 'Washers and springs between the hub halves')],
  checklist: () => ({
    hub: [
      {
        key: 'ramps',
        section: 'Hub',
        text: ['Ramps clean, smooth and oiled; halves together by their marks'],
        watch: 'Turned by hand they close on one side and part on the other, without a catch.',
      },
    ],
  }),
  readings,
  judge,
  limits: () => [{ path: LIMIT }],
  sheetRows,
  causes: RAMP_CAUSES,
  tests: RAMP_TESTS,
  weigh: weighRamps,
  weighJob: weighRampWear(isFitted, wearOf),
};
