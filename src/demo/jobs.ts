import type { Job } from '@/core/job/types';

import { creepsAtIdle, handsOff } from './atvs';
import { stiffWhenCold } from './fen';
import { hardToFindNeutral, narrowHub } from './oldAndBig';
import { signedLighterLever, slipsWhenHot } from './tarn';

/*
 * Sallow Gate Works, the invented workshop that ships with the product. Machines, figures and dates are invented; only inputs
 * are here, every result comes from the core.
 */

const MAKERS: readonly (readonly [number: string, make: () => Job])[] = [
  ['UR-0107', stiffWhenCold],
  ['UR-0105', creepsAtIdle],
  ['UR-0106', slipsWhenHot],
  ['UR-0103', hardToFindNeutral],
  ['UR-0102', handsOff],
  ['UR-0104', narrowHub],
  ['UR-0101', signedLighterLever],
];

/** The jobs of the demo workshop, newest first. */
export const demoJobs = (): Job[] => MAKERS.map(([, make]) => make());

/** One demo job, by its number. @throws {RangeError} when there is none */
export function demoJob(number: string): Job {
  const maker = MAKERS.find(([known]) => known === number);
  if (!maker) throw new RangeError(`no demo job ${number}`);
  return maker[1]();
}
