/* Storage quota and persistence of the browser. */

export interface StorageRoom {
  readonly usedMb: number;
  readonly allMb: number;
}

const storage = (): StorageManager | undefined =>
  typeof navigator === 'undefined' ? undefined : navigator.storage;

/** How much room is used and given; nothing where the browser does not say. */
export async function storageLeft(): Promise<StorageRoom | undefined> {
  const { usage, quota } = (await storage()?.estimate?.()) ?? {};
  return usage === undefined || quota === undefined
    ? undefined
    : { usedMb: usage / 1e6, allMb: quota / 1e6 };
}

/** Whether the browser has promised not to clear the storage when it is short of room; nothing where it does not say. */
export const isPersistent = async (): Promise<boolean | undefined> => storage()?.persisted?.();

/** Requests persistent storage; some browsers ask the user. */
export const requestPersistence = async (): Promise<boolean | undefined> => storage()?.persist?.();
