import { createAsyncStorage } from '@react-native-async-storage/async-storage';

/*
 * The one place that owns AsyncStorage. Everything above it deals in records: a key and a plain value.
 * Several records are written in one transaction, all of them or none.
 */

export interface ReadRecords {
  readonly records: ReadonlyMap<string, unknown>;
  /** Keys whose text is no record; it stays where it is, so that it can still be rescued. */
  readonly damaged: readonly string[];
}

export interface RecordStore {
  /** The records of these keys; a key without a record is left out. */
  read(keys: readonly string[]): Promise<ReadRecords>;
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
    async read(keys) {
      const raw = await storage.getMany([...keys]);
      const records = new Map<string, unknown>();
      const damaged: string[] = [];
      for (const [key, text] of Object.entries(raw)) {
        if (text === null) continue;
        try {
          records.set(key, JSON.parse(text) as unknown);
        } catch {
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
