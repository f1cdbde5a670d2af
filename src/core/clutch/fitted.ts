import type { SpringModel } from '../evaluate/engine/sheet';
import type { CoilGroup, Job } from '../job/types';
import type { ClutchKind } from './kind';
import { CLUTCH_KINDS } from './kinds';

/* The kinds of clutch fitted in a job. */

export const SPRING_KINDS = CLUTCH_KINDS.filter((kind) => kind.springs);
/** Kinds that are attached to a clutch, optionally. */
export const ATTACHMENTS = CLUTCH_KINDS.filter((kind) => kind.choice);

/**
 * The kinds fitted in a job: its springs, and its attachments.
 * @example fittedKinds(job).map((k) => k.id) // ["coil"]
 */
export function fittedKinds(job: Job): readonly ClutchKind[] {
  let kinds = known.get(job);
  if (!kinds) known.set(job, (kinds = CLUTCH_KINDS.filter((kind) => kind.isFitted(job))));
  return kinds;
}

/** An evaluation asks for the kinds of one record a dozen times; a record never changes. */
const known = new WeakMap<Job, readonly ClutchKind[]>();

/**
 * How the springs of a job press. @throws {RangeError} for springs of no kind in the list
 * @example springsOf(job).ofGroups // true
 */
export function springsOf(job: Job): SpringModel {
  const model = SPRING_KINDS.find((kind) => kind.isFitted(job))?.springs;
  if (!model) throw new RangeError(`no kind of springs is ${job.springs.type}`);
  return model;
}

/**
 * The kinds of coil spring that press the pack; none where other springs do.
 * @example coilGroups(job).length // 1
 */
export const coilGroups = (job: Job): readonly CoilGroup[] =>
  springsOf(job).ofGroups ? job.springs.coil.groups : [];

/**
 * The kind in a job that engages by speed, in the pack itself or before it.
 * @example engagesByItself(quad, 'inPack').name // "expanding disc"
 */
export const engagesByItself = (
  job: Job,
  where?: NonNullable<ClutchKind['takesUp']>,
): ClutchKind | undefined =>
  fittedKinds(job).find((kind) => kind.takesUp && (where === undefined || kind.takesUp === where));
