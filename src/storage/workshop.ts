import { backupActions } from '@/features/backup/backupSlice';
import type { Display } from '@/features/display/displaySlice';
import { displayActions } from '@/features/display/displaySlice';
import type { Drafts } from '@/features/jobs/jobsSlice';
import { jobActions } from '@/features/jobs/jobsSlice';
import type { Job } from '@/core/job/types';
import type { EarlierJob } from '@/core/job/upgrade';
import { upgradeJob } from '@/core/job/upgrade';
import type { Stock } from '@/core/shelf/stock';
import { EMPTY_STOCK } from '@/core/shelf/stock';
import { shelfActions } from '@/features/shelf/shelfSlice';
import type { Templates } from '@/features/worksheet/templatesSlice';
import { templateActions } from '@/features/worksheet/templatesSlice';
import type { AppStore, RootState } from '@/store/store';

import { keepPicturesIn, PICTURE_KEY, pictures } from './pictures';
import type { RecordStore } from './records';
import { storageChanged } from './storageSlice';
import type { OtherTabs, Stored } from './tabs';

/** How the workshop is laid out in records. */
const KEY = {
  about: 'workshop',
  display: 'display',
  shelf: 'shelf',
  templates: 'templates',
  backup: 'backup',
  job: 'job:',
  drafts: 'drafts:',
} as const;
const SCHEMA = 1;

/** Typing rests this long before it is written; well under the second within which all must be stored. */
const REST_MS = 250;

/** What a workshop begins with. */
export interface FirstWorkshop {
  readonly jobs: readonly Job[];
  readonly shelf: Stock;
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
  keepPicturesIn(records);
  try {
    const { records: found, damaged } = await records.readAll([PICTURE_KEY]);
    if (damaged.length > 0)
      console.warn(`Records that can’t be read were left aside: ${damaged.join(', ')}`);
    if (found.has(KEY.about)) {
      restore(store, found);
      await pictures.keepOnly(picturesNamed(store.getState()));
      written = contents(store.getState());
    } else {
      const { jobs, shelf } = await first();
      store.dispatch(shelfActions.shelfLoaded(shelf));
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
      const now = contents(store.getState());
      const changed = new Map([...now].filter(([key, value]) => written.get(key) !== value));
      const gone = [...written.keys()].filter((key) => !now.has(key));
      if (changed.size === 0 && gone.length === 0) {
        if (timer === undefined && store.getState().storage.status === 'saving')
          store.dispatch(storageChanged({ status: 'saved' }));
        return;
      }
      try {
        await records.write(changed, gone);
        written = now;
        tabs.tell({ changed: [...changed], gone });
        // What was typed while this was written is waiting for its own turn.
        store.dispatch(storageChanged({ status: timer === undefined ? 'saved' : 'saving' }));
      } catch (error) {
        store.dispatch(storageChanged({ status: 'failed', reason: reasonOf(error) }));
      }
    });
    return writing;
  };

  tabs.onStored((stored) => {
    written = new Map([...written, ...takeOver(store, stored, written)]);
    for (const key of stored.gone) written.delete(key);
  });

  let seen = pick(store.getState());
  store.subscribe(() => {
    const now = pick(store.getState());
    if (
      now.jobs === seen.jobs &&
      now.display === seen.display &&
      now.shelf === seen.shelf &&
      now.templates === seen.templates &&
      now.backup === seen.backup
    )
      return;
    seen = now;
    if (store.getState().storage.status === 'saved')
      store.dispatch(storageChanged({ status: 'saving' }));
    timer ??= setTimeout(() => void flush(), REST_MS);
  });
  await flush();
  if (store.getState().storage.status === 'opening')
    store.dispatch(storageChanged({ status: 'saved' }));
  return flush;
}

