import type { VerdictId } from '../evaluate/verdict';
import type { Job, Stage } from '../job/types';
import { gainReadings } from '../setting/plans';
import type { LineTool } from '../worksheet/line';

/** Where hands put something right: a stage, and its step where the sheet has one. */
export interface HandRemedy {
  readonly stage: Stage;
  readonly step?: LineTool;
}

/** What no other part would cure: it is read, set or fitted anew, as the verdict itself says. */
const BY_HAND: Partial<Record<VerdictId, HandRemedy>> = {
  caliper: { stage: 'inspect' },
  judder: { stage: 'specify' },
  heads: { stage: 'build', step: 'heads' },
  gapRead: { stage: 'build', step: 'gapRead' },
  even: { stage: 'set', step: 'lift' },
  repeat: { stage: 'set', step: 'lift' },
  thumb: { stage: 'set', step: 'thumb' },
  freePlay: { stage: 'set', step: 'freePlay' },
  gapWays: { stage: 'set', step: 'gap' },
  endFloat: { stage: 'set', step: 'endFloat' },
  chain: { stage: 'set', step: 'chain' },
};
const BY_GAIN: HandRemedy = { stage: 'prove', step: 'gain' };

/**
 * Where a verdict is put right by hand; nothing where other parts or settings may cure it, which is for {@link advise} to
 * try. A gain that was read is one thing, a gain that is only worked out another: that one a wider gap cures on paper
 * already. Never throws.
 * @example handRemedy(quad, 'freePlay').stage // "set"
 */
export function handRemedy(job: Job, verdict: VerdictId): HandRemedy | undefined {
  if (verdict === 'gain') return gainReadings(job).length > 0 ? BY_GAIN : undefined;
  return BY_HAND[verdict];
}
