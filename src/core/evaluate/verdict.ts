import type { FigureId, Outcome, State } from './figure';
import type { Sentence } from './sentence';

export type VerdictId =
  | 'order'
  | 'holds'
  | 'releases'
  | 'pull'
  | 'stack'
  | 'coils'
  | 'pressure'
  | 'gap'
  | 'gapRead'
  | 'step'
  | 'ring'
  | 'retention'
  | 'basketRetention'
  | 'start'
  | 'wear'
  | 'oil'
  | 'heat'
  | 'caliper'
  | 'judder'
  | 'even'
  | 'auto'
  | 'installGap'
  | 'gain'
  | 'ownRatio'
  | 'freePlay'
  | 'heads'
  | 'gapWays'
  | 'thumb'
  | 'repeat'
  | 'endFloat'
  | 'chain';

/** What takes up by itself must first touch this far above idle, as a share of idle. Design estimate. */
export const IDLE_MARGIN = 0.15;

/** A judgement in words: a state, a few words, and a sentence with the number and the reason. */
export interface Verdict {
  readonly id: VerdictId | 'overall';
  readonly state: State | 'unknown';
  readonly title: string;
  readonly sentence: Sentence;
  /** The figures it rests on. */
  readonly figures: readonly FigureId[];
}

/**
 * A question that can't be answered yet, with what the outcome says is lacking; `stop` where entries contradict each other.
 * Never throws.
 * @example unknownVerdict('stack', 'Stack not judged yet', undefined).state // "unknown"
 */
export function unknownVerdict(
  id: VerdictId,
  title: string,
  outcome: Outcome | undefined,
): Verdict {
  const reason = outcome?.status === 'unknown' ? outcome.reason : 'Nothing is entered yet.';
  // What contradicts itself is a fault, what is missing is only not there yet.
  const state = outcome?.status === 'unknown' && outcome.cause ? 'stop' : 'unknown';
  return { id, state, title, sentence: [reason], figures: outcome ? [outcome.id] : [] };
}
