import type { SignOff } from './types';

/**
 * A new job is not signed, and nothing is signed over.
 * @example blankSignOff().revisions.length // 0
 */
export const blankSignOff = (): SignOff => ({ overrides: [], revisions: [] });

/**
 * Whether the record is signed and not reopened: nothing in it may change.
 * @example isFrozen(job) // true
 */
export const isFrozen = ({ signOff }: { readonly signOff: SignOff }): boolean =>
  signOff.revisions.length > 0 && signOff.reopened === undefined;
