import { LAYOUTS } from '../guide/layouts';
import type { Job } from '../job/types';

/** What opens the pack: a hydraulic line, a cable, or the shift pedal of a machine without a hand lever. */
export type ReleasedBy = 'hydraulic' | 'cable' | 'pedal';

/**
 * What opens the pack of a job. Behind a start clutch, a lift that is only measured is the shift pedal's: there is no
 * train from a hand lever to work out.
 * Source: workshop practice. Never throws.
 * @example releasedBy(farm) // "pedal"
 */
export function releasedBy({ release, machine }: Pick<Job, 'release' | 'machine'>): ReleasedBy {
  if (release.type === 'hydraulic') return 'hydraulic';
  const { shoes, plates } = LAYOUTS[machine.layout];
  return release.type === 'measured' && shoes && plates ? 'pedal' : 'cable';
}
