import type { RawStore } from '@/storage/raw';
import type { RecordStore } from '@/storage/records';
import { sealedRecords } from '@/storage/records';

/** The process ended in the middle of writing. */
export class Killed extends Error {}

/** Storage in memory, one transaction after the other, that can be full and can be killed before any of them. */
export class MemoryRaw implements RawStore {
  /** As on a full disk. */
  full = false;
  /** As where the browser keeps nothing. */
  shut = false;
  /** Calls that wrote. */
  writes = 0;
  /** Transactions that wrote or took away. */
  steps = 0;
  /** The transaction at which the process ends. */
  killAt = Infinity;

  constructor(readonly kept = new Map<string, string>()) {}

  async getMany(keys: string[]) {
    if (this.shut) throw new Error('storage is shut');
    return Object.fromEntries(keys.map((key) => [key, this.kept.get(key) ?? null]));
  }

  async setMany(entries: Record<string, string>) {
    if (this.full) throw new DOMException('no room', 'QuotaExceededError');
    this.writes++;
    this.step(() => {
      for (const [key, text] of Object.entries(entries)) this.kept.set(key, text);
    });
  }

  async removeMany(keys: string[]) {
    this.step(() => {
      for (const key of keys) this.kept.delete(key);
    });
  }

  async getAllKeys() {
    if (this.shut) throw new Error('storage is shut');
    return [...this.kept.keys()];
  }

  private step(whole: () => void): void {
    if (this.steps >= this.killAt) throw new Killed();
    this.steps++;
    whole();
  }
}

/** Records in memory, with the texts that they lie in. */
export function memoryRecords(): {
  readonly raw: MemoryRaw;
  readonly kept: Map<string, string>;
  readonly records: RecordStore;
} {
  const raw = new MemoryRaw();
  return { raw, kept: raw.kept, records: sealedRecords(raw, 'test') };
}
