import type { Advice } from '@/core/advice/advise';
import { advise } from '@/core/advice/advise';
import type { AvailableParts } from '@/core/advice/moves';
import { DomainError } from '@/core/errors';
import type { VerdictId } from '@/core/evaluate/engine/verdict';
import type { EngagementResult } from '@/core/heat/engagement';
import type { EngagementQuestion } from '@/core/heat/question';
import { engageFrom } from '@/core/heat/question';
import type { Job } from '@/core/job/types';
import { toleranceOf } from '@/core/pack/jobTolerance';
import type { ToleranceRun } from '@/core/pack/tolerance';
import { simulateTolerance } from '@/core/pack/tolerance';
import type { ShelfRequest } from '@/core/shelf/jobShelf';
import { chooseSteels } from '@/core/shelf/jobShelf';
import type { ShelfAnswer } from '@/core/shelf/solver';
import type { Sureness } from '@/core/sure/simulate';
import { simulateJob } from '@/core/sure/simulate';
import type { Way } from '@/core/takeoff/hands';
import type { NamedJob, PackTakeoff } from '@/core/takeoff/packs';
import { takeoffOfPacks } from '@/core/takeoff/packs';
import type { PackChance } from '@/core/tradeMap/surePacks';
import { surePacks } from '@/core/tradeMap/surePacks';
import type { MapPack, MapRequest } from '@/core/tradeMap/pack';
import type { TradeMap } from '@/core/tradeMap/tradeMap';
import { tradeMap } from '@/core/tradeMap/tradeMap';
import type { Celsius } from '@/core/units/quantity';

/** The result of a run, or the reason for refusal. Errors lose their class between threads. */
export type RunOutcome<T> =
  | { readonly ok: true; readonly result: T }
  | { readonly ok: false; readonly path: string; readonly accepted: string };

/** The share done; of some runs now and then what there is so far. */
export type RunProgress = (share: number, soFar?: unknown) => void;

/** Between two results that are sent while a run goes on, ms. */
const SO_FAR_EVERY = 700;

/** The heavy runs of the core, each of plain data. The same in a worker, in Node and in a test. */
export const heavyRuns = {
  tolerance: (
    job: Job,
    packs: number,
    seed: number,
    onProgress?: RunProgress,
  ): RunOutcome<ToleranceRun> =>
    taken(() => simulateTolerance(toleranceOf(job, packs, seed), reporting(onProgress))),
  sure: (job: Job, onProgress?: RunProgress): RunOutcome<Sureness> =>
    taken(() => simulateJob(job, {}, reporting(onProgress))),
  tradeMap: (job: Job, request: MapRequest, onProgress?: RunProgress): RunOutcome<TradeMap> =>
    taken(() => {
      let last = Date.now();
      return tradeMap(job, request, (share, soFar) => {
        const due = Date.now() - last > SO_FAR_EVERY;
        if (due) last = Date.now();
        onProgress?.(share, due ? soFar() : undefined);
        return true;
      });
    }),
  /** How sure each pack of a map is to hold and to release, in their order. */
  surePacks: (
    job: Job,
    request: MapRequest,
    packs: readonly MapPack[],
    onProgress?: RunProgress,
  ): RunOutcome<readonly PackChance[]> =>
    taken(() => surePacks(job, request, packs, reporting(onProgress))),
  shelf: (job: Job, wish: ShelfRequest, onProgress?: RunProgress): RunOutcome<ShelfAnswer> =>
    taken(() => chooseSteels(job, wish, reporting(onProgress))),
  advice: (job: Job, verdict: VerdictId, atHand: AvailableParts): RunOutcome<Advice[]> =>
    taken(() => advise(job, verdict, { atHand })),
  takeoff: (
    packs: readonly NamedJob[],
    way: Way,
    oil: Celsius,
  ): RunOutcome<readonly PackTakeoff[]> => taken(() => takeoffOfPacks(packs, way, oil)),
  engagement: (question: EngagementQuestion): RunOutcome<EngagementResult> =>
    taken(() => engageFrom(question)),
};

export type HeavyRuns = typeof heavyRuns;

/** A run is stopped by ending its worker, so progress never answers no. */
const reporting = (onProgress?: RunProgress) => (share: number) => {
  onProgress?.(share);
  return true;
};

function taken<T>(work: () => T): RunOutcome<T> {
  try {
    return { ok: true, result: work() };
  } catch (error) {
    if (!(error instanceof DomainError)) throw error;
    return { ok: false, path: error.path, accepted: error.accepted };
  }
}
