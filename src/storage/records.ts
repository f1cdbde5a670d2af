import { createAsyncStorage } from '@react-native-async-storage/async-storage';

/*
 * The one place that owns AsyncStorage. Everything above it deals in records: a key and a plain value.
 * Several records are written in one transaction, all of them or none.
 */

export interface RecordStore {
  /** Every record but those whose key begins with one of `except`. */
  readAll(except?: readonly string[]): Promise<{
    readonly records: ReadonlyMap<string, unknown>;
    readonly damaged: readonly string[];
  }>;
  /** Writes and removes in as few transactions as there are: first what is new, then what goes. */
  write(changed: ReadonlyMap<string, unknown>, gone: readonly string[]): Promise<void>;
  keys(): Promise<readonly string[]>;
  /** One record as plain text: for what is large and not read with the rest. */
  readText(key: string): Promise<string | undefined>;
  writeText(key: string, text: string): Promise<void>;
}

/** Opens the records of one workshop; each name is a database of its own. */
export function openRecords(name: string): RecordStore {
  const storage = createAsyncStorage(name);
  return {
    async readAll(except = []) {
      const keys = (await storage.getAllKeys()).filter(
        (key) => !except.some((prefix) => key.startsWith(prefix)),
      );
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
    keys: () => storage.getAllKeys(),
    readText: async (key) => (await storage.getItem(key)) ?? undefined,
    writeText: (key, text) => storage.setItem(key, text),
  };
}
