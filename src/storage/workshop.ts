import { backupActions } from '@/features/backup/backupSlice';
import type { Display } from '@/features/display/displaySlice';
import { displayActions } from '@/features/display/displaySlice';
import type { Drafts } from '@/features/jobs/jobsSlice';
import { jobActions } from '@/features/jobs/jobsSlice';
import { libraryActions } from '@/features/library/librarySlice';
import type { Job } from '@/core/job/types';
import type { LimitSheet } from '@/core/library/limits';
import type { Stock } from '@/core/shelf/stock';
import { EMPTY_STOCK } from '@/core/shelf/stock';
import { shelfActions } from '@/features/shelf/shelfSlice';
import type { Templates } from '@/features/worksheet/templatesSlice';
import { templateActions } from '@/features/worksheet/templatesSlice';
import type { AppStore, RootState } from '@/store/store';

import { keepPicturesIn, PICTURE_KEY, pictures } from './pictures';
import { firstJobs, JOB_KEY, readUnread, sayDamaged } from './readJobs';
import type { RecordStore } from './records';
import { ROWS_KEY, RowRecords } from './rowRecords';
import { storageChanged } from './storageSlice';
import { isRecord, storedJob } from './storedJob';
import type { OtherTabs, Stored } from './tabs';

/** How the workshop is laid out in records. */
const KEY = {
  about: 'workshop',
  display: 'display',
  shelf: 'shelf',
  templates: 'templates',
  library: 'library',
  backup: 'backup',
  drafts: 'drafts:',
} as const;
const SCHEMA = 1;

/** Typing rests this long before it is written; well under the second within which all must be stored. */
const REST_MS = 250;

/** What a workshop begins with. */
export interface FirstWorkshop {
  readonly jobs: readonly Job[];
  readonly shelf: Stock;
  readonly library: readonly LimitSheet[];
}

/**
 * Fills the store from the records, on the first visit with the demo workshop when there is one, and from then on
 * writes every change. Returns a function that writes at once what is still waiting.
 */
