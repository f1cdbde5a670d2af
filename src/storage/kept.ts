/*
 * A browser short of space may delete the workshop silently. It keeps cookies: one that only says "there was a workshop"
 * distinguishes a loss from a first visit.
 */

/** As long as browsers keep a cookie, in seconds: 400 days from the last time that something was stored. */
const LONGEST = 400 * 24 * 60 * 60;

/** `gone`: the loss was detected but not yet read. */
type Kept = 'kept' | 'gone';

/** Cookies are shared by all ports of a host, storage is not: each port has its own. */
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

/** The known state of a workshop of that name; undefined if nothing was ever entered. */
export function keptState(workshop: string): Kept | undefined {
  const cookies = cookiesHere();
  return (['gone', 'kept'] as const).find((k) => cookies.includes(`${nameOf(workshop)}=${k}`));
}

/** Remembers that a workshop has entries; an unread loss stays one. */
export function rememberKept(workshop: string): void {
  if (keptState(workshop) !== 'gone') write(workshop, 'kept');
}

/** Remembers a loss until it was read. */
export const rememberGone = (workshop: string): void => write(workshop, 'gone');

/** The loss was read: from now on it is a workshop like any other. */
export const forgetGone = (workshop: string): void => write(workshop, 'kept');
