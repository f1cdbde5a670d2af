import { checkWindow } from '@/core/pack/stack';
import type { FigureId, State } from '@/core/evaluate/engine/figure';
import type { Amount } from '@/core/text/sentence';
import { length, say, travel } from '@/core/text/sentence';
import type { Sheet } from '@/core/evaluate/engine/sheet';
import type { Verdict, VerdictId } from '@/core/evaluate/engine/verdict';

/**
 * Verdicts on what is set and measured once the clutch is together; each is absent until it is recorded.
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

/** Pulls that spread more than this, mm, say that something sticks or gives. Design estimate. */
const REPEATS = 0.05;
interface WindowWords {
  readonly good: string;
  readonly above: string;
  readonly below: string;
  /** What it means, after the colon. */
  readonly tooMuch: string;
  readonly tooLittle: string;
}

/** A measured value against a window that has at least one edge. */
function inWindow(
  id: VerdictId,
  value: number | undefined,
  min: number | undefined,
  max: number | undefined,
  words: WindowWords,
  what: string,
  amount: (value: number) => Amount = length,
): Verdict | undefined {
  if (value === undefined || (min === undefined && max === undefined)) return undefined;
  if ((min ?? -Infinity) > (max ?? Infinity)) return undefined;
  const { margin, side } = checkWindow(value, min, max);
  const figures: readonly FigureId[] = [];
  if (margin >= 0) {
    return {
      id,
      state: 'good',
      title: words.good,
      figures,
      sentence: say`${what} of ${amount(value)} lies in its window, ${amount(margin)} from the nearer edge.`,
    };
  }
  const above = side === 'above';
  return {
    id,
    state: 'stop',
    title: above ? words.above : words.below,
    figures,
    sentence: say`${what} of ${amount(value)} misses its window by ${amount(-margin)}: ${above ? words.tooMuch : words.tooLittle}.`,
  };
}

function judgeFreePlay(sheet: Sheet): Verdict | undefined {
  if (!sheet.job.release.freePlay) return undefined;
  return inWindow(
    'freePlay',
    sheet.valueAt('release.freePlay'),
    sheet.valueAt('setting.freePlayMin'),
    sheet.valueAt('setting.freePlayMax'),
    {
      good: 'Free play in its window',
      above: 'Too much free play',
      below: 'Too little free play',
      tooMuch: 'it costs lift',
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
        sentence: say`The bolt heads clear the cover by ${length(headClearance.value)}; ${length(least)} is wanted. Fit the bolts that belong to this set, or they chew the cover up.`,
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
      title: 'Pushrod’s seat out of square',
      sentence: say`With the springs out the plate still tilts under the thumb: the pushrod’s seat is not square to the friction face. Measure it, and true or change the plate.`,
    };
  }
  if (thumbTest === 'true') {
    return {
      ...base,
      title: 'Springs differ',
      sentence: say`With the springs out the plate lifts true: the springs differ. Measure their lengths and rates, and let the kinds alternate evenly.`,
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
        title: 'Pulls do not repeat',
        sentence: say`At one place the lift spreads by ${length(spread.value)} from pull to pull: something sticks or gives, air in the line or a worn pivot among others.`,
      }
    : {
        ...base,
        state: 'good',
        title: 'Pulls repeat',
        sentence: say`From pull to pull the lift spreads by ${length(spread.value)}.`,
      };
}

/** A screw's float may miss what was wanted by this share. Design estimate. */
const FLOAT_SHARE = 0.5;

function judgeEndFloat(sheet: Sheet): Verdict | undefined {
  const { separatePrimary, endFloat, endFloatWanted } = sheet.job.setting;
  if (!separatePrimary || !endFloat || !endFloatWanted) return undefined;
  const slack = endFloatWanted.value * FLOAT_SHARE;
  return inWindow(
    'endFloat',
    endFloat.value,
    endFloatWanted.value - slack,
    endFloatWanted.value + slack,
    {
      good: 'End float right',
      above: 'Too much end float',
      below: 'Too little end float',
      tooMuch: 'the basket walks and the lift is lost',
      tooLittle: 'the bearing runs hot',
    },
    'End float',
  );
}

function judgeChain(sheet: Sheet): Verdict | undefined {
  if (!sheet.job.setting.separatePrimary || !sheet.job.setting.chainSlack) return undefined;
  return inWindow(
    'chain',
    sheet.valueAt('setting.chainSlack'),
    sheet.valueAt('setting.chainSlackMin'),
    sheet.valueAt('setting.chainSlackMax'),
    {
      good: 'Primary chain slack right',
      above: 'Primary chain slack',
      below: 'Primary chain tight',
      tooMuch: 'it snatches and wears the case',
      tooLittle: 'it loads the mainshaft and its bearings',
    },
    'Chain slack',
    travel,
  );
}