export async function keepWorkshop(
  store: AppStore,
  records: RecordStore,
  first: () => Promise<FirstWorkshop>,
  tabs: OtherTabs = ALONE,
): Promise<() => Promise<void>> {
  let written = new Map<string, unknown>();
  const rows = new RowRecords();
  const contentsNow = () => contents(store.getState(), rows);
  let opened = false;
  keepPicturesIn(records);
  try {
    const keys = await records.keys();
    const { records: found, damaged } = await records.read(
      keys.filter((key) => !key.startsWith(JOB_KEY) && !key.startsWith(PICTURE_KEY)),
    );
    sayDamaged(damaged);
    if (found.has(KEY.about)) {
      restore(store, found);
      const ids = keys.filter((key) => key.startsWith(JOB_KEY)).map((k) => k.slice(JOB_KEY.length));
      const { jobs, later } = await firstJobs(records, ids, rows.begin(found));
      opened = true;
      store.dispatch(jobActions.jobsLoaded({ jobs, drafts: draftsIn(found), unread: later }));
      written = contentsNow();
    } else {
      const { jobs, shelf, library } = await first();
      store.dispatch(shelfActions.shelfLoaded(shelf));
      store.dispatch(libraryActions.libraryLoaded(library));
      store.dispatch(jobActions.jobsLoaded({ jobs, drafts: {} }));
      store.dispatch(backupActions.backupLoaded({ since: new Date().toISOString(), made: false }));
    }
  } catch (error) {
    store.dispatch(jobActions.jobsLoaded({ jobs: [], drafts: {} }));
    store.dispatch(storageChanged({ status: 'failed', reason: reasonOf(error) }));
  }

  let timer: ReturnType<typeof setTimeout> | undefined;
  let writing: Promise<void> = Promise.resolve();

  const flush = (): Promise<void> => {
    clearTimeout(timer);
    timer = undefined;
    writing = writing.then(async () => {
      const now = contentsNow();
      const changed = new Map([...now].filter(([key, value]) => written.get(key) !== value));
      const gone = [...written.keys()].filter((key) => !now.has(key));
      if (changed.size === 0 && gone.length === 0) {
        if (timer === undefined && store.getState().storage.status === 'saving')
          store.dispatch(storageChanged({ status: 'saved' }));
        return;
      }
      try {
        await records.write(changed, gone);
        // Not all of `now`: jobs were perhaps read meanwhile.
        for (const [key, value] of changed) written.set(key, value);
        for (const key of gone) written.delete(key);
        tabs.tell({ changed: [...changed].filter(([key]) => !key.startsWith(ROWS_KEY)), gone });
        // What was typed while this was written is waiting for its own turn.
        store.dispatch(storageChanged({ status: timer === undefined ? 'saved' : 'saving' }));
      } catch (error) {
        store.dispatch(storageChanged({ status: 'failed', reason: reasonOf(error) }));
      }
    });
    return writing;
  };

  tabs.onStored((stored) => {
    for (const [key, value] of takeOver(store, stored, written, contentsNow))
      written.set(key, value);
    for (const key of stored.gone) written.delete(key);
  });

  let reading = false;
  /** Reads what is left, and then takes out photographs that no job names. */
  const readRest = async (): Promise<void> => {
    try {
      await readUnread(store, records, (found) => {
        reading = true;
        store.dispatch(jobActions.jobsRead(found));
        reading = false;
        const { entities } = store.getState().jobs;
        for (const { id } of found.jobs)
          if (!written.has(JOB_KEY + id)) written.set(JOB_KEY + id, entities[id]);
      });
      await pictures.keepOnly(picturesNamed(store.getState()));
    } catch (error) {
      store.dispatch(storageChanged({ status: 'failed', reason: reasonOf(error) }));
    }
  };

  let seen = pick(store.getState());
  store.subscribe(() => {
    const now = pick(store.getState());
    if (
      now.jobs === seen.jobs &&
      now.display === seen.display &&
      now.shelf === seen.shelf &&
      now.templates === seen.templates &&
      now.library === seen.library &&
      now.backup === seen.backup
    )
      return;
    seen = now;
    // What was read needs no writing.
    if (reading) return;
    if (store.getState().storage.status === 'saved')
      store.dispatch(storageChanged({ status: 'saving' }));
    timer ??= setTimeout(() => void flush(), REST_MS);
  });
  await flush();
  if (store.getState().storage.status === 'opening')
    store.dispatch(storageChanged({ status: 'saved' }));
  if (opened) void readRest();
  return flush;
}

const pick = ({ jobs, display, shelf, templates, library, backup }: RootState) => ({
  jobs,
  display,
  shelf,
  templates,
  library: library.sheets,
  backup: backup.last,
});

const ALONE: OtherTabs = { tell: () => undefined, onStored: () => undefined };

/**
 * Takes over what another tab has stored. A job that was edited here and not stored yet stays, as a job of its own
 * beside the other's: neither overwrites the other in silence.
 * @returns the records as they now stand in the store, which need no writing
 */
