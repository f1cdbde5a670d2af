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
    // Already there from an earlier import: the new one is used.
    await records.read(foreign);
    await records.write(picture, []);
  },
  async load(id: string): Promise<string | undefined> {
    const { records } = await (await currentRecords()).read([PICTURE_KEY + id]);
    const found = records.get(PICTURE_KEY + id);
    return typeof found === 'string' ? found : undefined;
  },
  /**
   * Takes out pictures that no job has named for a day. A job of another tab may not be stored yet although its picture is, so a
   * picture is only remembered when it is first found alone.
   * @param alone when each was first found so, by its identifier, ISO time
   * @returns the same for the next time
   */
  async keepOnly(ids: ReadonlySet<string>, alone: FoundAlone, now: Date): Promise<FoundAlone> {
    const records = await currentRecords();
    const orphans = (await records.keys())
      .filter((key) => key.startsWith(PICTURE_KEY))
      .map((key) => key.slice(PICTURE_KEY.length))
      .filter((id) => !ids.has(id));
    const left: Record<string, string> = {};
    const gone: string[] = [];
    for (const id of orphans) {
      const since = alone[id] ?? now.toISOString();
      if (now.getTime() - Date.parse(since) > DAY_MS) gone.push(PICTURE_KEY + id);
      else left[id] = since;
    }
    if (gone.length > 0) await records.remove(gone);
    return left;
  },
};

/** When pictures were first found to be of no job. */
export type FoundAlone = Readonly<Record<string, string>>;

const DAY_MS = 86_400_000;
const REMEMBERED = 'under-ridge-pictures-alone';

/** Remembered orphan photographs; undefined if they can't be remembered, so that none is deleted. */
export function rememberedAlone(): FoundAlone {
  try {
    return JSON.parse(localStorage.getItem(REMEMBERED) ?? '{}') as FoundAlone;
  } catch {
    return {};
  }
}

/** Remembers for the next time which pictures are of no job. */
export function rememberAlone(alone: FoundAlone): void {
  try {
    localStorage.setItem(REMEMBERED, JSON.stringify(alone));
  } catch {
    // Then they are found for the first time again.
  }
}
