import { entry } from '../../job/entry';
import type { AssistType, Job } from '../../job/types';
import type { Sheet } from '../../evaluate/engine/sheet';
import type { Problem } from '../../evaluate/engine/problem';
import { line } from '../../strip/line';
import { say } from '../../text/sentence';
import type { ClutchKind } from '../kind';
import { ASSIST_FIELDS } from './fields';
import { ASSIST_OVER_SPEED, assistFigures } from './figures';
import { ASSIST_FAMILIES, ASSIST_TERMS } from './words';

/** Usual ramp angles for balls, degrees. Assumed values. */
const RAMP = { least: 5, most: 80 } as const;
const degrees = (value: number) => ({ value, quantity: 'angle' }) as const;

const IN_ORDER = 'Each weight has its own place: keep them in order.';

const isOfLevers = ({ assist }: Job) => assist.type === 'levers';

function rampProblems({ job: { assist } }: Sheet): readonly Problem[] {
  const angle = assist.rampAngle?.value;
  return assist.type === 'balls' && angle !== undefined && (angle < RAMP.least || angle > RAMP.most)
    ? [
        {
          path: 'assist.rampAngle',
          state: 'stop',
          sentence: say`A ramp measures ${degrees(RAMP.least)} to ${degrees(RAMP.most)} from the plane of the plate; on a ramp of ${degrees(angle)} balls would not roll or not press.`,
        },
      ]
    : [];
}

/** Weights on levers, or balls on a ramp, that add clamp as they turn. */
export const centrifugalAssist: ClutchKind = {
  id: 'assist',
  name: 'centrifugal assist',
  isFitted: ({ assist }) => assist.type !== 'none',
  example: (job) => ({
    ...job,
    assist: {
      type: 'levers',
      count: entry(6),
      mass: entry(0.03),
      radius: entry(50),
      leverRatio: entry(2),
    },
  }),
  families: ASSIST_FAMILIES,
  terms: ASSIST_TERMS,
  fields: ASSIST_FIELDS,
  choice: {
    label: 'Centrifugal assist',
    options: [
      { value: 'none', label: 'None' },
      { value: 'levers', label: 'Weighted levers' },
      { value: 'balls', label: 'Balls on a ramp' },
    ],
    of: ({ assist }) => assist.type,
    put: (job, type) => ({ ...job, assist: { ...job.assist, type: type as AssistType } }),
  },
  form: (job) => [
    {
      fields: [
        'assist.count',
        'assist.mass',
        'assist.radius',
        isOfLevers(job) ? 'assist.leverRatio' : 'assist.rampAngle',
      ],
    },
  ],
  figures: assistFigures,
  overSpeed: ASSIST_OVER_SPEED,
  problems: rampProblems,
  strip: (job) => ({
    springs: [
      isOfLevers(job)
        ? line('assistLevers', 'Assist levers out, each to its own pin', IN_ORDER)
        : line('assistBalls', 'Assist balls out, counted', IN_ORDER),
    ],
  }),
  checklist: (job) => ({
    springs: [
      {
        key: 'assist',
        section: 'Springs',
        text: [`Assist ${isOfLevers(job) ? 'levers' : 'balls'} fitted in their own places`],
      },
    ],
  }),
};
