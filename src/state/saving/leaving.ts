import { nanoid } from '@reduxjs/toolkit';
import { str as crc32 } from 'crc-32';

import { copyOfEdit } from '@/core/job/derive';

import { JOB_KEY } from './readJobs';
import type { Damage, RecordStore } from '@/storage/records';
import { ROWS_KEY } from './rowRecords';
import { isPlainRecord, storedJob } from './storedJob';
import { threeWay } from '@/storage/threeWay';

/*
 * Saving when a page closes: its database can't be awaited, so unsaved records go to local storage synchronously, and into the
 * records at the next opening.
 */

interface Left {
  readonly key: string;
  /** Nothing where the record was taken away. */
  readonly value?: unknown;
  /** Mark of the record that the change was made to; nothing where there was none. */
  readonly before?: string;
}

const markOf = (value: unknown): string | undefined =>
  value === undefined ? undefined : (crc32(JSON.stringify(value)) >>> 0).toString(16);

/** Local storage, where the browser lets anybody use it. */
function local(): Storage | undefined {
  try {
    return typeof localStorage === 'undefined' ? undefined : localStorage;
  } catch {
    return undefined;
  }
}

const prefixOf = (workshop: string): string => `${workshop}-left-`;

/** Data left by a closed page. */
export class Leaving {
  private readonly key: string;
  private left = false;

  constructor(workshop: string) {
    this.key = prefixOf(workshop) + nanoid(8);
  }

  /**
   * Writes unsaved records to local storage.
   * @param changed records as they should be
   * @param gone records that should be taken away
   * @param written records as this page last read or wrote them
   */
  put(
    changed: ReadonlyMap<string, unknown>,
    gone: readonly string[],
    written: ReadonlyMap<string, unknown>,
  ): void {
    const left: Left[] = [
      ...[...changed].map(([key, value]) => ({ key, value })),
      ...gone.map((key) => ({ key })),
    ].map((item) => {
      const before = markOf(written.get(item.key));
      return before === undefined ? item : { ...item, before };
    });
    try {
      local()?.setItem(this.key, JSON.stringify(left));
      this.left = true;
    } catch {
      // No room there either: the browser has asked before the page went.
    }
  }

  /** All is stored after all: the page came back, or was quick enough. */
  clear(): void {
    if (!this.left) return;
    this.left = false;
    local()?.removeItem(this.key);
  }
}

/** Stores the data left by closed pages; a job changed since then is kept as a copy. */
export async function storeLeft(
  workshop: string,
  records: RecordStore,
): Promise<readonly Damage[]> {
  const place = local();
  const keys = place ? Object.keys(place).filter((key) => key.startsWith(prefixOf(workshop))) : [];
  const damaged: Damage[] = [];
  for (const key of keys) {
    const left = leftIn(place?.getItem(key));
    const now = await records.read(left.map((item) => item.key));
    damaged.push(...now.damaged);
    const { changed, gone } = sorted(left, now.records);
    const { foreign } = await records.write(changed, gone);
    // Another tab was quicker by a moment: it is done at the next opening.
    if (foreign.length === 0) place?.removeItem(key);
  }
  return damaged;
}

function sorted(left: readonly Left[], now: ReadonlyMap<string, unknown>) {
  const changed = new Map<string, unknown>();
  const gone: string[] = [];
  for (const { key, value, before } of left) {
    const stored = now.get(key);
    const mark = markOf(stored);
    if (mark === markOf(value)) continue;
    if (mark === before) {
      if (value === undefined) gone.push(key);
      else changed.set(key, value);
    } else if (key.startsWith(JOB_KEY)) {
      const job = storedJob(value);
      if (!job) continue;
      const copy = copyOfEdit(job, nanoid(10), job.updatedAt);
      changed.set(JOB_KEY + copy.id, copy);
    } else if (value !== undefined && !key.startsWith(ROWS_KEY)) {
      changed.set(key, threeWay(undefined, stored, value));
    }
  }
  return { changed, gone };
}

/** The text is our own; one that somebody cut is nothing. */
function leftIn(text: string | null | undefined): readonly Left[] {
  try {
    const left: unknown = JSON.parse(text ?? '[]');
    return Array.isArray(left)
      ? left.filter((item): item is Left => isPlainRecord(item) && typeof item.key === 'string')
      : [];
  } catch {
    return [];
  }
}
