import { str as crc32 } from 'crc-32';

/*
 * Storage format of a record: `ur2 9ae1c07f {…}`: layout version, checksum of the rest, and JSON. Version 1 was bare JSON, and
 * for a photograph the bare data URL.
 */

/** Version of the layout of records. */
export const LAYOUT = 2;

const HEAD = /^ur(\d{1,4}) ([0-9a-f]{8}) /;

/** A record that a newer version of the program wrote: it must not be touched by this one. */
export class NewerRecords extends Error {
  constructor(version: number) {
    super(
      `it was written by a newer version of Under Ridge (record version ${version}, this one reads ${LAYOUT})`,
    );
    this.name = 'NewerRecords';
  }
}

const sumOf = (text: string): string => (crc32(text) >>> 0).toString(16).padStart(8, '0');

export function seal(value: unknown): string {
  const body = JSON.stringify(value);
  return `ur${LAYOUT} ${sumOf(body)} ${body}`;
}

/** The mark of a record's text: its stored checksum, or its calculated one. */
export const markOf = (text: string): string => HEAD.exec(text)?.[2] ?? sumOf(text);

/**
 * The record in a text, or nothing when the text is damaged.
 * @throws {NewerRecords}
 */
export function unseal(text: string): { readonly value: unknown } | undefined {
  const head = HEAD.exec(text);
  if (!head) return openFirstReadable(text);
  if (Number(head[1]) > LAYOUT) throw new NewerRecords(Number(head[1]));
  return isWhole(text) ? parsed(text.slice(head[0].length)) : undefined;
}

/** Whether a text is a record as it was written. */
export function isWhole(text: string): boolean {
  const head = HEAD.exec(text);
  if (!head) return openFirstReadable(text) !== undefined;
  // The version is outside the sum: an earlier one never had a head.
  return Number(head[1]) === LAYOUT && sumOf(text.slice(head[0].length)) === head[2];
}

/** A record of version 1. */
const openFirstReadable = (text: string) =>
  text.startsWith('data:') ? { value: text } : /^[[{]/.test(text) ? parsed(text) : undefined;

function parsed(text: string): { readonly value: unknown } | undefined {
  try {
    return { value: JSON.parse(text) as unknown };
  } catch {
    return undefined;
  }
}
