import type { Verdict, VerdictId } from '@/core/evaluate/engine/verdict';
import type { Job, Stage } from '../job/types';
import { gainReadings } from '../setting/plans';
import type { LineTool } from '../worksheet/line';

/** Where something is put right: a stage, and its step where the sheet has one. */
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
 * Where a verdict is put right. A gain that was read is put right where it is read, one that is only worked out on paper.
 * Never throws.
 * @example placeOfVerdict(quad, 'freePlay').stage // "set"
 */
export function placeOfVerdict(job: Job, verdict: Verdict['id']): Place {
  if (verdict === 'gain' && gainReadings(job).length > 0) return BY_GAIN;
  return PLACES[verdict] ?? SPECIFY;
}

/**
 * Where a verdict is put right by hand, when no other part or setting would cure it: it is read, set or fitted anew, as the
 * verdict itself says. Nothing where that is for {@link advise} to try: all of Specify but the place of a judder spring, and
 * the install gap, which has its window. Never throws.
 * @example handRemedy(quad, 'freePlay').step // "freePlay"
 */
export function handRemedy(job: Job, verdict: VerdictId): Place | undefined {
  const place = placeOfVerdict(job, verdict);
  const tried = verdict === 'installGap' || (place === SPECIFY && verdict !== 'judder');
  return tried ? undefined : place;
}
