import type { RecordStore } from './records';

/* The workshop that is open, for what is not held with the rest of it in the store. */

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

/** Writes at once what is still waiting. */
export const whenWritten = (): Promise<void> => flush();
