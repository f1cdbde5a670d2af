import type { Move } from '../../advice/move';
import { entry } from '../../job/entry';
import type { Job } from '../../job/types';
import type { Mm } from '../../units/quantity';
import type { SetEntry } from '../form';
import { countOf } from '@/core/text/countOf';

/** Most marks either way that a gap is tried at. */
const GAP_TRIES = 24;

/**
 * The install gap a few marks wider or narrower, and to the middle of its limits.
 * @example gapMoves(quad, withEntry)[0].family // "gap"
 */
export function gapMoves(job: Job, set: SetEntry): Move[] {
  const { installGap, gapMin, gapMax, pitch, marksPerTurn, linkage } = job.setting;
  if (!installGap) return [];
  const to = (label: string, gap: Mm): Move => ({
    family: 'gap',
    label: [label],
    effort: 1,
    apply: (j) => (gap > 0 ? set(j, 'setting.installGap', entry(gap)) : undefined),
  });
  const moves: Move[] = [];
  if (gapMin && gapMax && gapMin.value <= gapMax.value)
    moves.push(to('Install gap to the middle of its limits', (gapMin.value + gapMax.value) / 2));
  if (pitch) {
    const marks = marksPerTurn?.value ?? 1;
    const perMark = (pitch.value * (linkage?.value ?? 1)) / marks;
    for (let n = 1; n <= GAP_TRIES; n++) {
      const name = countOf(n, 'mark');
      moves.push(
        to(`Install gap ${name} wider`, installGap.value + n * perMark),
        to(`Install gap ${name} narrower`, installGap.value - n * perMark),
      );
    }
  }
  return moves;
}
