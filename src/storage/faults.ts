/* Reports faults: the one place that logs them and puts them into words. */

export interface Failure {
  /** The reason from the browser or program. */
  readonly reason: string;
  /** No room is left. */
  readonly full: boolean;
}

/** The reason of an error, and whether storage is full. */
export function describeFailure(error: unknown): Failure {
  // Browsers do not always throw an Error.
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
 * Logs a fault and returns its message; a full storage is only named if it is one.
 * @param what in a sentence without its stop: "The backup could not be made"
 */
export function reportFault(what: string, error: unknown): string {
  console.error(what, error);
  const { reason, full } = describeFailure(error);
  return full
    ? `${what}: no storage space left in this browser.`
    : `${what}: ${reason.replace(/[.\s]+$/, '')}.`;
}
