import { checkLimits } from '@/core/pack/stack';
import type { FigureId, State } from '@/core/evaluate/engine/figure';
import type { Amount } from '@/core/text/sentence';
import { length, say, travel } from '@/core/text/sentence';
import type { Sheet } from '@/core/evaluate/engine/sheet';
import type { Verdict, VerdictId } from '@/core/evaluate/engine/verdict';

/**
 * Verdicts on settings and measurements of the assembled clutch; each absent until recorded.
 * @example judgeSetting(workOut(quad).sheet).map((v) => v.id) // []
 */
export function judgeSetting(sheet: Sheet): Verdict[] {
  return [
    judgeFreePlay(sheet),
    judgeHeads(sheet),
    judgeThumb(sheet),
    judgeRepeat(sheet),
    judgeEndFloat(sheet),
    judgeChain(sheet),
  ].flatMap((v) => v ?? []);
}

/** Pulls that spread more than this, mm, mean that something sticks or bends. Assumed value. */
export const REPEATS = 0.05;
interface LimitsText {
  readonly good: string;
  readonly above: string;
  readonly below: string;
  /** The consequence, after the colon. */
  readonly tooMuch: string;
  readonly tooLittle: string;
}

/** Compares a measured value with its limits, one at least. */
function judgeLimits(
  id: VerdictId,
  value: number | undefined,
  min: number | undefined,
  max: number | undefined,
  words: LimitsText,
  what: string,
  amount: (value: number) => Amount = length,
): Verdict | undefined {
  if (value === undefined || (min === undefined && max === undefined)) return undefined;
  if ((min ?? -Infinity) > (max ?? Infinity)) return undefined;
  const { margin, side } = checkLimits(value, min, max);
  const figures: readonly FigureId[] = [];
  if (margin >= 0) {
    return {
      id,
      state: 'good',
      title: words.good,
      figures,
      sentence: say`${what} ${amount(value)}, ${amount(margin)} inside its limits.`,
    };
  }
  const above = side === 'above';
  return {
    id,
    state: 'stop',
    title: above ? words.above : words.below,
    figures,
    sentence: say`${what} ${amount(value)}, ${amount(-margin)} ${above ? 'above the maximum' : 'below the minimum'}: ${above ? words.tooMuch : words.tooLittle}.`,
  };
}

function judgeFreePlay(sheet: Sheet): Verdict | undefined {
  if (!sheet.job.release.freePlay) return undefined;
  return judgeLimits(
    'freePlay',
    sheet.valueAt('release.freePlay'),
    sheet.valueAt('setting.freePlayMin'),
    sheet.valueAt('setting.freePlayMax'),
    {
      good: 'Free play within limits',
      above: 'Too much free play',
      below: 'Too little free play',
      tooMuch: 'lift is lost',
      tooLittle: 'the bearing is loaded and the pack slips',
    },
    'Free play at the lever',
    travel,
  );
}

function judgeHeads(sheet: Sheet): Verdict | undefined {
  const { headClearance } = sheet.job.build;
  const least = sheet.valueAt('build.headClearanceMin');
  if (!headClearance || least === undefined) return undefined;
  const base = { id: 'heads', figures: [] } as const;
  return headClearance.value + 1e-9 < least
    ? {
        ...base,
        state: 'stop',
        title: 'Bolt heads foul the cover',
        sentence: say`The bolt heads clear the cover by ${length(headClearance.value)}; ${length(least)} is required. Fit the bolts of this set, or the heads damage the cover.`,
      }
    : {
        ...base,
        state: 'good',
        title: 'Bolt heads clear',
        sentence: say`The bolt heads clear the cover by ${length(headClearance.value)}.`,
      };
}

function judgeThumb(sheet: Sheet): Verdict | undefined {
  const { thumbTest } = sheet.job.setting;
  const base = { id: 'thumb', state: 'watch' as State, figures: ['liftTilt'] } as const;
  if (thumbTest === 'tilts') {
    return {
      ...base,
      title: 'Pushrod seat out of square',
      sentence: say`With the springs removed the plate still tilts under the thumb: the pushrod seat is not square to the friction face. Measure it, and true or replace the plate.`,
    };
  }
  if (thumbTest === 'true') {
    return {
      ...base,
      title: 'Springs differ',
      sentence: say`With the springs removed the plate lifts evenly: the springs differ. Measure their lengths and rates, and alternate the kinds evenly.`,
    };
  }
  return undefined;
}

function judgeRepeat(sheet: Sheet): Verdict | undefined {
  const spread = sheet.known('liftRepeat');
  if (!spread) return undefined;
  const base = { id: 'repeat', figures: ['liftRepeat'] } as const;
  return spread.value > REPEATS
    ? {
        ...base,
        state: 'watch',
        title: 'Lift readings not repeatable',
        sentence: say`Readings at one place spread by ${length(spread.value)}: a part sticks or yields. Possible causes include air in the line and a worn pivot.`,
      }
    : {
        ...base,
        state: 'good',
        title: 'Lift readings repeatable',
        sentence: say`Repeated readings spread by ${length(spread.value)}.`,
      };
}

/** Allowed relative deviation of the end float from its target. Assumed value. */
const FLOAT_SHARE = 0.5;

function judgeEndFloat(sheet: Sheet): Verdict | undefined {
  const { separatePrimary, endFloat, endFloatWanted } = sheet.job.setting;
  if (!separatePrimary || !endFloat || !endFloatWanted) return undefined;
  const slack = endFloatWanted.value * FLOAT_SHARE;
  return judgeLimits(
    'endFloat',
    endFloat.value,
    endFloatWanted.value - slack,
    endFloatWanted.value + slack,
    {
      good: 'End float OK',
      above: 'Too much end float',
      below: 'Too little end float',
      tooMuch: 'the basket moves and lift is lost',
      tooLittle: 'the bearing runs hot',
    },
    'End float',
  );
}

function judgeChain(sheet: Sheet): Verdict | undefined {
  if (!sheet.job.setting.separatePrimary || !sheet.job.setting.chainSlack) return undefined;
  return judgeLimits(
    'chain',
    sheet.valueAt('setting.chainSlack'),
    sheet.valueAt('setting.chainSlackMin'),
    sheet.valueAt('setting.chainSlackMax'),
    {
      good: 'Primary chain slack OK',
      above: 'Primary chain slack',
      below: 'Primary chain tight',
      tooMuch: 'it snatches and wears the case',
      tooLittle: 'it loads the mainshaft and its bearings',
    },
    'Chain slack',
    travel,
  );
}
