import type { Job } from '../job/types';
import { simulateJob } from '../sure/simulate';
import type { MapPack, MapRequest } from './pack';
import { jobOfPack } from './pack';

/** How sure a pack is; undefined for a question that can't be answered. */
export interface PackChance {
  readonly holds: number | undefined;
  readonly releases: number | undefined;
}

/** Runs for one pack: to a hundredth. */
const RUNS = 1000;

/**
 * The chance of each pack of a map to hold and to release, in their order.
 * @param onProgress the share done; an answer of `false` stops with those that are done
 * Never throws for packs of a map of this job. Source: `docs/mechanics.md` sections 17 and 18.
 * @example surePacks(job, { vary: [], steels: [], springs: [], discs: [] }, []) // []
 */
export function surePacks(
  job: Job,
  request: MapRequest,
  packs: readonly MapPack[],
  onProgress?: (share: number) => boolean,
): readonly PackChance[] {
  const chances: PackChance[] = [];
  for (const pack of packs) {
    const { holds, releases } = simulateJob(jobOfPack(job, request, pack), { runs: RUNS }).chances;
    chances.push({ holds: holds?.share, releases: releases?.share });
    if (onProgress?.(chances.length / packs.length) === false) break;
  }
  return chances;
}
