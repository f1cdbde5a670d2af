import { entry } from '../../job/entry';
import type { Job } from '../../job/types';
import { countedOut, line, part } from '../../strip/line';
import { springsIn } from '../coil/lines';
import type { ClutchKind } from '../kind';
import { DIAPHRAGM_FIELDS } from './fields';
import { DIAPHRAGM_MODEL } from './figures';
import { coneReading, judgeCone } from './inspection';
import { diaphragmProblems } from './problems';
import { onStep, otherSteps, stepInUse } from './steps';
import { judgeStep } from './verdicts';
import { DIAPHRAGM_FAMILIES, DIAPHRAGM_TERMS } from './words';

/** A spring of 2.5 mm past its peak, on the middle of three steps. */
const example = (job: Job): Job => ({
  ...job,
  springs: {
    ...job.springs,
    type: 'diaphragm',
    diaphragm: {
      forceFrom: 'geometry',
      outerDiameter: entry(120),
      innerDiameter: entry(92),
      thickness: entry(2.5),
      coneHeight: entry(4),
      referenceDeflection: entry(3.1),
      referenceStack: entry(34.5),
      fingerRatio: entry(2),
      steps: [
        { id: 'one', name: '1', offset: entry(0), bandMin: entry(30), bandMax: entry(33) },
        { id: 'two', name: '2', offset: entry(0.3), bandMin: entry(33), bandMax: entry(36) },
        { id: 'three', name: '3', offset: entry(0.6), bandMin: entry(36), bandMax: entry(40) },
      ],
      stepId: 'two',
      points: [],
    },
  },
});

/** One dished spring under a retainer. */
export const diaphragm: ClutchKind = {
  id: 'diaphragm',
  name: 'diaphragm',
  label: 'Diaphragm',
  isFitted: ({ springs }) => springs.type === 'diaphragm',
  example,
  families: DIAPHRAGM_FAMILIES,
  terms: DIAPHRAGM_TERMS,
  fields: DIAPHRAGM_FIELDS,
  springs: DIAPHRAGM_MODEL,
  verdicts: (sheet) => [judgeStep(sheet)],
  problems: diaphragmProblems,
  strip: () => ({
    springs: [
      line(
        'retainer',
        'Note the retainer’s step, then its bolts a little at a time, criss-cross',
        'The spring is loaded: release it evenly, wear eye protection.',
      ),
      line(
        'diaphragm',
        'Diaphragm out',
        'Note which way its cone faces, and any over-travel marks.',
      ),
    ],
  }),
  parts: () => [part('retainerBolts', 'Retainer bolts')],
  fastener: (job) => ({
    name: 'Retainer bolts',
    lock: 'none',
    ...countedOut(job, 'retainerBolts'),
  }),
  checklist: (job) => {
    const step = stepInUse(job);
    const text = `Diaphragm on${step ? `, retainer at step ${step.name}` : ''}, its cone the way noted`;
    return { springs: [springsIn(text)] };
  },
  readings: (job) => [coneReading(job)],
  judge: judgeCone,
  limits: () => [{ path: 'inspection.coneMin' }],
  moves: (job) =>
    otherSteps(job).map((step) => ({
      family: 'step',
      label: [`Retainer step ${step.name || step.id}`],
      effort: 1,
      apply: (j) => onStep(j, step.id),
    })),
  sheetRows: (job) => {
    const step = stepInUse(job);
    return step ? [['Retainer step', step.name]] : [];
  },
};
