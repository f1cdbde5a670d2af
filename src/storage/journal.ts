import { isWhole, markOf, seal, unseal } from './envelope';
import type { RawStore } from './raw';

/*
 * Changing several records so that a kill between any two writes leaves all changed or none:
 * 1. every new text beside its record, and then the journal that names them: from here on the change will be made;
 * 2. the version before of each record, beside it;
 * 3. the records;
 * 4. what is gone, and then the journal, away.
 * At the next opening a whole journal is carried out from step 2 on, and one that is not whole is dropped.
 */

const JOURNAL = 'journal';
const nextKey = (key: string) => `next:${key}`;
/** The version before of a record. */
export const lastKey = (key: string): string => `last:${key}`;
/** Keys that are no records. */
export const INNER = /^(last:|next:|journal$)/;

interface Journal {
  /** Key and mark of each record that changes. */
  readonly altered: readonly (readonly [string, string])[];
  readonly gone: readonly string[];
}

/** Changes and takes away records, all or none. */
export async function replace(
  raw: RawStore,
  {
    altered,
    gone,
    before,
  }: {
    readonly altered: ReadonlyMap<string, string>;
    readonly gone: readonly string[];
    /** Texts as they stand. */
    readonly before: Readonly<Record<string, string | null>>;
  },
): Promise<void> {
  const journal: Journal = {
    altered: [...altered].map(([key, text]) => [key, markOf(text)]),
    gone,
  };
  await raw.setMany({
    ...Object.fromEntries([...altered].map(([key, text]) => [nextKey(key), text])),
    [JOURNAL]: seal(journal),
  });
  await carryOut(raw, altered, gone, before);
}

async function carryOut(
  raw: RawStore,
  altered: ReadonlyMap<string, string>,
  gone: readonly string[],
  before: Readonly<Record<string, string | null>>,
): Promise<void> {
  const lasts: Record<string, string> = {};
  for (const [key, text] of altered) {
    const old = before[key];
    // One that is changed already, or cut off in the middle of it, is no version before.
    if (typeof old === 'string' && old !== text && isWhole(old)) lasts[lastKey(key)] = old;
  }
  if (Object.keys(lasts).length > 0) await raw.setMany(lasts);
  if (altered.size > 0) await raw.setMany(Object.fromEntries(altered));
  await raw.removeMany([
    ...gone,
    ...gone.map(lastKey),
    JOURNAL,
    ...[...altered.keys()].map(nextKey),
  ]);
}

/** Whether a change of records was begun and is not finished, by the keys that there are. */
export const isUnfinished = (keys: readonly string[]): boolean =>
  keys.some((key) => key === JOURNAL || key.startsWith('next:'));

/** Finishes what a kill has interrupted. */
export async function recover(raw: RawStore): Promise<void> {
  const { [JOURNAL]: text } = await raw.getMany([JOURNAL]);
  const left = (await raw.getAllKeys()).filter((key) => key.startsWith('next:'));
  const journal = typeof text === 'string' ? journalIn(text) : undefined;
  if (journal) {
    const keys = journal.altered.map(([key]) => key);
    const next = await raw.getMany(keys.map(nextKey));
    const altered = new Map(
      journal.altered.flatMap(([key, mark]) => {
        const text = next[nextKey(key)];
        return typeof text === 'string' && isWhole(text) && markOf(text) === mark
          ? [[key, text] as const]
          : [];
      }),
    );
    if (altered.size === keys.length) {
      await carryOut(raw, altered, journal.gone, await raw.getMany(keys));
      return;
    }
  }
  if (left.length > 0 || typeof text === 'string') await raw.removeMany([JOURNAL, ...left]);
}

function journalIn(text: string): Journal | undefined {
  // Our own writing, whole by its checksum.
  return unseal(text)?.value as Journal | undefined;
}
