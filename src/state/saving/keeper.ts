import { addAppListener } from '@/state/store';
import type { SpecSheet } from '@/core/library/limits';
import type { RowVerdict } from '@/core/job/row';
import type { Job } from '@/core/job/types';
import type { Stock } from '@/core/shelf/stock';
import { backupActions } from '@/state/backupSlice';
import { jobActions } from '@/state/jobs/jobsSlice';
import { verdictsFound } from '@/state/verdictsSlice';
import { libraryActions } from '@/state/librarySlice';
import { shelfActions } from '@/state/shelfSlice';
import type { AppStore, RootState } from '@/state/store';
import type { Clash } from './clashes';
import { fromTheOther } from './clashes';
import { contents, storedParts } from './contents';
import { NewerRecords } from '@/storage/envelope';
import { describeFailure } from '@/storage/faults';
import { withLock } from '@/storage/locks';
import { pictures, rememberAlone, rememberedAlone } from '@/storage/pictures';
import type { Leaving } from './leaving';
import { JOB_KEY, readUnread } from './readJobs';
import type { RecordStore } from '@/storage/records';
import type { RowRecords } from './rowRecords';
import type { StorageStatus } from '@/state/storageSlice';
import { clashesFound, damageFound, storageChanged } from '@/state/storageSlice';
import type { OtherTabs } from './tabs';
import { adoptTheirs } from './adoptTheirs';

/** Typing rests this long before it is written; well under the second within which all must be stored. */
const REST_MS = 250;

/** After a failed write the next follows automatically. */
const AGAIN_MS = 5000;

/** Other tabs can't be faster than this for ever. */
const TRIES = 5;

/** Initial content of a workshop. */
export interface FirstWorkshop {
  readonly jobs: readonly Job[];
  readonly shelf: Stock;
  readonly library: readonly SpecSheet[];
  /** Known verdicts by job, so that the list shows them at once. */
  readonly verdicts?: Readonly<Record<string, RowVerdict>>;
}

/** Writes pending changes at once. */
export type Flush = () => Promise<void>;

/** Fills the store with the initial content. */
export function begin(
  store: AppStore,
  { jobs, shelf, library, verdicts = {} }: FirstWorkshop,
): void {
  store.dispatch(
    verdictsFound(jobs.map(({ id, updatedAt }) => ({ id, updatedAt, verdict: verdicts[id] }))),
  );
  store.dispatch(shelfActions.shelfLoaded(shelf));
  store.dispatch(libraryActions.libraryLoaded(library));
  store.dispatch(jobActions.jobsLoaded({ jobs, drafts: {} }));
  store.dispatch(backupActions.backupLoaded({ since: new Date().toISOString(), made: false }));
}

/** Saves changes of the store, and adopts changes of other tabs. */
export class Keeper {
  /** Stored values, by reference. */
  private readonly written = new Map<string, unknown>();
  private timer: ReturnType<typeof setTimeout> | undefined;
  /** One task at a time: a write, or adopting another tab's changes. */
  private queue: Promise<void> = Promise.resolve();
  /** Those that wait or are under way. */
  private queued = 0;
  private reading = false;
  /** Messages not yet sent to other tabs. */
  private clashes: readonly Clash[] = [];
  /** Records of a newer version exist: nothing is written, and work continues in memory. */
  private shut = false;

  constructor(
    private readonly store: AppStore,
    private readonly records: RecordStore,
    private readonly rows: RowRecords,
    private readonly tabs: OtherTabs,
    private readonly leaving: Leaving,
  ) {}

  async begin(stored: boolean): Promise<void> {
    if (stored) for (const [key, value] of this.contents()) this.written.set(key, value);
    this.tabs.onStored(({ keys, clashes }) => {
      if (clashes.length > 0) this.store.dispatch(clashesFound(clashes.map(fromTheOther)));
      void this.enqueue(() => this.write(keys));
    });
    this.store.dispatch(
      addAppListener({
        predicate: (_action, now, before) => {
          const parts = storedParts(before);
          return storedParts(now).some((part, i) => part !== parts[i]);
        },
        effect: () => {
          if (!this.reading && !this.shut) this.changed();
        },
      }),
    );
    this.watchLeaving();
    await this.flush();
    if (this.store.getState().storage.status === 'opening') this.reportSaveState(0);
    if (stored) void this.readRest();
  }

  /** The browser asks before closing a page with unsaved changes; either way they are kept. */
  private watchLeaving(): void {
    if (typeof window === 'undefined') return;
    window.addEventListener('beforeunload', (event) => {
      if (this.unsaved() === undefined) return;
      void this.flush();
      event.preventDefault();
    });
    window.addEventListener('pagehide', () => {
      const unsaved = this.unsaved();
      if (unsaved) this.leaving.put(unsaved.changed, unsaved.gone, this.written);
      void this.flush();
    });
    document.addEventListener('visibilitychange', () => {
      if (document.visibilityState === 'hidden' && this.timer !== undefined) void this.flush();
    });
  }

