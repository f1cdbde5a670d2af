import { isWhole, markOf, unseal } from './envelope';
import { lastKey } from './keys';
import type { RawStore } from './raw';

/*
 * Versions before the third wrote a change of several records beside them first, and then a journal that named them. A write
 * that was cut off in between is finished here; nothing is written like that any more.
 */

const JOURNAL = 'journal';
const NEXT = 'next:';

interface Journal {
  /** Key and mark of each record that changes. */
  readonly altered: readonly (readonly [string, string])[];
  readonly gone: readonly string[];
}

/** Whether a key belongs to an earlier version's journal. */
export const isJournal = (key: string): boolean => key === JOURNAL || key.startsWith(NEXT);

/** Finishes a write of an earlier version that was cut off after it was decided, and drops one that was not. */
export async function finishEarlier(raw: RawStore, keys: readonly string[]): Promise<void> {
  const { [JOURNAL]: text } = await raw.getMany([JOURNAL]);
  const journal =
    typeof text === 'string' ? (unseal(text)?.value as Journal | undefined) : undefined;
  if (journal) {
    const names = journal.altered.map(([key]) => key);
    const next = await raw.getMany(names.map((key) => NEXT + key));
    const altered = journal.altered.flatMap(([key, mark]) => {
      const body = next[NEXT + key];
      return typeof body === 'string' && isWhole(body) && markOf(body) === mark
        ? [[key, body] as const]
        : [];
    });
    if (altered.length === names.length) {
      await raw.setMany(Object.fromEntries(altered));
      await raw.removeMany([...journal.gone, ...journal.gone.map(lastKey)]);
    }
  }
  await raw.removeMany(keys.filter(isJournal));
}
