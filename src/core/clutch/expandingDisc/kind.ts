import { reversed } from '../../evaluate/engine/problem';
import { entry } from '../../job/entry';
import type { Entry, Job } from '../../job/types';
import { turningText } from '../../setting/adjuster';
import { line, part } from '../../strip/line';
import { readSentence, travel } from '../../text/sentence';
import { within } from '../../text/within';
import type { UnitChoice } from '../../units/format';
import { formatWithUnit } from '../../units/format';
import type { ClutchKind } from '../kind';
import { EXPANDING_CAUSES, EXPANDING_TESTS, weighAbsent, weighEngagement } from './causes';
import { EXPANDING_FIELDS } from './fields';
import { EXPANDING_OVER_SPEED, expandingFigures } from './figures';
import { gainLine, gapLines } from './lines';
import { gapMoves } from './moves';
import { expandingVerdicts } from './verdicts';
import { EXPANDING_FAMILIES, EXPANDING_TERMS } from './words';

const example = (job: Job): Job => ({
  ...job,
  expanding: {
    fitted: true,
    count: entry(8),
    mass: entry(0.03),
    radius: entry(55),
    advantage: entry(2),
    returnForce: entry(300),
    returnRate: entry(50),
    growth: entry(1.6),
  },
  setting: {
    ...job.setting,
    installGap: entry(0.95),
    gapMin: entry(0.9),
    gapMax: entry(1),
    pitch: entry(1),
    marksPerTurn: entry(8),
  },
});

/** Gap setting and lever gain for a printed sheet. */
function sheetRows(job: Job, units: UnitChoice): readonly (readonly [string, string])[] {
  const { installGap, gapMin, gapMax, turnsOut, marksOut, readings, targetGain } = job.setting;
  const fine = ({ value }: Entry) => formatWithUnit(value, 'length', units);
  const atLever = ({ value }: Entry) => readSentence([travel(value)], units);
  const gains = readings
    .flatMap(({ turns, gain }) =>
      turns && gain ? [`${atLever(gain)} at ${turns.value} turns`] : [],
    )
    .concat(targetGain ? [`target ${atLever(targetGain)}`] : [])
    .join('; ');
  return [
    ['Install gap', within(installGap, gapMin, gapMax, fine) ?? ''],
    [
      'Adjuster position',
      (turnsOut ?? marksOut)
        ? `${turningText({ turns: turnsOut?.value ?? 0, marks: marksOut?.value ?? 0 })} out from firm contact`
        : '',
    ],
    ['Lever gain', gains],
  ];
}

/** A disc with weights in it, in place of the outermost friction disc: an auto-clutch. */
export const expandingDisc: ClutchKind = {
  id: 'expanding',
  name: 'expanding disc',
  isFitted: ({ expanding }) => expanding.fitted,
  example,
  families: EXPANDING_FAMILIES,
  terms: EXPANDING_TERMS,
  fields: EXPANDING_FIELDS,
  choice: {
    heading: 'Expanding disc',
    label: 'In place of the outermost friction disc',
    options: [
      { value: 'no', label: 'None' },
      { value: 'yes', label: 'Fitted' },
    ],
    of: ({ expanding }) => (expanding.fitted ? 'yes' : 'no'),
    put: (job, value) => ({ ...job, expanding: { ...job.expanding, fitted: value === 'yes' } }),
  },
  form: () => [
    {
      fields: [
        'setting.installGap',
        'setting.gapMin',
        'setting.gapMax',
        'setting.pitch',
        'setting.marksPerTurn',
        'setting.linkage',
        'expanding.growth',
        'setting.targetGain',
      ],
    },
    {
      title: 'Weights',
      note: 'Rarely known for a bought disc: leave all empty to assume it fully expanded at peak torque.',
      fields: [
        'expanding.count',
        'expanding.mass',
        'expanding.radius',
        'expanding.advantage',
        'expanding.returnForce',
        'expanding.returnRate',
      ],
    },
  ],
  shown: ['expandContact', 'expandLockUp', 'leverGain', 'gapPerMark'],
  figures: expandingFigures,
  overSpeed: EXPANDING_OVER_SPEED,
  takesUp: 'inPack',
  verdicts: expandingVerdicts,
  problems: ({ job: { setting } }) => reversed('setting.gapMax', setting.gapMin, setting.gapMax),
  strip: () => ({
    underCover: [
      line(
        'discAdjuster',
        'Write down the adjuster position, then back it off',
        'Turns and marks from firm contact: the setting the rider is used to.',
      ),
    ],
    plates: [
      line(
        'expandingDisc',
        'Expanding disc off first',
        'Note the position of its weights, and which face is outward.',
      ),
    ],
  }),
  parts: () => [part('discWeights', 'Weights of the expanding disc')],
  checklist: (job) => ({ gap: gapLines(job), running: [gainLine(job)] }),
  causes: EXPANDING_CAUSES,
  tests: EXPANDING_TESTS,
  weigh: weighEngagement,
  weighJob: weighAbsent,
  moves: gapMoves,
  returnSprings: {
    name: 'Return springs of the expanding disc',
    paths: ['expanding.returnForce', 'expanding.returnRate'],
  },
  sheetRows,
};