const pick = ({ jobs, display, shelf, templates, backup }: RootState) => ({
  jobs,
  display,
  shelf,
  templates,
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
): ReadonlyMap<string, unknown> {
  const mine = contents(store.getState());
  const taken: string[] = [];
  for (const [key, value] of changed) {
    const untouched = mine.get(key) === written.get(key);
    if (key.startsWith(KEY.job)) {
      if (!looksLikeJob(value)) continue;
      const edited = untouched ? undefined : store.getState().jobs.entities[value.id];
      store.dispatch(
        jobActions.jobSynced({ job: upgradeJob(value), ...(edited ? { edited } : {}) }),
      );
    } else if (key.startsWith(KEY.drafts)) {
      if (!untouched || !isRecord(value)) continue;
      const jobId = key.slice(KEY.drafts.length);
      store.dispatch(jobActions.draftsSynced({ jobId, drafts: value as unknown as Drafts }));
    } else if (key === KEY.shelf && untouched) {
      store.dispatch(shelfActions.shelfLoaded(value as Stock));
    } else if (key === KEY.templates && untouched) {
      store.dispatch(templateActions.templatesLoaded(value as Templates));
    } else continue;
    taken.push(key);
  }
  for (const key of gone)
    if (key.startsWith(KEY.job) && mine.get(key) === written.get(key))
      store.dispatch(jobActions.jobGone(key.slice(KEY.job.length)));
  const now = contents(store.getState());
  return new Map(taken.map((key) => [key, now.get(key)]));
}

/** Every record that should be stored; values are shared with the store, so that a change is a new reference. */
function contents({ jobs, display, shelf, templates, backup }: RootState): Map<string, unknown> {
  const all = new Map<string, unknown>([
    [KEY.about, ABOUT],
    [KEY.display, display],
    [KEY.shelf, shelf],
    [KEY.templates, templates],
    [KEY.backup, backup.last],
  ]);
  for (const id of jobs.ids) all.set(KEY.job + id, jobs.entities[id]);
  for (const [id, drafts] of Object.entries(jobs.drafts)) {
    if (Object.keys(drafts).length > 0) all.set(KEY.drafts + id, drafts);
  }
  return all;
}

function picturesNamed({ jobs }: RootState): ReadonlySet<string> {
  return new Set(Object.values(jobs.entities).flatMap((job) => job.photos.map((p) => p.id)));
}

const ABOUT = { schema: SCHEMA };

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
  const under = (prefix: string) =>
    [...found]
      .filter(([key]) => key.startsWith(prefix))
      .map(([key, value]) => [key.slice(prefix.length), value] as const);
  const jobs = under(KEY.job).flatMap(([, value]) =>
    looksLikeJob(value) ? [upgradeJob(value)] : [],
  );
  const drafts = Object.fromEntries(
    under(KEY.drafts).filter(([, value]) => isRecord(value)),
  ) as Record<string, Drafts>;
  store.dispatch(jobActions.jobsLoaded({ jobs, drafts }));
}

function isRecord(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

/** The parts that no screen could do without; files are checked by their full schema before they get here. */
function looksLikeJob(value: unknown): value is EarlierJob {
  return (
    isRecord(value) &&
    typeof value.id === 'string' &&
    isRecord(value.machine) &&
    isRecord(value.engine) &&
    isRecord(value.release) &&
    isRecord(value.springs) &&
    isRecord(value.springs.coil) &&
    isRecord(value.springs.diaphragm) &&
    isRecord(value.assist) &&
    isRecord(value.startClutch) &&
    isRecord(value.intake) &&
    isRecord(value.strip) &&
    isRecord(value.inspection) &&
    isRecord(value.expanding) &&
    isRecord(value.setting) &&
    Array.isArray(value.release.liftReadings) &&
    Array.isArray(value.photos) &&
    Array.isArray(value.springs.coil.groups) &&
    isRecord(value.pack) &&
    Array.isArray(value.pack.kinds) &&
    Array.isArray(value.pack.plates)
  );
}

function reasonOf(error: unknown): string {
  return error instanceof Error ? error.message : 'the browser gave no reason';
}
