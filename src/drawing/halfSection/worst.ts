import type { Evaluation } from '@/core/evaluate/evaluate';
import type { VerdictId } from '@/core/evaluate/engine/verdict';

import type { PartId } from './shape';

/** The part of a verdict, besides the plates, which have their own marks. */
const PLACES: Readonly<Partial<Record<VerdictId, PartId>>> = {
  holds: 'springs',
  coils: 'springs',
  ring: 'springs',
  gap: 'springs',
  gapRead: 'springs',
  step: 'retainer',
  retention: 'hub',
  basketRetention: 'basket',
  releases: 'release',
  pull: 'release',
  freePlay: 'release',
  even: 'pressurePlate',
  thumb: 'pressurePlate',
  repeat: 'release',
  start: 'startClutch',
};

/** The part of a job's worst verdict, if that is a stop. */
export function worstPart({ verdicts }: Pick<Evaluation, 'verdicts'>): PartId | undefined {
  const worst = verdicts.find((v) => v.state === 'stop' && v.id in PLACES);
  return worst && PLACES[worst.id as VerdictId];
}
