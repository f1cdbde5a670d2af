import { omit } from '../omit';
import type { Job, Variant, VariantParts } from './types';
import { VARIANT_PARTS } from './types';

/** Variants of a pack side by side, the one being worked on among them. */
export const MAX_VARIANTS = 4;

const partsOf = (from: VariantParts): VariantParts =>
  Object.fromEntries(
    VARIANT_PARTS.flatMap((part) => (from[part] === undefined ? [] : [[part, from[part]]])),
  ) as unknown as VariantParts;

/**
 * The name of the variant that is being worked on.
 * @example currentVariantName(blank) // "Current"
 */
export const currentVariantName = (job: Job): string => job.variantName ?? 'Current';

/**
 * Saves a copy of the current pack as a variant. Returns the same record when there is no room.
 * @param name of the copy
 * @example withVariant(blank, 'v', 'As it came').variants.length // 1
 */
export function withVariant(job: Job, id: string, name: string): Job {
  return job.variants.length + 1 >= MAX_VARIANTS
    ? job
    : { ...job, variants: [...job.variants, { id, name, ...partsOf(job) }] };
}

/**
 * Switches to a variant; the current pack takes its place, so nothing is lost.
 * @example withVariantInUse(withVariant(blank, 'v', 'As it came'), 'v').variants.length // 1
 */
export function withVariantInUse(job: Job, id: string): Job {
  const variant = job.variants.find((v) => v.id === id);
  if (!variant) return job;
  return {
    ...omit(job, 'fittings'),
    ...partsOf(variant),
    variantName: variant.name,
    variants: job.variants.map((v) =>
      v.id === id ? { id, name: currentVariantName(job), ...partsOf(job) } : v,
    ),
  };
}

/**
 * Takes a variant out.
 * @example withoutVariant(withVariant(blank, 'v', 'As it came'), 'v').variants.length // 0
 */
export const withoutVariant = (job: Job, id: string): Job =>
  job.variants.some((v) => v.id === id)
    ? { ...job, variants: job.variants.filter((v) => v.id !== id) }
    : job;

/**
 * Renames a variant, or the pack being worked on where no identifier is given.
 * @example withVariantName(withVariant(blank, 'v', 'As it came'), 'v', 'Old pack').variants[0].name // "Old pack"
 */
export function withVariantName(job: Job, id: string | undefined, name: string): Job {
  return id === undefined
    ? { ...job, variantName: name }
    : { ...job, variants: job.variants.map((v) => (v.id === id ? { ...v, name } : v)) };
}

/**
 * The job as it would be with a variant for its pack.
 * @example jobWith(job, withVariant(blank, 'v', 'Bare').variants[0]).pack.plates.length // 0
 */
export const jobWith = (job: Job, variant: Variant): Job => ({
  ...omit(job, 'fittings'),
  ...partsOf(variant),
});
