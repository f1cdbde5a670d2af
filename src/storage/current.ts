import type { RecordStore } from './records';

/* The open workshop, for code outside the store. */

let store: RecordStore | undefined;
let opened: (store: RecordStore) => void = () => undefined;
const ready = new Promise<RecordStore>((resolve) => {
  opened = resolve;
});
let flush: () => Promise<void> = () => Promise.resolve();

export function setCurrentRecords(records: RecordStore): void {
  store = records;
  opened(records);
}

/** Waits until a workshop is open. */
export const currentRecords = async (): Promise<RecordStore> => store ?? ready;

export function setCurrentFlush(write: () => Promise<void>): void {
  flush = write;
}

/** Writes pending changes at once. */
export const whenWritten = (): Promise<void> => flush();
