import type { Sheet } from '../../evaluate/engine/sheet';
import type { Verdict } from '../../evaluate/engine/verdict';
import { unknownVerdict } from '../../evaluate/engine/verdict';
import { bindMargin } from '../../springs/coil';
import { length, say } from '../../text/sentence';

/**
 * The verdicts on coil springs, wherever they stand: room before they touch, and how evenly a ring of them presses.
 * @example coilVerdicts(sheet)[0].title // "Springs stay open"
 */
export const coilVerdicts = (sheet: Sheet): readonly (Verdict | undefined)[] => [
  judgeCoils(sheet),
  judgeRing(sheet),
];

function judgeCoils(sheet: Sheet): Verdict {
  const room = sheet.known('coilClearance');
  const lift = sheet.known('liftHad');
  if (!room || !lift)
    return unknownVerdict('coils', 'Coil bind not known yet', sheet.outcomes.get('coilClearance'));
  const margin = bindMargin(lift.value);
  const base = { id: 'coils', figures: ['coilClearance'] } as const;
  if (room.value < 0) {
    return {
      ...base,
      state: 'stop',
      title: 'Springs go solid',
      sentence: say`The coils touch ${length(-room.value)} before full lift: the lever would stop hard and something bends.`,
    };
  }
  if (room.value < margin) {
    return {
      ...base,
      state: 'watch',
      title: 'Springs nearly solid',
      sentence: say`At full lift ${length(room.value)} is left before the coils touch; ${length(margin)} is wanted.`,
    };
  }
  return {
    ...base,
    state: 'good',
    title: 'Springs stay open',
    sentence: say`At full lift ${length(room.value)} is left before the coils touch.`,
  };
}

/** Off-centre force, as mm, from which a plate tilts enough to feel. Design estimate. */
const OFFSET_WATCH = 0.5;

const OFFSET_STOP = 1.5;

function judgeRing(sheet: Sheet): Verdict | undefined {
  const offset = sheet.known('springOffset');
  if (!offset) return undefined;
  const base = { id: 'ring', figures: ['springOffset'] } as const;
  if (offset.value < OFFSET_WATCH) {
    return {
      ...base,
      state: 'good',
      title: 'Springs press centred',
      sentence: say`The springs press ${length(offset.value)} off centre.`,
    };
  }
  return {
    ...base,
    state: offset.value < OFFSET_STOP ? 'watch' : 'stop',
    title: 'Springs press off centre',
    sentence: say`The springs press ${length(offset.value)} off centre, so the plate lifts on one side: let the kinds alternate evenly.`,
  };
}