  /** Unsaved records, if any. */
  private unsaved() {
    if (this.shut) return undefined;
    const now = this.contents();
    const changed = new Map([...now].filter(([key, value]) => this.written.get(key) !== value));
    const gone = [...this.written.keys()].filter((key) => !now.has(key));
    return changed.size === 0 && gone.length === 0 ? undefined : { changed, gone };
  }

  flush(): Promise<void> {
    clearTimeout(this.timer);
    this.timer = undefined;
    return this.enqueue(() => this.write());
  }

  private changed(): void {
    if (this.store.getState().storage.status === 'saved') this.say({ status: 'saving' });
    this.timer ??= setTimeout(() => void this.flush(), REST_MS);
  }

  /** @param heard keys stored by another tab, to adopt first */
  private async write(heard: readonly string[] = []): Promise<void> {
    if (this.shut) return;
    try {
      let foreign = heard;
      for (let n = 0; n === 0 || foreign.length > 0; n++) {
        if (n > TRIES) throw new Error('another tab keeps writing');
        if (foreign.length > 0) await this.takeIn(foreign);
        foreign = await this.writeOnce();
      }
      if (this.store.getState().storage.status !== 'opening') this.reportSaveState(1);
    } catch (error) {
      this.failed(error);
      if (!this.shut) this.timer ??= setTimeout(() => void this.flush(), AGAIN_MS);
    }
  }

  /** @returns keys another tab wrote meanwhile; in that case nothing was written here */
  private async writeOnce(): Promise<readonly string[]> {
    const { written } = this;
    const unsaved = this.unsaved();
    if (!unsaved) return [];
    const { changed, gone } = unsaved;
    const { foreign } = await this.records.write(changed, gone);
    if (foreign.length > 0) return foreign;
    // Not all of `now`: jobs were perhaps read meanwhile.
    for (const [key, value] of changed) written.set(key, value);
    for (const key of gone) written.delete(key);
    this.leaving.clear();
    this.tabs.tell({ keys: [...changed.keys(), ...gone], clashes: this.clashes });
    this.clashes = [];
    return [];
  }

  /** Adopts changes stored by another tab. */
  private async takeIn(keys: readonly string[]): Promise<void> {
    const { records } = await this.records.read(keys);
    this.asRead(() => {
      const clashes = adoptTheirs(this.store, keys, records, this.written, () => this.contents());
      if (clashes.length === 0) return;
      this.clashes = [...this.clashes, ...clashes];
      this.store.dispatch(clashesFound(clashes));
    });
  }

  /** Values loaded from records need no writing. */
  private asRead(put: () => void): void {
    this.reading = true;
    try {
      put();
    } finally {
      this.reading = false;
    }
  }

  /** Reads the remaining jobs, then deletes photographs that no job names. */
  private async readRest(): Promise<void> {
    const { store, written } = this;
    try {
      await readUnread(store, this.records, (found) => {
        this.asRead(() => store.dispatch(jobActions.jobsRead(found)));
        const { entities } = store.getState().jobs;
        for (const { id } of found.jobs)
          if (!written.has(JOB_KEY + id)) written.set(JOB_KEY + id, entities[id]);
        if (found.damaged.length > 0) store.dispatch(damageFound(found.damaged));
      });
      // Damaged jobs name photographs too.
      if ((await this.records.aside()).length === 0)
        // One tab at a time, so that no tab deletes a photograph another has just added.
        await withLock('under-ridge-pictures', async () =>
          rememberAlone(
            await pictures.keepOnly(picturesNamed(store.getState()), rememberedAlone(), new Date()),
          ),
        );
    } catch (error) {
      this.failed(error);
    }
  }

  private failed(error: unknown): void {
    this.shut ||= error instanceof NewerRecords;
    this.say({ ...describeFailure(error), status: this.shut ? 'memory' : 'failed' });
    if (!this.shut) return;
    // Records of a newer version are not awaited.
    const missing = Object.keys(this.store.getState().jobs.unread);
    this.asRead(() => this.store.dispatch(jobActions.jobsRead({ jobs: [], missing })));
  }

  private contents(): Map<string, unknown> {
    return contents(this.store.getState(), this.rows);
  }

  private enqueue(run: () => Promise<void>): Promise<void> {
    this.queued += 1;
    const alone = () =>
      run().finally(() => {
        this.queued -= 1;
      });
    this.queue = this.queue.then(alone, alone);
    return this.queue;
  }

  /**
   * Entries typed during a write wait for the next one: not all is saved yet.
   * @param own writes that say this of themselves
   */
  private reportSaveState(own: 0 | 1): void {
    const rests = this.timer === undefined && this.queued <= own;
    this.say({ status: rests ? 'saved' : 'saving' });
  }

  private say(status: StorageStatus): void {
    this.store.dispatch(storageChanged(status));
  }
}

function picturesNamed({ jobs }: RootState): ReadonlySet<string> {
  return new Set(Object.values(jobs.entities).flatMap((job) => job.photos.map((p) => p.id)));
}
