import { currentRecords } from './current';
import type { Aside } from './records';

/** Damaged records, latest first. */
export const asideNow = async (): Promise<readonly Aside[]> => (await currentRecords()).aside();

export const throwAway = async (aside: Pick<Aside, 'key' | 'at'>): Promise<void> =>
  (await currentRecords()).throwAway(aside);

/** Every stored text. */
export const dumpNow = async (): Promise<Readonly<Record<string, string | null>>> =>
  (await currentRecords()).dump();
