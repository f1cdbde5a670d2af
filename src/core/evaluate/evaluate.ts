import type { Job } from '../job/types';
import { fittedKinds } from '../clutch/fitted';
import type { FigureId, Outcome } from './engine/figure';
import type { PackLayout } from './engine/layers';
import { computeDrag } from './figures/dragFigures';
import { computeHeat } from './figures/heatFigures';
import { layOut } from './engine/layers';
import { computeLosses } from './figures/lossFigures';
import { computeEvenness, computeRetention } from './figures/engagementFigures';
import { computeLift } from './figures/releaseFigures';
import { computePull } from './figures/pullFigures';
import { JobSheet } from './engine/jobSheet';
import type { Sheet } from './engine/sheet';
import { computeClampAtPeak } from './figures/clampOverSpeed';
import { computeStack, computeWear } from './figures/stackFigures';
import { computeTorque } from './figures/torqueFigures';
import type { Problem } from './engine/problem';
import { findProblems } from './verdicts/problems';
import type { Verdict } from './engine/verdict';
import { judge, judgeOverall } from './verdicts/judge';

/** Everything that can be evaluated from the entries so far. */
export interface Evaluation {
  readonly figures: ReadonlyMap<FigureId, Outcome>;
  readonly layout: PackLayout;
  /** The verdict on the whole, then one for each question. */
  readonly overall: Verdict;
  readonly verdicts: readonly Verdict[];
  readonly problems: readonly Problem[];
}

/**
 * Calculates all figures and verdicts of a job. No figure is ever NaN or infinite: a figure that can't be known is an `Unknown`
 * that names its missing inputs, and assumed values are marked in the working.
 * @param job the record, in base units
 * Source: `docs/mechanics.md`, section by section.
 * @example evaluate(job).overall.title // "Holds and releases"
 */
export function evaluate(job: Job): Evaluation {
  const { sheet, layout } = workOut(job);
  const problems = findProblems(job, layout, sheet);
  const stop = problems.find((p) => p.state === 'stop');
  const judged = judge(sheet, layout);
  const verdicts = stop ? judged.map((v) => withoutGoodVerdict(v, stop)) : judged;
  return {
    figures: sheet.outcomes,
    layout,
    overall: judgeOverall(verdicts, sheet, stop?.sentence),
    verdicts,
    problems,
  };
}

/** A torque reserve or release based on stopped entries is not called good. */
function withoutGoodVerdict(verdict: Verdict, stop: Problem): Verdict {
  if (verdict.state !== 'good' || (verdict.id !== 'holds' && verdict.id !== 'releases'))
    return verdict;
  return {
    ...verdict,
    state: 'unknown',
    title: verdict.id === 'holds' ? 'Torque reserve not judged' : 'Release not judged',
    sentence: stop.sentence,
    figures: [],
  };
}

/**
 * All figures of a job on one sheet, without verdicts.
 * @example workOut(job).sheet.known('stack').value // 34.2
 */
export function workOut(job: Job): { readonly sheet: Sheet; readonly layout: PackLayout } {
  const sheet = new JobSheet(job);
  const layout = layOut(job);
  computeStack(sheet, layout);
  computeLift(sheet, layout);
  sheet.springs.fitted(sheet);
  sheet.springs.lifted(sheet);
  computePull(sheet);
  computeEvenness(sheet);
  computeLosses(sheet);
  for (const kind of fittedKinds(job)) kind.figures?.(sheet);
  computeClampAtPeak(sheet);
  computeTorque(sheet, layout);
  computeRetention(sheet, layout);
  computeWear(sheet, layout);
  computeHeat(sheet, layout);
  computeDrag(sheet, layout);
  return { sheet, layout };
}
