import { isWhole, markOf, seal, unseal } from './envelope';
import { finishEarlier, isJournal } from './earlierJournal';
import { damagedKey, isDamagedKey, isRecord, lastKey } from './keys';
import { withLock } from './locks';
import type { RawStore } from './raw';

/*
 * Records in the browser's storage: a key and a plain value with a checksum. Changes are written in one transaction, with the
 * previous version of each record; unreadable records are kept as text.
 */

/** A record that could not be read. */
export interface Damage {
  readonly key: string;
  /** Whether the version before was there to go on with. */
  readonly fixed: boolean;
  /** Number of the job, if its row still has it. */
  readonly number?: string;
}

export interface ReadRecords {
  readonly records: ReadonlyMap<string, unknown>;
  readonly damaged: readonly Damage[];
}

/** The raw text of a record that could not be read, kept for rescue. */
export interface DamagedRecord {
  /** Key of the record that it was. */
  readonly key: string;
  readonly at: string;
  readonly text: string;
}

export interface RecordStore {
  /** The records of these keys; a key without a record is left out. @throws {NewerRecords} */
  read(keys: readonly string[]): Promise<ReadRecords>;
  /**
   * Writes and removes together, all or nothing.
   * @returns keys that somebody else has written since they were read here; when there are any, nothing was written
   */
  write(
    changed: ReadonlyMap<string, unknown>,
    gone: readonly string[],
  ): Promise<{ readonly foreign: readonly string[] }>;
  /** Deletes records of any writer. */
  remove(keys: readonly string[]): Promise<void>;
  keys(): Promise<readonly string[]>;
  /** Moves intact records with invalid content to the damaged ones. */
  moveDamaged(keys: readonly string[]): Promise<void>;
  /** All damaged records, latest first. */
  aside(): Promise<readonly DamagedRecord[]>;
  throwAway(aside: Pick<DamagedRecord, 'key' | 'at'>): Promise<void>;
  /** Every stored text, for rescue by hand. */
  dump(): Promise<Readonly<Record<string, string | null>>>;
}

/** Marks a deleted record in the same transaction as all other changes, until its key is removed. */
const GONE = '';

/** Records that are sealed before the thread is let go for a moment. */
const SEALED_AT_ONCE = 40;

/**
 * @param raw the storage of one workshop
 * @param name of the workshop, by which tabs keep out of each other's way
 */
