import { createAsyncStorage } from '@react-native-async-storage/async-storage';

/** Keyed texts, as the browser keeps them: each call of several keys is one transaction where there are such. */
export interface RawStore {
  getMany(keys: string[]): Promise<Record<string, string | null>>;
  setMany(entries: Record<string, string>): Promise<void>;
  removeMany(keys: string[]): Promise<void>;
  getAllKeys(): Promise<string[]>;
}

/**
 * The one place that opens AsyncStorage; each name is a database of its own. It is opened with the first call, so that a browser
 * that lets nobody store anything refuses that call, and not the program.
 */
export function openRaw(name: string): RawStore {
  let opened: RawStore | undefined;
  const store = (): RawStore => (opened ??= createAsyncStorage(name));
  return {
    getMany: async (keys) => store().getMany(keys),
    setMany: async (entries) => store().setMany(entries),
    removeMany: async (keys) => store().removeMany(keys),
    getAllKeys: async () => store().getAllKeys(),
  };
}
