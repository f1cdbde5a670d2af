import { buf as crc32 } from 'crc-32';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';

import { FileRefused, MAX_BACKUP_BYTES } from './refused';

/* A backup: a zip with the workshop file and the photographs. Foreign content makes the whole refused. */

const WORKSHOP_NAME = 'workshop.json';
const PHOTO_NAME = /^photographs\/([A-Za-z0-9_-]{1,64})\.jpg$/;

const MAX_WORKSHOP_BYTES = 150_000_000;
const MAX_PHOTO_BYTES = 8_000_000;
const MAX_ALL_BYTES = 600_000_000;
const MAX_ENTRIES = 20_001;

export interface Backup {
  /** Text of the workshop file. */
  readonly workshop: string;
  /** JPEG photographs by identifier. */
  readonly photos: ReadonlyMap<string, Uint8Array>;
}

/** Packs a backup. Photographs are JPEG and are stored as they are. */
export function packBackup({ workshop, photos }: Backup): Uint8Array {
  const files: Record<string, [Uint8Array, { level: 0 | 6 }]> = {
    [WORKSHOP_NAME]: [strToU8(workshop), { level: 6 }],
  };
  for (const [id, bytes] of photos) files[`photographs/${id}.jpg`] = [bytes, { level: 0 }];
  return zipSync(files);
}

/**
 * Unpacks a backup, whole or not at all. Sizes are checked in the directory before unpacking, and no entry may exceed its
 * directory size.
 * @throws {FileRefused} for what is no zip, holds other names than ours, or is too large unpacked
 */
export function unpackBackup(bytes: Uint8Array): Backup {
  if (bytes.length > MAX_BACKUP_BYTES)
    throw new FileRefused(
      `The file is too large for a backup: ${(bytes.length / 1e6).toFixed(0)} MB, at most ${MAX_BACKUP_BYTES / 1e6} MB.`,
    );
  const gate = new Gate();
  let files: Record<string, Uint8Array>;
  try {
    files = unzipSync(bytes, { filter: (entry) => gate.lets(entry) });
  } catch {
    throw new FileRefused(
      gate.refused
        ? refusal(gate.refused)
        : isZip(bytes)
          ? 'The backup is damaged: the zip is broken or incomplete. Use another copy.'
          : 'The file is not a zip, so it is not a backup.',
    );
  }
  const { refused } = gate;
  if (refused !== undefined) throw new FileRefused(refusal(refused));
  refuseDamaged(files, checksums(bytes));
  const workshop = files[WORKSHOP_NAME];
  if (!workshop) throw new FileRefused(refusal(`“${WORKSHOP_NAME}” is missing.`));
  const photos = new Map<string, Uint8Array>();
  for (const [name, content] of Object.entries(files)) {
    const id = PHOTO_NAME.exec(name)?.[1];
    if (id === undefined) continue;
    if (content[0] !== 0xff || content[1] !== 0xd8)
      throw new FileRefused(refusal(`“${name}” is not a JPEG picture.`));
    photos.set(id, content);
  }
  return { workshop: strFromU8(workshop), photos };
}

const isZip = (bytes: Uint8Array): boolean => bytes[0] === 0x50 && bytes[1] === 0x4b;

/** Signatures of a zip's directory, and where its fields lie (PKWARE APPNOTE 4.3). */
const END_OF_DIRECTORY = 0x06054b50;
const DIRECTORY_ENTRY = 0x02014b50;
const END_SIZE = 22;
const ENTRY_SIZE = 46;

/** CRC-32 of each entry, as the directory of the zip has it. */
function checksums(bytes: Uint8Array): ReadonlyMap<string, number> {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const found = new Map<string, number>();
  let end = bytes.length - END_SIZE;
  while (end >= 0 && view.getUint32(end, true) !== END_OF_DIRECTORY) end--;
  if (end < 0) return found;
  let at = view.getUint32(end + 16, true);
  for (let n = view.getUint16(end + 10, true); n > 0; n--) {
    if (at + ENTRY_SIZE > bytes.length || view.getUint32(at, true) !== DIRECTORY_ENTRY) break;
    const length = view.getUint16(at + 28, true);
    const name = strFromU8(bytes.subarray(at + ENTRY_SIZE, at + ENTRY_SIZE + length));
    found.set(name, view.getUint32(at + 16, true));
    at += ENTRY_SIZE + length + view.getUint16(at + 30, true) + view.getUint16(at + 32, true);
  }
  return found;
}

/** Every entry must match its checksum: a flipped bit could change a reading. */
function refuseDamaged(
  files: Readonly<Record<string, Uint8Array>>,
  sums: ReadonlyMap<string, number>,
): void {
  for (const [name, content] of Object.entries(files))
    if (sums.get(name) !== crc32(content) >>> 0)
      throw new FileRefused(
        `The backup is damaged: “${name.slice(0, 80)}” fails its checksum. Use another copy.`,
      );
}

/** Judges the entries of a zip by its directory; the first that does not belong in a backup is remembered. */
class Gate {
  refused: string | undefined;
  private all = 0;
  private readonly seen = new Set<string>();

  lets({ name, originalSize }: { readonly name: string; readonly originalSize: number }): boolean {
    this.all += originalSize;
    this.refused ??= this.faultOf(name, originalSize);
    this.seen.add(name);
    return this.refused === undefined;
  }

  private faultOf(name: string, size: number): string | undefined {
    const most =
      name === WORKSHOP_NAME
        ? MAX_WORKSHOP_BYTES
        : PHOTO_NAME.test(name)
          ? MAX_PHOTO_BYTES
          : undefined;
    if (most === undefined) return `“${name.slice(0, 80)}” is not part of a backup.`;
    if (this.seen.has(name)) return `“${name}” appears twice.`;
    if (size > most)
      return `“${name}” would unpack to ${(size / 1e6).toFixed(0)} MB, at most ${most / 1e6} MB.`;
    return this.all > MAX_ALL_BYTES || this.seen.size >= MAX_ENTRIES
      ? 'it would unpack to more than the maximum size of a workshop.'
      : undefined;
  }
}

const refusal = (why: string) => `Not a backup of Under Ridge: ${why}`;
