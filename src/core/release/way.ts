import { LAYOUTS } from '../guide/layouts';
import type { Job } from '../job/types';

/** What opens the pack: a hydraulic line, a cable, or the shift pedal. */
export type ReleasedBy = 'hydraulic' | 'cable' | 'pedal';

/**
 * The release of a job. Behind a start clutch, a measured lift belongs to the shift pedal: there is no hand lever train to
 * calculate.
 * Source: workshop practice. Never throws.
 * @example releasedBy(farm) // "pedal"
 */
export function releasedBy({ release, machine }: Pick<Job, 'release' | 'machine'>): ReleasedBy {
  if (release.type === 'hydraulic') return 'hydraulic';
  const { shoes, plates } = LAYOUTS[machine.layout];
  return release.type === 'measured' && shoes && plates ? 'pedal' : 'cable';
}
