import type { Sheet } from '../../evaluate/engine/sheet';
import type { Verdict } from '../../evaluate/engine/verdict';
import { unknownVerdict } from '../../evaluate/engine/verdict';
import { say, times, torque } from '../../text/sentence';

/** Share q from which the clutch takes up so sharply that it grabs. Assumed value. */
const GRABS = 0.7;
/** Share of the engine's braking below which too little of it is left. Assumed value. */
const EARLY = 0.35;

/**
 * Judges the ramps on drive and on overrun.
 * @example rampVerdicts(sheet).length // 2
 */
export const rampVerdicts = (sheet: Sheet): readonly (Verdict | undefined)[] => [
  judgeDrive(sheet),
  judgeOverrun(sheet),
];

function judgeDrive(sheet: Sheet): Verdict {
  const share = sheet.known('ramps:share');
  if (!share)
    return unknownVerdict('ramps:drive', 'Ramps not judged', sheet.outcomes.get('ramps:share'));
  const base = {
    id: 'ramps:drive',
    figures: ['ramps:share', 'ramps:gain', 'ramps:without', 'ramps:saved'],
  } as const;
  const most = share.range?.high ?? share.value;
  if (most >= 1) {
    const least = sheet.known('ramps:leastAngle')?.value ?? 90;
    return {
      ...base,
      state: 'stop',
      title: 'Ramps lock by themselves',
      figures: ['ramps:share', 'ramps:leastAngle'],
      sentence: say`At high friction the drive ramps lock: the clutch neither slips nor opens under power. From a drive ramp angle of ${{ value: least, quantity: 'angle', decimals: 1 }} on they do not.`,
    };
  }
  const gain = times(1 / (1 - share.value));
  return most > GRABS
    ? {
        ...base,
        state: 'watch',
        title: 'Ramps close to locking',
        sentence: say`Ramp share ${times(most)} at high friction; from 1 they lock. The clutch takes up sharply and grabs. A steeper drive ramp adds less.`,
      }
    : {
        ...base,
        state: 'good',
        title: 'Ramps OK on drive',
        sentence: say`On drive the ramps hold ${gain} × what the springs alone hold.`,
      };
}

function judgeOverrun(sheet: Sheet): Verdict {
  const held = sheet.known('ramps:overrun');
  const braking = sheet.known('ramps:braking');
  const opens = sheet.known('ramps:opens');
  if (!held || !braking || !opens) {
    const missing = (['ramps:overrun', 'ramps:braking'] as const).find((id) => !sheet.known(id));
    return unknownVerdict(
      'ramps:overrun',
      'Overrun not judged',
      missing && sheet.outcomes.get(missing),
    );
  }
  const base = {
    id: 'ramps:overrun',
    figures: ['ramps:overrun', 'ramps:braking', 'ramps:opens'],
  } as const;
  const least = held.range?.low ?? held.value;
  const at = say`opens at ${torque(opens.value)} of engine braking`;
  if (least > braking.value)
    return {
      ...base,
      state: 'watch',
      title: 'Never opens on overrun',
      sentence: say`On overrun ${torque(least)} is held, and the engine brakes with ${torque(braking.value)} at the clutch: it never opens, and the rear wheel slips as without ramps.`,
    };
  if (held.value < EARLY * braking.value)
    return {
      ...base,
      state: 'watch',
      title: 'Opens early on overrun',
      sentence: [
        ...say`On overrun only ${torque(held.value)} of ${torque(braking.value)} engine braking is held: little of it is left. It `,
        ...at,
        '.',
      ],
    };
  return {
    ...base,
    state: 'good',
    title: 'Opens on overrun',
    sentence: [
      ...say`On overrun ${torque(held.value)} is held; above that the rear wheel slips less. It `,
      ...at,
      '.',
    ],
  };
}
