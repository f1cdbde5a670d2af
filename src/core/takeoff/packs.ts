import { DomainError } from '../errors';
import type { Job } from '../job/types';
import { jobWith, currentVariantName } from '../job/variants';
import type { Celsius } from '../units/quantity';
import type { Way } from './hands';
import { takeoffOf } from './setup';
import type { RepeatedStart } from './takeoff';
import { takeoffBy } from './takeoff';

/** A job with one of its packs, by the name of that pack. */
export interface NamedJob {
  readonly name: string;
  readonly job: Job;
}

/** Result of a type of start with one pack, or its missing inputs. */
export interface PackTakeoff {
  readonly name: string;
  readonly starts: readonly RepeatedStart[];
  readonly needs?: readonly string[];
}

/**
 * The current pack and its variants, to compare with the same hands.
 * @example packsOf(job).length // 1
 */
export const packsOf = (job: Job): readonly NamedJob[] => [
  { name: currentVariantName(job), job: { ...job, variants: [] } },
  ...job.variants.map((v) => ({ name: v.name, job: { ...jobWith(job, v), variants: [] } })),
];

/**
 * Simulates the same start with each of several packs.
 * @param packs the one being worked on first
 * @param oil °C
 * @throws {DomainError} when inputs of the first pack or its start are missing: it names them
 * Source: `docs/mechanics.md` section 10.
 * @example takeoffOfPacks([], gentle, 60).length // 0
 */
export function takeoffOfPacks(
  packs: readonly NamedJob[],
  way: Way,
  oil: Celsius,
): readonly PackTakeoff[] {
  return packs.map(({ name, job }, i) => {
    const setup = takeoffOf(job);
    if (!('needs' in setup)) return { name, starts: takeoffBy(setup, way, oil) };
    const needs = setup.needs.map((n) => n.label);
    if (i === 0) throw new DomainError('duty', needs.join(', '), undefined);
    return { name, starts: [], needs };
  });
}
