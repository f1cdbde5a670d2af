import type { Job } from '@/core/job/types';

import { creepsAtIdle, handsOff } from './atvs';
import { hardToFindNeutral, narrowHub } from './oldAndBig';
import { signedLighterLever, slipsWhenHot } from './tarn';

/*
 * Sallow Gate Works, the invented workshop that ships with the product. Machines, figures and dates are made
 * up; only inputs stand here, every result is worked out by the core.
 */

/** The jobs of the demo workshop, newest first. */
export function demoJobs(): Job[] {
  return [
    creepsAtIdle(),
    slipsWhenHot(),
    hardToFindNeutral(),
    handsOff(),
    narrowHub(),
    signedLighterLever(),
  ];
}

/** One demo job, by its number. @throws {RangeError} when there is none */
export function demoJob(number: string): Job {
  const job = demoJobs().find((j) => j.number === number);
  if (!job) throw new RangeError(`no demo job ${number}`);
  return job;
}
