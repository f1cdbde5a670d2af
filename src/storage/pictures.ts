import type { RecordStore } from './records';

/*
 * Photographs, each a record of its own beside the jobs: they are read one by one when they are shown, and never
 * held with the rest of the workshop.
 */

export const PICTURE_KEY = 'photo:';

let store: RecordStore | undefined;
let opened: (store: RecordStore) => void = () => undefined;
const ready = new Promise<RecordStore>((resolve) => {
  opened = resolve;
});

/** Where pictures are kept from now on: the records of the workshop that is open. */
export function keepPicturesIn(records: RecordStore): void {
  store = records;
  opened(records);
}

const open = async (): Promise<RecordStore> => store ?? ready;

export const pictures = {
  async save(id: string, dataUrl: string): Promise<void> {
    await (await open()).writeText(PICTURE_KEY + id, dataUrl);
  },
  async load(id: string): Promise<string | undefined> {
    return (await open()).readText(PICTURE_KEY + id);
  },
  /** Takes out every picture that no job names any more. */
  async keepOnly(ids: ReadonlySet<string>): Promise<void> {
    const records = await open();
    const orphans = (await records.keys()).filter(
      (key) => key.startsWith(PICTURE_KEY) && !ids.has(key.slice(PICTURE_KEY.length)),
    );
    if (orphans.length > 0) await records.write(new Map(), orphans);
  },
};
