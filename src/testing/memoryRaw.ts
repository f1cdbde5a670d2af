import type { RawStore } from '@/storage/raw';
import type { RecordStore } from '@/storage/records';
import { sealedRecords } from '@/storage/records';

/** The process ended in the middle of writing. */
export class Killed extends Error {}

/** Storage in memory, one write after the other, that can be full and can be killed between any two writes. */
export class MemoryRaw implements RawStore {
  /** As on a full disk. */
  full = false;
  /** As where the browser keeps nothing. */
  shut = false;
  /** Calls that wrote. */
  writes = 0;
  /** Texts written and taken away. */
  steps = 0;
  /** The step at which the process ends. */
  killAt = Infinity;
  /** Whether the text that is written then is cut in half, or not begun. */
  tears = false;

  constructor(readonly kept = new Map<string, string>()) {}

  async getMany(keys: string[]) {
    if (this.shut) throw new Error('storage is shut');
    return Object.fromEntries(keys.map((key) => [key, this.kept.get(key) ?? null]));
  }

  async setMany(entries: Record<string, string>) {
    if (this.full) throw new DOMException('no room', 'QuotaExceededError');
    this.writes++;
    for (const [key, text] of Object.entries(entries))
      this.step(
        () => this.kept.set(key, text),
        () => this.kept.set(key, text.slice(0, text.length / 2)),
      );
  }

  async removeMany(keys: string[]) {
    for (const key of keys) this.step(() => this.kept.delete(key));
  }

  async getAllKeys() {
    if (this.shut) throw new Error('storage is shut');
    return [...this.kept.keys()];
  }

  private step(whole: () => void, torn?: () => void): void {
    if (this.steps >= this.killAt) {
      if (this.steps === this.killAt && this.tears) torn?.();
      this.steps++;
      throw new Killed();
    }
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
