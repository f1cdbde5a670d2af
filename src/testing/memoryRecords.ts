import type { RecordStore } from '@/storage/records';

/** Records in memory that can be made to fail, as a full disk would. */
export function memoryRecords() {
  const kept = new Map<string, string>();
  const records: RecordStore & { broken: boolean; writes: number } = {
    broken: false,
    writes: 0,
    read: async (keys) => {
      const found = new Map<string, unknown>();
      const damaged: string[] = [];
      for (const key of keys) {
        const text = kept.get(key);
        if (text === undefined) continue;
        try {
          found.set(key, JSON.parse(text));
        } catch {
          damaged.push(key);
        }
      }
      return { records: found, damaged };
    },
    write: async (changed, gone) => {
      if (records.broken) throw new Error('quota reached');
      records.writes++;
      changed.forEach((v, k) => kept.set(k, JSON.stringify(v)));
      gone.forEach((k) => kept.delete(k));
    },
    keys: async () => [...kept.keys()],
    readText: async (key) => kept.get(key),
    writeText: async (key, text) => void kept.set(key, text),
  };
  return { records, kept };
}
