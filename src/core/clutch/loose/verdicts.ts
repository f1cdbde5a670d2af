import type { Sheet } from '../../evaluate/engine/sheet';
import type { Verdict } from '../../evaluate/engine/verdict';
import type { LimitCheck } from '../../pack/stack';
import { checkLimits } from '../../pack/stack';
import { GAP_READ } from '../../springs/loose';
import { length, say } from '../../text/sentence';
import type { Mm } from '../../units/quantity';

/**
 * The verdicts on the gap between the two plates: as worked out, and as read.
 * @example looseVerdicts(workOut(loose).sheet)[0].id // "gap"
 */
export const looseVerdicts = (sheet: Sheet): readonly (Verdict | undefined)[] => [
  judgeGap(sheet),
  judgeGapRead(sheet),
];

/** Compares a plate gap with its limits; undefined without limits, or with contradicting ones. */
function gapLimits(sheet: Sheet, gap: Mm): LimitCheck | undefined {
  const min = sheet.valueAt('springs.loose.gapMin');
  const max = sheet.valueAt('springs.loose.gapMax');
  if ((min === undefined && max === undefined) || (min ?? 0) > (max ?? Infinity)) return undefined;
  return checkLimits(gap, min, max);
}

function judgeGap(sheet: Sheet): Verdict | undefined {
  const gap = sheet.known('plateGap');
  const window = gap && gapLimits(sheet, gap.value);
  if (!gap || !window) return undefined;
  const { margin, side } = window;
  const base = { id: 'gap', figures: ['plateGap'] } as const;
  if (margin >= 0) {
    return {
      ...base,
      state: 'good',
      title: 'Plate gap within limits',
      sentence: say`Plate gap ${length(gap.value)}, ${length(margin)} inside its limits.`,
    };
  }
  const fix =
    side === 'above'
      ? 'Fit thicker plates, a spacer pair or one more disc'
      : 'Fit thinner plates or one disc fewer';
  return {
    ...base,
    state: 'stop',
    title: side === 'above' ? 'Plate gap too wide' : 'Plate gap too narrow',
    sentence: say`Plate gap ${length(gap.value)}, ${length(-margin)} outside its limits. ${fix}.`,
  };
}

/** Readings round the plates may differ by this. Assumed value. */
const GAP_UNEVEN: Mm = 0.1;

/** Compares the measured gap with its limits and with the gap calculated from the plates. */
function judgeGapRead(sheet: Sheet): Verdict | undefined {
  const read = GAP_READ.flatMap((path) => sheet.valueAt(path) ?? []);
  if (read.length === 0) return undefined;
  const base = { id: 'gapRead', figures: ['plateGap'] } as const;
  const spread = Math.max(...read) - Math.min(...read);
  if (spread > GAP_UNEVEN + 1e-9)
    return {
      ...base,
      state: 'watch',
      title: 'Plate gap uneven',
      sentence: say`The measured gap differs by ${length(spread)} round the plates, more than ${length(GAP_UNEVEN)}: a nut is not fully tightened, or a spring is out of its pocket.`,
    };
  const mean = read.reduce((sum, g) => sum + g, 0) / read.length;
  const margin = gapLimits(sheet, mean)?.margin ?? 0;
  if (margin < 0)
    return {
      ...base,
      state: 'stop',
      title: 'Measured plate gap outside limits',
      sentence: say`Measured gap ${length(mean)}, ${length(-margin)} outside its limits.`,
    };
  const worked = sheet.known('plateGap');
  const allowed = sheet.valueAt('pack.caliperAllowance') ?? 0;
  if (worked && Math.abs(mean - worked.value) > allowed + 1e-9)
    return {
      ...base,
      state: 'watch',
      title: 'Measured plate gap does not match the plates',
      sentence: say`Measured gap ${length(mean)}; the plates give ${length(worked.value)}. Check for a doubled or missing plate, a loose nut, or a wrong span.`,
    };
  return {
    ...base,
    state: 'good',
    title: 'Plate gap measured',
    sentence: say`Measured gap ${length(mean)}, within ${length(spread)} all round.`,
  };
}
