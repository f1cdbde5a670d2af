import { currentRecords } from './current';

/*
 * Photographs, each a record of its own beside the jobs: they are read one by one when they are shown, and never
 * held with the rest of the workshop.
 */

export const PICTURE_KEY = 'photo:';

export const pictures = {
  async save(id: string, dataUrl: string): Promise<void> {
    const records = await currentRecords();
    const picture = new Map([[PICTURE_KEY + id, dataUrl]]);
    const { foreign } = await records.write(picture, []);
    if (foreign.length === 0) return;
    // It is there already, from a file taken in before: the new one stands.
    await records.read(foreign);
    await records.write(picture, []);
  },
  async load(id: string): Promise<string | undefined> {
    const { records } = await (await currentRecords()).read([PICTURE_KEY + id]);
    const found = records.get(PICTURE_KEY + id);
    return typeof found === 'string' ? found : undefined;
  },
  /** Takes out every picture that no job names any more. */
  async keepOnly(ids: ReadonlySet<string>): Promise<void> {
    const records = await currentRecords();
    const orphans = (await records.keys()).filter(
      (key) => key.startsWith(PICTURE_KEY) && !ids.has(key.slice(PICTURE_KEY.length)),
    );
    if (orphans.length > 0) await records.remove(orphans);
  },
};
