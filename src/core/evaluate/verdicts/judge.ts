import { countOf } from '@/core/text/countOf';
import { judgeConditions } from './conditionVerdicts';
import { fittedKinds } from '../../clutch/fitted';
import { hasPack } from '../../guide/layouts';
import { judgeRetained } from './retentionVerdicts';
import { judgeReserve } from './holdingVerdict';
import type { PackLayout } from '@/core/evaluate/engine/layers';
import { between } from '@/core/evaluate/engine/layers';
import { judgeLeverPull, judgeRelease } from './releaseVerdicts';
import { length, lowerFirst, say, times } from '@/core/text/sentence';
import { judgeDrag } from './dragVerdicts';
import { judgeSetting } from './settingVerdicts';
import type { FigureId } from '@/core/evaluate/engine/figure';
import type { Sentence } from '@/core/text/sentence';
import type { Sheet } from '@/core/evaluate/engine/sheet';
import type { Verdict } from '@/core/evaluate/engine/verdict';
import { verdictRank, unknownVerdict } from '@/core/evaluate/engine/verdict';

/**
 * The verdicts on a pack from the figures that are worked out on a sheet, one for each question that applies to it.
 * @param sheet with all figures worked out
 * Never throws for a job that passes the schema; a question that can't be answered yet has the state `unknown`.
 * Source: `docs/mechanics.md`, section by section; thresholds are assumed values named there.
 * @example judge(sheet, layout).filter((v) => v.state === 'stop').length // 0
 */
export function judge(sheet: Sheet, layout: PackLayout): Verdict[] {
  const pack = hasPack(sheet.job.machine.layout);
  const ofKinds = fittedKinds(sheet.job)
    .filter((kind) => pack || kind.takesUp === 'before')
    .flatMap((kind) => kind.verdicts?.(sheet).flatMap((v) => v ?? []) ?? []);
  if (!pack) return ofKinds;
  return [
    judgeOrder(layout),
    judgeReserve(sheet),
    judgeRelease(sheet),
    ...judgeLeverPull(sheet),
    judgeStack(sheet),
    ...ofKinds,
    judgePressure(sheet, layout),
    ...judgeRetained(sheet),
    ...judgeConditions(sheet, layout),
    ...judgeDrag(sheet),
    ...judgeSetting(sheet),
  ].sort((a, b) => verdictRank(a.id) - verdictRank(b.id));
}

function judgeOrder(layout: PackLayout): Verdict {
  const metal = layout.faces.filter((f) => f.kind === 'metal');
  const n = layout.slipping.length;
  const base = { id: 'order', figures: ['faces'] } as const;
  if (layout.layers.length === 0) {
    return {
      ...base,
      state: 'unknown',
      title: 'No plates yet',
      sentence: say`Add the plates from the hub floor outward.`,
    };
  }
  const first = metal[0];
  if (first) {
    return {
      ...base,
      state: 'stop',
      title: 'Metal on metal',
      sentence: say`${between(layout, first.below, first.above)} slip on each other without lining${metal.length > 1 ? `, and so do ${metal.length - 1} more pairs` : ''}: they would weld or wear at once.`,
    };
  }
  if (n === 0) {
    return {
      ...base,
      state: 'stop',
      title: 'No friction faces',
      sentence: say`No friction face of this pack has lining, so it can’t transmit torque.`,
    };
  }
  return {
    ...base,
    state: 'good',
    title: countOf(n, 'friction face'),
    sentence: say`${countOf(n, 'friction face')}, counted from the order of ${countOf(layout.layers.length, 'plate')}.`,
  };
}

function judgeStack(sheet: Sheet): Verdict {
  const stack = sheet.known('stack');
  const margin = sheet.known('stackMargin');
  if (!stack || !margin) {
    return unknownVerdict(
      'stack',
      'Stack not judged',
      sheet.outcomes.get(stack ? 'stackMargin' : 'stack'),
    );
  }
  const figures: FigureId[] = ['stack', 'stackMargin'];
  if (margin.value < 0) {
    const min = sheet.entry('pack.windowMin');
    const below = min.known && stack.value < min.value;
    return {
      id: 'stack',
      state: 'stop',
      title: below ? 'Stack too low' : 'Stack too tall',
      side: below ? 'below' : 'above',
      figures,
      sentence: say`Stack height ${length(stack.value)}, ${length(-margin.value)} ${below ? 'below its minimum' : 'above its maximum'}.`,
    };
  }
  return {
    id: 'stack',
    state: 'good',
    title: margin.value === 0 ? 'Stack at its limit' : 'Stack within limits',
    figures,
    sentence:
      margin.value === 0
        ? say`Stack height ${length(stack.value)}, exactly at its limit, which is allowed.`
        : say`Stack height ${length(stack.value)}, ${length(margin.value)} inside its limits.`,
  };
}

