import { createAsyncStorage } from '@react-native-async-storage/async-storage';

/** Keyed texts, as the browser keeps them: each call of several keys is one transaction where there are such. */
export interface RawStore {
  getMany(keys: string[]): Promise<Record<string, string | null>>;
  setMany(entries: Record<string, string>): Promise<void>;
  removeMany(keys: string[]): Promise<void>;
  getAllKeys(): Promise<string[]>;
}

/** The one place that opens AsyncStorage; each name is a database of its own. */
export const openRaw = (name: string): RawStore => createAsyncStorage(name);
