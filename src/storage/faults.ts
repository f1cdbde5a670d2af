/* What failed, told truly: one place that logs it and puts it into words. */

export interface Failure {
  /** What the browser or the program says of it. */
  readonly reason: string;
  /** No room is left. */
  readonly full: boolean;
}

/** The reason of what was thrown, and whether it is that no room is left. */
export function describeFailure(error: unknown): Failure {
  // What a browser throws is not everywhere an Error.
  const { name = '', message = '' } =
    typeof error === 'object' && error !== null
      ? (error as { readonly name?: string; readonly message?: string })
      : {};
  return {
    reason: message === '' ? 'the browser gave no reason' : message,
    full: /quota|full disk|no space/i.test(`${name} ${message}`),
  };
}

/**
 * Logs what failed, and says it: that no room is left only where that is so.
 * @param what in a sentence without its stop: "The backup could not be made"
 */
export function reportFault(what: string, error: unknown): string {
  console.error(what, error);
  const { reason, full } = describeFailure(error);
  return full
    ? `${what}: no storage space left in this browser.`
    : `${what}: ${reason.replace(/[.\s]+$/, '')}.`;
}
