import type { FigureId, Need, Outcome, State } from './figure';
import type { Sentence } from '@/core/text/sentence';

/** The questions in the order in which they are answered. */
const ORDER = [
  'order',
  'holds',
  'releases',
  'pull',
  'stack',
  'coils',
  'pressure',
  'gap',
  'gapRead',
  'step',
  'ring',
  'retention',
  'basketRetention',
  'start',
  'wear',
  'oil',
  'heat',
  'coldDrag',
  'coldCreep',
  'caliper',
  'judder',
  'even',
  'auto',
  'installGap',
  'gain',
  'ownRatio',
  'freePlay',
  'heads',
  'gapWays',
  'thumb',
  'repeat',
  'endFloat',
  'chain',
] as const;

/** A kind of clutch may bring questions of its own: `ramps:overrun`. */
export type VerdictId = (typeof ORDER)[number] | `${string}:${string}`;

const RANKS: ReadonlyMap<string, number> = new Map(ORDER.map((id, i) => [id, i]));

/**
 * Where a verdict comes among the others; those of a kind's own come last.
 * @example verdictRank('order') // 0
 */
export const verdictRank = (id: Verdict['id']): number => RANKS.get(id) ?? ORDER.length;

/** Required margin of first contact above idle, as a share of idle. Assumed value. */
export const IDLE_MARGIN = 0.15;

/** A judgement in words: a state, a few words, and a sentence with the number and the reason. */
export interface Verdict {
  readonly id: VerdictId | 'overall';
  readonly state: State | 'unknown';
  readonly title: string;
  /** On which side of its limits a value is. */
  readonly side?: 'below' | 'above';
  readonly sentence: Sentence;
  /** What it still needs, where that is no input of its figures. */
  readonly need?: Need;
  /** The figures the verdict is based on. */
  readonly figures: readonly FigureId[];
}

/**
 * A verdict that can't be judged yet, with the missing inputs; `stop` where entries contradict each other.
 * Never throws.
 * @example unknownVerdict('stack', 'Stack not judged', undefined).state // "unknown"
 */
export function unknownVerdict(
  id: VerdictId,
  title: string,
  outcome: Outcome | undefined,
): Verdict {
  const reason = outcome?.status === 'unknown' ? outcome.reason : 'Nothing entered yet.';
  // Contradicting entries are a fault; missing entries are not.
  const state = outcome?.status === 'unknown' && outcome.cause ? 'stop' : 'unknown';
  return { id, state, title, sentence: [reason], figures: outcome ? [outcome.id] : [] };
}
