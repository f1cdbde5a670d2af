import type { Verdict, VerdictId } from '@/core/evaluate/engine/verdict';
import type { Job, Stage } from '@/core/job/types';
import { gainReadings } from '@/core/setting/plans';
import type { LineTool } from '@/core/worksheet/line';

/** The place where a verdict is fixed: a stage, and a checklist step if there is one. */
export interface Place {
  readonly stage: Stage;
  readonly step?: LineTool;
}

const PLACES: Partial<Record<Verdict['id'], Place>> = {
  caliper: { stage: 'inspect' },
  heads: { stage: 'build', step: 'heads' },
  gapRead: { stage: 'build', step: 'gapRead' },
  even: { stage: 'set', step: 'lift' },
  repeat: { stage: 'set', step: 'lift' },
  thumb: { stage: 'set', step: 'thumb' },
  freePlay: { stage: 'set', step: 'freePlay' },
  installGap: { stage: 'set', step: 'gap' },
  gapWays: { stage: 'set', step: 'gap' },
  endFloat: { stage: 'set', step: 'endFloat' },
  chain: { stage: 'set', step: 'chain' },
};
const SPECIFY: Place = { stage: 'specify' };
const BY_GAIN: Place = { stage: 'prove', step: 'gain' };

/**
 * Finds the place where a verdict is fixed. A measured gain is fixed where it is read, a calculated one at Specify.
 * Never throws.
 * @example stageOfVerdict(quad, 'freePlay').stage // "set"
 */
export function stageOfVerdict(job: Job, verdict: Verdict['id']): Place {
  if (verdict === 'gain' && gainReadings(job).length > 0) return BY_GAIN;
  return PLACES[verdict] ?? SPECIFY;
}

/**
 * The place to fix a verdict by hand, when no other part or setting fixes it: read, set or fit again. Undefined for verdicts
 * that {@link advise} can fix: all of Specify except the place of a judder spring, and the install gap limits.
 * Never throws.
 * @example manualFix(quad, 'freePlay').step // "freePlay"
 */
export function manualFix(job: Job, verdict: VerdictId): Place | undefined {
  const place = stageOfVerdict(job, verdict);
  const tried = verdict === 'installGap' || (place === SPECIFY && verdict !== 'judder');
  return tried ? undefined : place;
}