export function sealedRecords(raw: RawStore, name: string): RecordStore {
  /** The mark of each record as it was last read or written here; two while a write is under way. */
  const known = new Map<string, readonly string[]>();
  const locked = <T>(run: () => Promise<T>) => withLock(`${name}-write`, run);
  /** The keys found at opening, until the first query. */
  let found: readonly string[] | undefined;
  let recovered: Promise<void> | undefined;
  const open = async () => {
    const keys = await raw.getAllKeys();
    // Another tab may be in the middle of it: behind its lock it has finished, or was killed.
    if (keys.some(isJournal)) await locked(() => finishEarlier(raw, keys));
    else found = keys;
  };
  const ready = () =>
    (recovered ??= open().catch((error: unknown) => {
      recovered = undefined;
      throw error;
    }));

  const moveDamaged = async (texts: ReadonlyMap<string, string>): Promise<void> => {
    const at = new Date().toISOString();
    await raw.setMany(
      Object.fromEntries([...texts].map(([key, text]) => [damagedKey({ key, at }), text])),
    );
  };

  /** Moves damaged texts aside and restores intact previous versions. */
  const fix = async (texts: ReadonlyMap<string, string>): Promise<ReadonlyMap<string, unknown>> => {
    await moveDamaged(texts);
    const lasts = await raw.getMany([...texts.keys()].map(lastKey));
    const fixed = new Map<string, unknown>();
    for (const key of texts.keys()) {
      const last = lasts[lastKey(key)];
      const whole = typeof last === 'string' ? unseal(last) : undefined;
      if (typeof last === 'string' && whole) {
        await raw.setMany({ [key]: last });
        known.set(key, [markOf(last)]);
        fixed.set(key, whole.value);
      } else {
        await raw.removeMany([key]);
        known.delete(key);
      }
    }
    return fixed;
  };

  return {
    async read(keys) {
      await ready();
      found = undefined;
      if (keys.length === 0) return { records: new Map(), damaged: [] };
      const texts = await raw.getMany([...keys]);
      const records = new Map<string, unknown>();
      const damaged = new Map<string, string>();
      for (const [key, text] of Object.entries(texts)) {
        if (text === null || text === GONE) {
          known.delete(key);
          continue;
        }
        const whole = unseal(text);
        if (whole) {
          records.set(key, whole.value);
          known.set(key, [markOf(text)]);
        } else damaged.set(key, text);
      }
      const fixed = damaged.size > 0 ? await locked(() => fix(damaged)) : undefined;
      fixed?.forEach((value, key) => records.set(key, value));
      return {
        records,
        damaged: [...damaged.keys()].map((key) => ({ key, fixed: fixed?.has(key) ?? false })),
      };
    },

    async write(changed, gone) {
      await ready();
      found = undefined;
      const texts = new Map<string, string>();
      for (const [key, value] of changed) {
        texts.set(key, seal(value));
        if (texts.size % SEALED_AT_ONCE === 0) await new Promise((resolve) => setTimeout(resolve));
      }
      return locked(async () => {
        const before = await raw.getMany([...texts.keys(), ...gone]);
        const foreign = Object.entries(before).flatMap(([key, text]) =>
          text === null || text === GONE
            ? known.has(key)
              ? [key]
              : []
            : known.get(key)?.includes(markOf(text))
              ? []
              : [key],
        );
        if (foreign.length > 0) return { foreign };
        for (const [key, text] of texts) known.set(key, [...(known.get(key) ?? []), markOf(text)]);
        // One call is one browser transaction: a kill leaves all of it or nothing.
        await raw.setMany({
          ...Object.fromEntries(texts),
          ...Object.fromEntries(
            [...texts.keys()].flatMap((key) => {
              const old = before[key];
              return typeof old === 'string' && isWhole(old) ? [[lastKey(key), old]] : [];
            }),
          ),
          ...Object.fromEntries(gone.map((key) => [key, GONE])),
        });
        if (gone.length > 0) await raw.removeMany([...gone, ...gone.map(lastKey)]);
        for (const [key, text] of texts) known.set(key, [markOf(text)]);
        for (const key of gone) known.delete(key);
        return { foreign };
      });
    },

    async remove(keys) {
      found = undefined;
      await raw.removeMany([...keys, ...keys.map(lastKey)]);
      for (const key of keys) known.delete(key);
    },

    async keys() {
      await ready();
      return (found ?? (await raw.getAllKeys())).filter(isRecord);
    },

    async moveDamaged(keys) {
      found = undefined;
      await locked(async () => {
        const texts = await raw.getMany([...keys]);
        const there = Object.entries(texts).flatMap(([key, text]) =>
          text === null ? [] : [[key, text] as const],
        );
        await moveDamaged(new Map(there));
        await raw.removeMany([...keys, ...keys.map(lastKey)]);
        for (const key of keys) known.delete(key);
      });
    },

    async aside() {
      const keys = (await raw.getAllKeys()).filter(isDamagedKey);
      const texts = await raw.getMany(keys);
      return keys
        .flatMap((name) => {
          const text = texts[name];
          const [, at, key] = /^aside:(\S+) (.+)$/s.exec(name) ?? [];
          return typeof text === 'string' && at && key ? [{ key, at, text }] : [];
        })
        .sort((a, b) => (a.at < b.at ? 1 : -1));
    },

    dump: async () => raw.getMany(await raw.getAllKeys()),

    throwAway: (aside) => raw.removeMany([damagedKey(aside)]),
  };
}
