import type { Sheet } from '../../evaluate/engine/sheet';
import type { Verdict } from '../../evaluate/engine/verdict';
import { unknownVerdict } from '../../evaluate/engine/verdict';
import { bindMargin } from '../../springs/coil';
import { length, say } from '../../text/sentence';

/**
 * The verdicts on coil springs: travel before coil bind, and the evenness of a ring.
 * @example coilVerdicts(sheet)[0].title // "No coil bind"
 */
export const coilVerdicts = (sheet: Sheet): readonly (Verdict | undefined)[] => [
  judgeCoils(sheet),
  judgeRing(sheet),
];

function judgeCoils(sheet: Sheet): Verdict {
  const room = sheet.known('coilClearance');
  const lift = sheet.known('liftHad');
  if (!room || !lift)
    return unknownVerdict('coils', 'Coil bind not judged', sheet.outcomes.get('coilClearance'));
  const margin = bindMargin(lift.value);
  const base = { id: 'coils', figures: ['coilClearance'] } as const;
  if (room.value < 0) {
    return {
      ...base,
      state: 'stop',
      title: 'Coil bind',
      sentence: say`Coil bind ${length(-room.value)} before full lift: the lever stops hard and parts bend.`,
    };
  }
  if (room.value < margin) {
    return {
      ...base,
      state: 'watch',
      title: 'Close to coil bind',
      sentence: say`${length(room.value)} of travel left before coil bind at full lift; ${length(margin)} required.`,
    };
  }
  return {
    ...base,
    state: 'good',
    title: 'No coil bind',
    sentence: say`${length(room.value)} of travel left before coil bind at full lift.`,
  };
}

/** Off-centre force, as mm, from which a plate tilts enough to feel. Assumed value. */
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
      title: 'Spring force centred',
      sentence: say`The spring force is ${length(offset.value)} off centre.`,
    };
  }
  return {
    ...base,
    state: offset.value < OFFSET_STOP ? 'watch' : 'stop',
    title: 'Spring force off centre',
    sentence: say`The spring force is ${length(offset.value)} off centre, so the plate lifts unevenly: alternate the springs evenly.`,
  };
}
