import { currentRecords } from './current';
import type { DamagedRecord } from './records';

/** Damaged records, latest first. */
export const damagedNow = async (): Promise<readonly DamagedRecord[]> =>
  (await currentRecords()).aside();

export const deleteDamaged = async (aside: Pick<DamagedRecord, 'key' | 'at'>): Promise<void> =>
  (await currentRecords()).throwAway(aside);

/** Every stored text. */
export const dumpStored = async (): Promise<Readonly<Record<string, string | null>>> =>
  (await currentRecords()).dump();
