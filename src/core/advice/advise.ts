import type { Evaluation } from '../evaluate/evaluate';
import { evaluate } from '../evaluate/evaluate';
import type { State } from '@/core/evaluate/engine/figure';
import type { Sentence } from '@/core/text/sentence';
import type { Verdict, VerdictId } from '@/core/evaluate/engine/verdict';
import type { Job } from '../job/types';
import type { AvailableParts } from './moves';
import type { Move } from './move';
import { COMMON_STEELS, gradeMoves, movesFor } from './moves';
import { orderMoves } from './orderMoves';
import { creepMoves } from './creepMoves';
import { lighterMoves, releaseMoves } from './releaseMoves';
import { followTrain } from './measuredLift';
import { manualFix } from './manualFix';

/** One or two moves that fix a verdict, with the resulting pack. */
export interface Advice {
  /** Names of the moves, in the order to make them. */
  readonly moves: readonly Sentence[];
  readonly effort: number;
  /** How far the sizes of the parts are from the present ones, as a share. */
  readonly distance: number;
  /** The job as it would be: applying the advice is taking this. */
  readonly job: Job;
  readonly overall: Verdict;
  /** The verdict to fix, after the moves. */
  readonly fixed: Verdict;
  /** Figures before and after that a builder weighs: absent where not known. */
  readonly change: Readonly<
    Record<
      'stack' | 'reserve' | 'clearance' | 'pull',
      { readonly before?: number | undefined; readonly after?: number | undefined }
    >
  >;
}

const RANK: Readonly<Record<State | 'unknown', number>> = {
  good: 0,
  unknown: 1,
  watch: 2,
  stop: 3,
};

export interface AdviseOptions {
  readonly atHand?: AvailableParts;
  /** How many to return at most. */
  readonly most?: number;
}

/**
 * Evaluates every change a builder could make and returns those that make a verdict good without making any other worse. Sorted
 * by least effort, nearest size, greater reserve, lighter lever. Two moves together are tried where one is not enough.
 * @param verdict the verdict to fix; a verdict that is OK, not judged or fixed by hand has no advice,
 * see {@link manualFix}
 * Source: exhaustive evaluation; `docs/mechanics.md`, advice.
 * @example advise(twin, 'releases').length // 0
 */
export function advise(
  job: Job,
  verdict: VerdictId,
  { atHand = COMMON_STEELS, most = 5 }: AdviseOptions = {},
): Advice[] {
  const before = evaluate(job);
  const state = before.verdicts.find((v) => v.id === verdict)?.state;
  if ((state !== 'watch' && state !== 'stop') || manualFix(job, verdict)) return [];
  // These fix only their own verdicts; elsewhere they would only cost time.
  const own = OWN_MOVES[verdict] ?? none;
  const moves = [...movesFor(job, atHand), ...own(job)];
  const singles = moves.flatMap((move) => tryMoves(job, before, verdict, [move]) ?? []);
  const found =
    singles.length > 0
      ? singles
      : [...pairs(moves), ...fixed(job, moves, atHand)].flatMap(
          (pair) => tryMoves(job, before, verdict, pair) ?? [],
        );
  return found
    .sort(
      (a, b) =>
        a.effort - b.effort ||
        a.distance - b.distance ||
        (b.change.reserve.after ?? 0) - (a.change.reserve.after ?? 0) ||
        // A pull that is not known is not a light one.
        (a.change.pull.after ?? Infinity) - (b.change.pull.after ?? Infinity),
    )
    .slice(0, most);
}

const none = (): Move[] => [];

const OWN_MOVES: Partial<Record<VerdictId, (job: Job) => Move[]>> = {
  order: orderMoves,
  holds: orderMoves,
  releases: releaseMoves,
  pull: lighterMoves,
  start: creepMoves,
  coldDrag: coldMoves,
  coldCreep: coldMoves,
  auto: creepMoves,
};

function coldMoves(job: Job): Move[] {
  return [...gradeMoves(job), ...releaseMoves(job)];
}

function pairs(moves: readonly Move[]): Move[][] {
  return moves.flatMap((a, i) =>
    moves
      .slice(i + 1)
      .filter((b) => b.family !== a.family)
      .map((b) => [a, b]),
  );
}

/** Moves that change the stack height a lot, and the moves that correct the stack afterwards. */
const TALL_STACK: ReadonlySet<Move['family']> = new Set(['disc', 'spacer pair']);
const FIXES_OTHER_VERDICTS: ReadonlySet<Move['family']> = new Set(['steel mix', 'springs', 'shim']);

/** A move that changes the height, followed by one that only makes sense after it. */
function fixed(job: Job, moves: readonly Move[], atHand: AvailableParts): Move[][] {
  return moves
    .filter((m) => TALL_STACK.has(m.family))
    .flatMap((first) => {
      const changed = first.apply(job);
      return changed
        ? movesFor(changed, atHand)
            .filter((m) => FIXES_OTHER_VERDICTS.has(m.family))
            .map((second) => [first, second])
        : [];
    });
}

function tryMoves(
  job: Job,
  before: Evaluation,
  verdict: VerdictId,
  moves: readonly Move[],
): Advice | undefined {
  let changed: Job | undefined = job;
  for (const move of moves) changed = changed && move.apply(changed);
  if (!changed) return undefined;
  changed = followTrain(job, changed);
  const after = evaluate(changed);
  const cured = after.verdicts.find((v) => v.id === verdict) ?? gone(verdict);
  if (cured.state !== 'good' || isWorse(before, after)) return undefined;
  return {
    moves: moves.map((m) => m.label),
    effort: moves.reduce((sum, m) => sum + m.effort, 0),
    distance: moves.reduce((sum, m) => sum + (m.change ?? 0), 0),
    job: changed,
    overall: after.overall,
    fixed: cured,
    change: {
      stack: both(before, after, 'stack'),
      reserve: both(before, after, 'reserveWithTangs'),
      clearance: both(before, after, 'clearancePerFace'),
      pull: both(before, after, 'leverPull'),
    },
  };
}

/** A verdict that the change leaves nothing to judge by: wrong oil, once it is out. */
const gone = (id: VerdictId): Verdict => ({
  id,
  state: 'good',
  title: 'No longer applies',
  sentence: [],
  figures: [],
});

/** Verdicts on readings of the present pack: another pack must be measured again, so they do not count against it. */
const READ: ReadonlySet<string> = new Set(['caliper', 'gapRead'] satisfies VerdictId[]);

/** Whether any verdict has become worse; one that was not there before counts from good. */
function isWorse(before: Evaluation, after: Evaluation): boolean {
  const states = new Map(before.verdicts.map((v) => [v.id, v.state]));
  // A lever pull that can't be judged is not an improvement.
  if (states.has('pull') && !after.verdicts.some((v) => v.id === 'pull')) return true;
  if (stops(after) > stops(before)) return true;
  return after.verdicts.some(
    (v) => !READ.has(v.id) && RANK[v.state] > RANK[states.get(v.id) ?? 'good'],
  );
}

const stops = ({ problems }: Evaluation): number =>
  problems.filter((p) => p.state === 'stop').length;

function both(
  before: Evaluation,
  after: Evaluation,
  id: 'stack' | 'reserveWithTangs' | 'clearancePerFace' | 'leverPull',
) {
  const weakest = ({ figures }: Evaluation) => {
    const figure = figures.get(id);
    return figure?.status === 'known' ? (figure.range?.low ?? figure.value) : undefined;
  };
  return { before: weakest(before), after: weakest(after) };
}