function takeOver(
  store: AppStore,
  { changed, gone }: Stored,
  written: ReadonlyMap<string, unknown>,
  contentsNow: () => ReadonlyMap<string, unknown>,
): ReadonlyMap<string, unknown> {
  const mine = contentsNow();
  const taken: string[] = [];
  for (const [key, value] of changed) {
    const untouched = mine.get(key) === written.get(key);
    if (key.startsWith(JOB_KEY)) {
      const job = storedJob(value);
      if (!job) continue;
      const edited = untouched ? undefined : store.getState().jobs.entities[job.id];
      store.dispatch(jobActions.jobSynced({ job, ...(edited ? { edited } : {}) }));
    } else if (key.startsWith(KEY.drafts)) {
      if (!untouched || !isRecord(value)) continue;
      const jobId = key.slice(KEY.drafts.length);
      store.dispatch(jobActions.draftsSynced({ jobId, drafts: value as unknown as Drafts }));
    } else if (key === KEY.shelf && untouched) {
      store.dispatch(shelfActions.shelfLoaded(value as Stock));
    } else if (key === KEY.templates && untouched) {
      store.dispatch(templateActions.templatesLoaded(value as Templates));
    } else if (key === KEY.library && untouched && Array.isArray(value)) {
      store.dispatch(libraryActions.libraryLoaded(value as LimitSheet[]));
    } else continue;
    taken.push(key);
  }
  for (const key of gone)
    if (key.startsWith(JOB_KEY) && mine.get(key) === written.get(key))
      store.dispatch(jobActions.jobGone(key.slice(JOB_KEY.length)));
  const now = contentsNow();
  // The other tab has written its rows as well; they are ours, where nothing here waits to be written.
  const rows = [...now.keys()].filter(
    (key) => key.startsWith(ROWS_KEY) && mine.get(key) === written.get(key),
  );
  return new Map([...taken, ...rows].map((key) => [key, now.get(key)]));
}

/** Every record that should be stored; values are shared with the store, so that a change is a new reference. */
function contents(
  { jobs, display, shelf, templates, library, backup }: RootState,
  rows: RowRecords,
): Map<string, unknown> {
  const all = new Map<string, unknown>([
    ...rows.of(jobs),
    [KEY.about, ABOUT],
    [KEY.display, display],
    [KEY.shelf, shelf],
    [KEY.templates, templates],
    [KEY.library, library.sheets],
    [KEY.backup, backup.last],
  ]);
  for (const id of jobs.ids) all.set(JOB_KEY + id, jobs.entities[id]);
  for (const [id, drafts] of Object.entries(jobs.drafts)) {
    if (Object.keys(drafts).length > 0) all.set(KEY.drafts + id, drafts);
  }
  return all;
}

function picturesNamed({ jobs }: RootState): ReadonlySet<string> {
  return new Set(Object.values(jobs.entities).flatMap((job) => job.photos.map((p) => p.id)));
}

const ABOUT = { schema: SCHEMA };

/** Puts everything but the jobs into the store. */
function restore(store: AppStore, found: ReadonlyMap<string, unknown>): void {
  const display = found.get(KEY.display);
  if (isRecord(display))
    store.dispatch(displayActions.displayLoaded(display as unknown as Display));
  const shelf = found.get(KEY.shelf);
  if (isRecord(shelf) && Array.isArray(shelf.plates) && Array.isArray(shelf.springs))
    store.dispatch(shelfActions.shelfLoaded({ ...EMPTY_STOCK, ...(shelf as unknown as Stock) }));
  const backup = found.get(KEY.backup);
  store.dispatch(
    backupActions.backupLoaded(
      isRecord(backup) && typeof backup.since === 'string'
        ? { since: backup.since, made: backup.made === true }
        : { since: new Date().toISOString(), made: false },
    ),
  );
  const templates = found.get(KEY.templates);
  if (isRecord(templates))
    store.dispatch(templateActions.templatesLoaded(templates as unknown as Templates));
  const library = found.get(KEY.library);
  if (Array.isArray(library)) store.dispatch(libraryActions.libraryLoaded(library as LimitSheet[]));
}

function draftsIn(found: ReadonlyMap<string, unknown>): Readonly<Record<string, Drafts>> {
  return Object.fromEntries(
    [...found]
      .filter(([key, value]) => key.startsWith(KEY.drafts) && isRecord(value))
      .map(([key, value]) => [key.slice(KEY.drafts.length), value as Drafts]),
  );
}

function reasonOf(error: unknown): string {
  return error instanceof Error ? error.message : 'the browser gave no reason';
}
