import { createAsyncStorage } from '@react-native-async-storage/async-storage';

/*
 * The one place that owns AsyncStorage. Everything above it deals in records: a key and a plain value.
 * Several records are written in one transaction, all of them or none.
 */

export interface RecordStore {
  readAll(): Promise<{
    readonly records: ReadonlyMap<string, unknown>;
    readonly damaged: readonly string[];
  }>;
  /** Writes and removes in as few transactions as there are: first what is new, then what goes. */
  write(changed: ReadonlyMap<string, unknown>, gone: readonly string[]): Promise<void>;
}

/** Opens the records of one workshop; each name is a database of its own. */
export function openRecords(name: string): RecordStore {
  const storage = createAsyncStorage(name);
  return {
    async readAll() {
      const keys = await storage.getAllKeys();
      const raw = await storage.getMany(keys);
      const records = new Map<string, unknown>();
      const damaged: string[] = [];
      for (const [key, text] of Object.entries(raw)) {
        if (text === null) continue;
        try {
          records.set(key, JSON.parse(text) as unknown);
        } catch {
          // Left where it is, so that its text can still be rescued.
          damaged.push(key);
        }
      }
      return { records, damaged };
    },
    async write(changed, gone) {
      if (changed.size > 0) {
        await storage.setMany(
          Object.fromEntries([...changed].map(([k, v]) => [k, JSON.stringify(v)])),
        );
      }
      if (gone.length > 0) await storage.removeMany([...gone]);
    },
  };
}