function judgePressure(sheet: Sheet, layout: PackLayout): Verdict {
  const pressure = sheet.known('liningPressure');
  const limits = layout.layers.flatMap((l) =>
    l.kind.pressureLimit && l.lined !== 'none' ? [l.kind.pressureLimit.value] : [],
  );
  const base = { id: 'pressure', figures: ['liningPressure'] } as const;
  if (!pressure)
    return unknownVerdict(
      'pressure',
      'Lining pressure not judged',
      sheet.outcomes.get('liningPressure'),
    );
  if (limits.length === 0) {
    return {
      ...base,
      state: 'unknown',
      title: 'Lining pressure not judged',
      sentence: say`A pressure limit from the lining’s maker is needed to judge ${{ value: pressure.value, quantity: 'pressure' }}.`,
    };
  }
  const limit = Math.min(...limits);
  const amounts = [
    { value: pressure.value, quantity: 'pressure' },
    { value: limit, quantity: 'pressure' },
  ] as const;
  return pressure.value > limit
    ? {
        ...base,
        state: 'stop',
        title: 'Lining pressure too high',
        sentence: say`Lining pressure ${amounts[0]}, above its limit of ${amounts[1]}.`,
      }
    : {
        ...base,
        state: 'good',
        title: 'Lining pressure OK',
        sentence: say`Lining pressure ${amounts[0]}; limit ${amounts[1]}.`,
      };
}

/**
 * The verdict on the whole pack: the worst of the others, or a summary when all are good.
 * @param stop what an entry or a layer is stopped for, where one is
 * @example judgeOverall(judge(sheet, layout), sheet).state // "good"
 */
export function judgeOverall(verdicts: readonly Verdict[], sheet: Sheet, stop?: Sentence): Verdict {
  if (!hasPack(sheet.job.machine.layout)) return overallOfStart(verdicts, sheet, stop);
  const watched = verdicts.filter((v) => v.state === 'watch');
  // Lever pull ranks after the pack's own verdicts.
  const worst =
    verdicts.find((v) => v.state === 'stop') ?? watched.find((v) => v.id !== 'pull') ?? watched[0];
  const open = firstOpen(verdicts);
  if (worst && worst.state === 'stop') {
    const more = verdicts.filter((v) => v !== worst && v.state === 'stop');
    const also =
      more.length > 0 ? [` Also: ${more.map((v) => lowerFirst(v.title)).join(', ')}.`] : [];
    return { ...worst, id: 'overall', sentence: [...worst.sentence, ...also] };
  }
  if (stop)
    return {
      id: 'overall',
      state: 'stop',
      title: 'Do not build',
      sentence: stop,
      figures: [],
    };
  if (open) {
    const { sentence, figures } = open;
    return { id: 'overall', state: 'unknown', title: 'Not judged', sentence, figures };
  }
  if (worst?.id === 'pull')
    return { ...worst, id: 'overall', title: 'Holds and releases, heavy lever' };
  if (worst) return { ...worst, id: 'overall' };
  const reserve = sheet.known('reserveWithTangs');
  const clear = sheet.known('clearancePerFace');
  const stack = verdicts.find((v) => v.id === 'stack');
  return {
    id: 'overall',
    state: 'good',
    title: 'Holds and releases',
    figures: ['reserveWithTangs', 'clearancePerFace', 'stack'],
    sentence: [
      ...say`${times(reserve?.range?.low ?? 0)} × peak torque at worst-case friction, clearance per face ${length(clear?.value ?? 0)}`,
      ...(stack?.state === 'good' ? [', stack within limits.'] : ['; no stack limits entered.']),
    ],
  };
}

/** Where a start clutch is all there is, its verdict is the whole. */
function overallOfStart(verdicts: readonly Verdict[], sheet: Sheet, stop?: Sentence): Verdict {
  if (stop)
    return { id: 'overall', state: 'stop', title: 'Do not build', sentence: stop, figures: [] };
  const [own = unknownVerdict('start', 'Not judged', sheet.outcomes.get('startContact'))] =
    verdicts;
  return { ...own, id: 'overall' };
}

/** Verdicts required for a verdict on the pack. */
const MUST: ReadonlySet<string> = new Set(['order', 'holds', 'releases']);

/**
 * The first verdict that is open and without which there is none on the pack; something else may be bad already.
 * @example firstOpen(judge(sheet, layout)) // — undefined: all is known
 */
export const firstOpen = (verdicts: readonly Verdict[]): Verdict | undefined =>
  verdicts.find((v) => v.state === 'unknown' && MUST.has(v.id));
