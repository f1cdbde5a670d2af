import type { VerdictId } from '../evaluate/verdict';
import type { Job, Stage } from '../job/types';
import { gainReadings } from '../setting/plans';

/** What no other part would cure: it is read, set or fitted anew, as the verdict itself says, and at this stage. */
const BY_HAND: Partial<Record<VerdictId, Stage>> = {
  caliper: 'inspect',
  judder: 'specify',
  heads: 'build',
  gapRead: 'build',
  even: 'set',
  freePlay: 'set',
  gapWays: 'set',
  thumb: 'set',
  repeat: 'set',
  endFloat: 'set',
  chain: 'set',
};

/**
 * The stage at which a verdict is put right by hand; nothing where other parts or settings may cure it, which is for
 * {@link advise} to try. A gain that was read is one thing, a gain that is only worked out another: that one a wider gap
 * cures on paper already. Never throws.
 * @example handRemedy(quad, 'freePlay') // "set"
 */
export function handRemedy(job: Job, verdict: VerdictId): Stage | undefined {
  if (verdict === 'gain') return gainReadings(job).length > 0 ? 'prove' : undefined;
  return BY_HAND[verdict];
}
