import { entry } from '../../job/entry';
import type { Job } from '../../job/types';
import type { ClutchKind } from '../kind';
import { COIL_CAUSES, COIL_TESTS, weighRing } from './causes';
import { COIL_FIELDS } from './fields';
import { COIL_MODEL } from './figures';
import { coilLimits, coilReadings, judgeCoilLengths } from './inspection';
import { coilBolts, coilsIn, COIL_PARTS, COILS_OFF, springsIn } from './lines';
import { ringMoves, shimMoves } from './moves';
import { coilProblems } from './problems';
import { coilVerdicts } from './verdicts';
import { COIL_FAMILIES, COIL_TERMS } from './words';

/** Six springs under bolts. */
const example = (job: Job): Job => ({
  ...job,
  springs: {
    ...job.springs,
    type: 'coil',
    coil: {
      groups: [
        {
          id: 'spring',
          name: 'Springs',
          rateFrom: 'rate',
          count: entry(6),
          rate: entry(20),
          freeLength: entry(45),
          solidLength: entry(26),
          testerPoints: [],
        },
      ],
      seatDistance: entry(72),
      ring: [],
    },
  },
});

/** Coil springs under bolts. */
export const coil: ClutchKind = {
  id: 'coil',
  name: 'coil springs',
  label: 'Coil springs under bolts',
  isFitted: ({ springs }) => springs.type === 'coil',
  example,
  families: COIL_FAMILIES,
  terms: COIL_TERMS,
  fields: COIL_FIELDS,
  form: () => [
    {
      note: 'Either the distances, or the fitted length as measured.',
      fields: [
        'springs.coil.seatDistance',
        'springs.coil.pressurePlate',
        'springs.coil.shim',
        'springs.coil.fittedLength',
        'springs.coil.fittedStack',
      ],
    },
  ],
  springs: COIL_MODEL,
  verdicts: coilVerdicts,
  problems: coilProblems,
  strip: () => ({ springs: COILS_OFF }),
  parts: () => COIL_PARTS,
  fastener: coilBolts,
  checklist: (job) => ({ springs: [springsIn(coilsIn(job))] }),
  readings: coilReadings,
  judge: judgeCoilLengths,
  limits: coilLimits,
  causes: COIL_CAUSES,
  tests: COIL_TESTS,
  weigh: weighRing,
  moves: (job, set) => [...shimMoves(job, set), ...ringMoves(job)],
};
