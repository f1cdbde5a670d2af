import { nanoid } from '@reduxjs/toolkit';

import { EMPTY_STOCK } from '@/core/shelf/stock';
import type { MergeChoice, Workshop } from '@/core/workshop/merge';
import { merged } from '@/core/workshop/merge';
import { unmerged } from '@/core/workshop/unmerge';
import type { Drafts } from '@/state/jobs/jobsSlice';
import { jobActions, jobSelectors } from '@/state/jobs/jobsSlice';
import { libraryActions } from '@/state/librarySlice';
import { shelfActions } from '@/state/shelfSlice';
import { templateActions } from '@/state/templatesSlice';
import { bytesOfDataUrl, dataUrlOf } from '@/files/dataUrl';
import { FileRefused, MAX_BACKUP_BYTES } from '@/files/refused';
import type { ReadBackup } from '@/workers/filesClient';
import { packInWorker, readInWorker, writeInWorker } from '@/workers/filesClient';
import { pictures } from '@/storage/pictures';
import type { AppStore, RootState } from '@/state/store';

import { backupActions } from '@/state/backupSlice';

/** The workshop data in the store. */
export function workshopOf(state: RootState): Workshop {
  const unfinished = Object.fromEntries(
    Object.entries(state.jobs.drafts).map(([id, drafts]) => [
      id,
      Object.fromEntries(Object.entries(drafts).map(([path, { text }]) => [path, text])),
    ]),
  );
  return {
    jobs: jobSelectors.selectAll(state),
    unfinished,
    shelf: state.shelf,
    templates: state.templates,
    library: state.library.sheets,
  };
}

/** Packs the workshop with its photographs; a photograph that is gone is left out. */
export const backUp =
  () =>
  async (_dispatch: unknown, getState: () => RootState): Promise<Uint8Array> => {
    const workshop = workshopOf(getState());
    const photos = new Map<string, Uint8Array>();
    for (const { id } of workshop.jobs.flatMap((job) => job.photos)) {
      const url = await pictures.load(id);
      if (url !== undefined) photos.set(id, bytesOfDataUrl(url));
    }
    const bytes = await packInWorker(workshop, photos, new Date().toISOString());
    // An unreadable backup is none: it is read back before it is offered. The worker takes ownership of its input.
    const { workshop: read } = await readInWorker(bytes.slice(), () => undefined);
    if (read.jobs.length !== workshop.jobs.length)
      throw new Error('the backup does not match the workshop');
    return bytes;
  };

/** Parts of a workshop that can leave it by themselves. */
export const BACKUP_PARTS = ['shelf', 'library', 'templates'] as const;
export type BackupPart = (typeof BACKUP_PARTS)[number];

/** A workshop file with one part in it and the others empty; it is taken in like any other. */
export const partFile =
  (part: BackupPart) =>
  (_dispatch: unknown, getState: () => RootState): Promise<string> => {
    const nothing = { jobs: [], unfinished: {}, shelf: EMPTY_STOCK, templates: {}, library: [] };
    const workshop = { ...nothing, [part]: workshopOf(getState())[part] };
    return writeInWorker(workshop, new Date().toISOString());
  };

/** A file that was read and is not yet taken in. */
export interface ReadFile extends ReadBackup {
  readonly name: string;
}

/**
 * Reads a backup or the workshop file in it; changes nothing.
 * @throws {FileRefused} with words for the builder
 */
export async function readBackup(file: File, progress: (share: number) => void): Promise<ReadFile> {
  if (file.size > MAX_BACKUP_BYTES)
    throw new FileRefused(
      `${(file.size / 1e6).toFixed(0)} MB is too large for a backup; at most ${MAX_BACKUP_BYTES / 1e6} MB.`,
    );
  const bytes = new Uint8Array(await file.arrayBuffer());
  return { name: file.name, ...(await readInWorker(bytes, progress)) };
}

/**
 * Imports a read file into the workshop; the import can be undone. Photographs are stored first, then the data are merged with
 * the workshop as it is at that moment.
 */
export const importWorkshop =
  (file: ReadFile, choices: ReadonlyMap<string, MergeChoice>) =>
  async (dispatch: AppStore['dispatch'], getState: () => RootState): Promise<void> => {
    const made = new Map<string, string>();
    const newId = (of: string): string => {
      const id = made.get(of) ?? nanoid(12);
      made.set(of, id);
      return id;
    };
    const merge = () => {
      const before = workshopOf(getState());
      return { before, ...merged(before, file.workshop, choices, newId) };
    };
    for (const [id, here] of merge().photos) {
      const bytes = file.photos.get(id);
      if (bytes) await pictures.save(here, dataUrlOf(bytes, 'image/jpeg'));
    }
    const { before, workshop } = merge();
    dispatch(placeRecords(workshop));
    dispatch(backupActions.fileTaken({ before, after: workshopOf(getState()) }));
  };

/** Undoes the last import. @returns names of items kept because they were changed since */
export const undoImport =
  () =>
  (dispatch: AppStore['dispatch'], getState: () => RootState): readonly string[] => {
    const { taken } = getState().backup;
    dispatch(backupActions.takingForgotten());
    if (!taken) return [];
    const { workshop, kept } = unmerged(workshopOf(getState()), taken.before, taken.after);
    dispatch(placeRecords(workshop));
    return kept;
  };

const placeRecords =
  ({ jobs, unfinished, shelf, templates, library }: Workshop) =>
  (dispatch: AppStore['dispatch'], getState: () => RootState): void => {
    const { units } = getState().display;
    const known = getState().jobs.drafts;
    const drafts: Record<string, Drafts> = Object.fromEntries(
      Object.entries(unfinished).map(([id, texts]) => [
        id,
        Object.fromEntries(
          Object.entries(texts).map(([path, text]) => {
            const mine = known[id]?.[path];
            return [path, mine?.text === text ? mine : { text, units }];
          }),
        ),
      ]),
    );
    dispatch(jobActions.jobsLoaded({ jobs: [...jobs], drafts }));
    dispatch(shelfActions.shelfLoaded(shelf));
    dispatch(templateActions.templatesLoaded(templates));
    dispatch(libraryActions.libraryLoaded(library));
  };
