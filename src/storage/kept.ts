/*
 * A browser that is short of room may throw all of the stored workshop away, without a word. It leaves cookies alone: one
 * that says no more than that there was a workshop tells a loss from a first visit.
 */

/** As long as browsers keep a cookie, in seconds: 400 days from the last time that something was stored. */
const LONGEST = 400 * 24 * 60 * 60;

/** `gone`: its loss was found, and nobody has read of it yet. */
type Kept = 'kept' | 'gone';

/** Cookies are shared by all ports of a machine, what is stored is not: each port has its own. */
const nameOf = (workshop: string): string => `${workshop}-kept${location.port}`;

function write(workshop: string, value: Kept): void {
  try {
    document.cookie = `${nameOf(workshop)}=${value}; Max-Age=${LONGEST}; Path=/; SameSite=Strict`;
  } catch {
    // Site data is blocked: nothing is stored, so nothing can be lost.
  }
}

function cookiesHere(): readonly string[] {
  try {
    return document.cookie.split('; ');
  } catch {
    return [];
  }
}

/** What is known of a workshop of that name in this browser; nothing where nobody entered anything. */
export function keptState(workshop: string): Kept | undefined {
  const cookies = cookiesHere();
  return (['gone', 'kept'] as const).find((k) => cookies.includes(`${nameOf(workshop)}=${k}`));
}

/** Remembers that a workshop holds what somebody entered; a loss that nobody has read of stays one. */
export function rememberKept(workshop: string): void {
  if (keptState(workshop) !== 'gone') write(workshop, 'kept');
}

/** Remembers a loss until it was read. */
export const rememberGone = (workshop: string): void => write(workshop, 'gone');

/** The loss was read: from now on it is a workshop like any other. */
export const forgetGone = (workshop: string): void => write(workshop, 'kept');
