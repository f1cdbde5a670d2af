import { EMPTY_STOCK } from '@/core/shelf/stock';
import type { Stock } from '@/core/shelf/stock';
import type { LimitSheet } from '@/core/library/limits';
import { backupActions } from '@/features/backup/backupSlice';
import type { Display } from '@/features/display/displaySlice';
import { displayActions } from '@/features/display/displaySlice';
import type { Typed } from '@/features/entry/typedSlice';
import { typedActions } from '@/features/entry/typedSlice';
import { libraryActions } from '@/features/library/librarySlice';
import { shelfActions } from '@/features/shelf/shelfSlice';
import type { Templates } from '@/features/worksheet/templatesSlice';
import { templateActions } from '@/features/worksheet/templatesSlice';
import type { AppStore, RootState } from '@/store/store';

import { isRecord } from './storedJob';

/** What of the workshop is one record each, besides the jobs. */
interface Part {
  readonly key: string;
  readonly of: (state: RootState) => unknown;
  /** Puts a record into the store; says whether it was such a record. */
  readonly take: (dispatch: AppStore['dispatch'], value: unknown) => boolean;
}

export const PARTS: readonly Part[] = [
  {
    key: 'display',
    of: (state) => state.display,
    take: (dispatch, value) => {
      if (!isRecord(value)) return false;
      dispatch(displayActions.displayLoaded(value as unknown as Display));
      return true;
    },
  },
  {
    key: 'shelf',
    of: (state) => state.shelf,
    take: (dispatch, value) => {
      if (!isRecord(value) || !Array.isArray(value.plates) || !Array.isArray(value.springs))
        return false;
      dispatch(shelfActions.shelfLoaded({ ...EMPTY_STOCK, ...(value as unknown as Stock) }));
      return true;
    },
  },
  {
    key: 'templates',
    of: (state) => state.templates,
    take: (dispatch, value) => {
      if (!isRecord(value)) return false;
      dispatch(templateActions.templatesLoaded(value as unknown as Templates));
      return true;
    },
  },
  {
    key: 'library',
    of: (state) => state.library.sheets,
    take: (dispatch, value) => {
      if (!Array.isArray(value)) return false;
      dispatch(libraryActions.libraryLoaded(value as LimitSheet[]));
      return true;
    },
  },
  {
    key: 'typed',
    of: (state) => state.typed,
    take: (dispatch, value) => {
      if (!isRecord(value) || !Object.values(value).every((v) => typeof v === 'string'))
        return false;
      dispatch(typedActions.typedLoaded(value as Typed));
      return true;
    },
  },
  {
    key: 'backup',
    of: (state) => state.backup.last,
    take: (dispatch, value) => {
      if (!isRecord(value) || typeof value.since !== 'string') return false;
      dispatch(backupActions.backupLoaded({ since: value.since, made: value.made === true }));
      return true;
    },
  },
];
