import { check, DomainError } from '../errors';
import type { FieldPath } from '../job/fieldPath';
import { MAX_REVISIONS } from '../job/fields';
import type { Job, Override, Revision, SignedRecord } from '../job/types';

import { isFrozen } from '../job/signOff';
import { openItems } from './openItems';

/**
 * The record covered by a signature: the job without its earlier revisions and service visits.
 * @example signedRecordOf(job).number // "T-1"
 */
export function signedRecordOf({ signOff, visits: _returns, ...rest }: Job): SignedRecord {
  return { ...rest, overrides: signOff.overrides };
}

/**
 * Signs a job: its record becomes a permanent revision, and the job is frozen until reopened.
 * @param digestOf SHA-256 of the record in canonical form, in hex; given by the caller so that the core stays pure
 * @param at ISO time
 * @returns the same job when its last revision has no changes
 * @param unfinished fields with drafts
 * @throws {DomainError} for a job with as many revisions as a file takes, without a name to sign with, or with anything open
 *   that no reason is written for
 * @example signed(reopened(job, 'lighter springs'), 'Bench 1', now, () => 'a'.repeat(64)).signOff.revisions.length // 2
 */
export function signed(
  job: Job,
  by: string,
  at: string,
  digestOf: (record: SignedRecord) => string,
  unfinished: readonly FieldPath[] = [],
): Job {
  if (isFrozen(job)) return job;
  check('revisions', job.signOff.revisions.length, { min: 0, below: MAX_REVISIONS });
  if (by.trim() === '') throw new DomainError('by', 'the name of the signer', by);
  const open = openItems(job, unfinished).filter((item) => item.override === undefined);
  if (open.length > 0)
    throw new DomainError('signOff', 'a reason for every open item', open[0]?.title);
  const { reopened, ...signOff } = job.signOff;
  const next: Job = { ...job, stage: 'log', updatedAt: at };
  const record = signedRecordOf(next);
  const revision: Revision = {
    number: (signOff.revisions.at(-1)?.number ?? 0) + 1,
    signedAt: at,
    by: by.trim(),
    digest: digestOf(record),
    why: reopened ?? '',
    record,
  };
  return { ...next, signOff: { ...signOff, revisions: [...signOff.revisions, revision] } };
}

/**
 * Opens a signed job again to change it; the signed revision stays readable.
 * @param why in words; without any the job stays frozen
 * @example reopened(job, 'lighter springs').signOff.revisions.length // 1
 */
export const reopened = (job: Job, why: string): Job =>
  isFrozen(job) && why.trim() !== ''
    ? { ...job, signOff: { ...job.signOff, reopened: why.trim() } }
    : job;

/**
 * A job as it was signed, to be read: without revisions of its own.
 * @example jobOfRevision(job.signOff.revisions[0]).number // "T-1"
 */
export function jobOfRevision({ record }: Revision): Job {
  const { overrides, ...rest } = record;
  return { ...rest, signOff: { overrides, revisions: [] }, visits: [] };
}

/**
 * Writes, changes or, with empty text, takes away the reason to sign although an item is open.
 * @example withReason(blank, { itemId: 'parts', reason: 'no pins', by: 'Bench 1', at: now }).signOff.overrides.length // 1
 */
export function withReason(job: Job, override: Override): Job {
  const others = job.signOff.overrides.filter((o) => o.itemId !== override.itemId);
  return {
    ...job,
    signOff: {
      ...job.signOff,
      overrides: override.reason.trim() === '' ? others : [...others, override],
    },
  };
}
