import { JobSheet } from '../evaluate/engine/jobSheet';
import { trainTerm } from '../evaluate/figures/liftTerm';
import { entry } from '../job/entry';
import type { Entry, Job, Release } from '../job/types';

/**
 * Measured lifts as they would be read with another train: each grown by the same factor.
 * @param factor lift after ÷ before, above 0
 * @example scaledReadings(job.release, 2).liftReadings.length // 3
 */
export function scaledReadings(release: Release, factor: number): Release {
  const grown = (lift: Entry) => entry(lift.value * factor);
  return {
    ...release,
    ...(release.measuredLift ? { measuredLift: grown(release.measuredLift) } : {}),
    liftReadings: release.liftReadings.map((r) => (r.lift ? { ...r, lift: grown(r.lift) } : r)),
  };
}

/**
 * A changed job whose measured lift follows its changed train: what was measured with the old parts would be read in that
 * proportion with the new ones.
 * Never throws. Source: `docs/mechanics.md` section 7.
 * @example followTrain(job, job) // job
 */
export function followTrain(before: Job, after: Job): Job {
  const { release } = after;
  const isRead = release.measuredLift ?? release.liftReadings.some((r) => r.lift);
  if (release === before.release || release.type === 'measured' || !isRead) return after;
  const [was, is] = [before, after].map((job) => trainTerm(new JobSheet(job), true));
  return was?.known && is?.known && was.value > 0 && is.value > 0
    ? { ...after, release: scaledReadings(release, is.value / was.value) }
    : after;
}
