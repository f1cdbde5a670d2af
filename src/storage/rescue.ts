import { currentRecords } from './current';
import type { Aside } from './records';

/** What was set aside because it could not be read, the latest first. */
export const asideNow = async (): Promise<readonly Aside[]> => (await currentRecords()).aside();

export const throwAway = async (aside: Pick<Aside, 'key' | 'at'>): Promise<void> =>
  (await currentRecords()).throwAway(aside);

/** Every text as it lies in the storage. */
export const dumpNow = async (): Promise<Readonly<Record<string, string | null>>> =>
  (await currentRecords()).dump();
