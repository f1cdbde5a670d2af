import { reversed } from '../../evaluate/engine/problem';
import { entry } from '../../job/entry';
import { entryAt } from '../../job/entryAt';
import type { Job } from '../../job/types';
import { GAP_READ } from '../../springs/loose';
import { countedOut, line, part, SPRINGS } from '../../strip/line';
import type { Sentence } from '../../text/sentence';
import { length, say } from '../../text/sentence';
import { coil } from '../coil/kind';
import { coilLimits, coilReadings, judgeCoilLengths } from '../coil/inspection';
import { coilsIn, springsIn } from '../coil/lines';
import { ringMoves } from '../coil/moves';
import { coilProblems } from '../coil/problems';
import { coilVerdicts } from '../coil/verdicts';
import type { ClutchKind } from '../kind';
import { LOOSE_FIELDS } from './fields';
import { LOOSE_MODEL } from './figures';
import { looseVerdicts } from './verdicts';
import { LOOSE_FAMILIES, LOOSE_TERMS } from './words';

/** The same six springs as under bolts, in pockets of 10 mm. */
const example = (job: Job): Job => {
  const { springs } = coil.example(job);
  return {
    ...job,
    springs: {
      ...springs,
      type: 'loose',
      loose: {
        span: entry(50),
        pocketInner: entry(10),
        pocketOuter: entry(10),
        gapMin: entry(5),
        gapMax: entry(30),
      },
    },
  };
};

function gapText({ springs: { loose: record } }: Job): Sentence {
  const { gapMin: min, gapMax: max } = record;
  return min && max
    ? say`Gap between the plates ${length(min.value)} to ${length(max.value)}, nuts drawn to their stop`
    : ['Nuts drawn to their stop; gap between the plates the same all round'];
}

/** Free coil springs between two plates that nuts draw to a stop. */
export const loose: ClutchKind = {
  id: 'loose',
  name: 'loose springs',
  label: 'Loose, between two plates',
  isFitted: ({ springs }) => springs.type === 'loose',
  example,
  families: LOOSE_FAMILIES,
  terms: LOOSE_TERMS,
  fields: LOOSE_FIELDS,
  form: () => [
    {
      fields: [
        'springs.loose.span',
        'springs.loose.pocketInner',
        'springs.loose.pocketOuter',
        'springs.loose.gapMin',
        'springs.loose.gapMax',
        'springs.loose.gapFitted',
        'springs.loose.gapStack',
      ],
    },
  ],
  springs: LOOSE_MODEL,
  verdicts: (sheet) => [...coilVerdicts(sheet), ...looseVerdicts(sheet)],
  problems: (sheet) => {
    const { gapMin, gapMax } = sheet.job.springs.loose;
    return [...coilProblems(sheet), ...reversed('springs.loose.gapMax', gapMin, gapMax)];
  },
  strip: () => ({
    springs: [
      line('plateGap', 'Measure the gap between the plates at three places before it is opened'),
      line(
        'plateNuts',
        'Nuts off evenly, a turn each in order',
        'The springs push the plates apart: keep them square, wear eye protection.',
      ),
      line(
        'looseSprings',
        'Springs off their pins in order',
        'Sort them by length as they come off.',
      ),
    ],
  }),
  parts: () => [part('plateNuts', 'Nuts of the spring plate'), part(SPRINGS, 'Springs')],
  fastener: (job) => ({
    name: 'Nuts of the spring plate',
    lock: 'selfLocking',
    ...countedOut(job, 'plateNuts'),
  }),
  checklist: (job) => ({
    springs: [springsIn(coilsIn(job))],
    afterSprings: [
      {
        key: 'plateGap',
        section: 'Springs',
        text: gapText(job),
        watch: 'Measure at three places: it must be the same all round.',
        fields: GAP_READ,
        tool: 'gapRead',
        answers: GAP_READ,
        unread: GAP_READ.some((path) => !entryAt(job, path)),
      },
    ],
  }),
  readings: coilReadings,
  judge: judgeCoilLengths,
  limits: coilLimits,
  moves: (job) => ringMoves(job),
};
