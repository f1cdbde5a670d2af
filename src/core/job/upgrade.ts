import { EARLIER_PARTS, EARLIER_STEPS } from '../strip/earlierKeys';
import type { Job } from './types';
import { blankBuild, blankProve, blankWork } from './work';
import { blankSignOff } from './signOff';

/** Parts of the record that earlier versions did not have. */
type Later = 'duty' | 'variants' | 'work' | 'build' | 'prove' | 'signOff' | 'visits';

/** A record as an earlier version of the product kept it. */
export type EarlierJob = Omit<Job, Later> & Partial<Pick<Job, Later>>;

/**
 * Upgrades a record of an earlier version; new parts start empty.
 * @example upgradeJob(job).id // "crag"
 */
export const upgradeJob = (job: EarlierJob): Job => ({
  ...job,
  duty: job.duty ?? {},
  variants: job.variants ?? [],
  work: job.work ?? blankWork(),
  build: job.build ?? blankBuild(),
  prove: job.prove ?? blankProve(),
  signOff: job.signOff ?? blankSignOff(),
  visits: job.visits ?? [],
  strip: {
    ...job.strip,
    steps: job.strip.steps.map((step) => withKey(step, EARLIER_STEPS[step.text])),
    parts: job.strip.parts.map((part) => withKey(part, EARLIER_PARTS[part.name])),
  },
});

/** A line with its key, where it has none and its words are those of a standard line. */
const withKey = <T extends { readonly key?: string }>(line: T, key: string | undefined): T =>
  line.key !== undefined || key === undefined ? line : { ...line, key };
