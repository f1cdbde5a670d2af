import type { Quantity } from '@/core/units/quantity';
import { UNITS } from '@/core/units/quantity';
import { EMPTY_STOCK } from '@/core/shelf/stock';
import type { Stock } from '@/core/shelf/stock';
import type { Hands } from '@/core/takeoff/hands';
import { checkHands } from '@/core/takeoff/hands';
import type { SpecSheet } from '@/core/library/limits';
import { backupActions } from '@/state/backupSlice';
import type { Display, ThemeChoice } from '@/state/displaySlice';
import type { PullsByJob } from '@/state/pullsSlice';
import { pullsActions } from '@/state/pullsSlice';
import { displayActions } from '@/state/displaySlice';
import type { Typed } from '@/state/typedSlice';
import { typedActions } from '@/state/typedSlice';
import { libraryActions } from '@/state/librarySlice';
import type { Practice } from '@/state/practiceSlice';
import { practiceActions } from '@/state/practiceSlice';
import { shelfActions } from '@/state/shelfSlice';
import type { Templates } from '@/state/templatesSlice';
import { templateActions } from '@/state/templatesSlice';
import type { AppStore, RootState } from '@/state/store';

import { isPlainRecord } from './storedJob';

/*
 * Records are ours and have their checksum; they are looked at so far that no screen falls over one that an odd version or
 * somebody's hand has left.
 */

const isItems = (value: unknown): value is readonly Record<string, unknown>[] =>
  Array.isArray(value) && value.every((item) => isPlainRecord(item) && typeof item.id === 'string');

/** Lists of the shelf that came later. */
const LATER_LISTS = ['scrap', 'scrapSprings', 'wanted'] as const;

const THEMES: readonly ThemeChoice[] = ['system', 'limestone', 'peat'];

function isDisplay(value: unknown): value is Display {
  return (
    isPlainRecord(value) &&
    THEMES.some((theme) => theme === value.theme) &&
    isPlainRecord(value.units) &&
    Object.entries(value.units).every(
      ([quantity, unit]) =>
        Object.hasOwn(UNITS, quantity) && UNITS[quantity as Quantity].some(({ id }) => id === unit),
    )
  );
}

const isShare = (value: unknown): boolean => typeof value === 'number' && value >= 0 && value <= 1;
const isCount = (value: unknown): boolean => Number.isSafeInteger(value) && (value as number) >= 0;
const isTexts = (value: unknown): boolean =>
  Array.isArray(value) && value.every((v) => typeof v === 'string');

const isCase = (value: unknown): boolean =>
  isPlainRecord(value) &&
  isCount(value.seed) &&
  isTexts(value.taken) &&
  isPlainRecord(value.answers) &&
  Object.values(value.answers).every((a) => typeof a === 'string' || isTexts(a));

const isProgress = (value: unknown): boolean =>
  isPlainRecord(value) &&
  [value.done, value.right].every(isCount) &&
  [value.best, value.last].every(isShare) &&
  (value.open === undefined || isCase(value.open));

/** Hands as the core takes them: else a start by them would be refused. */
function isHands(value: unknown): boolean {
  try {
    if (!Array.isArray(value) || !value.every(isPlainRecord)) return false;
    checkHands(value as unknown as Hands);
    return true;
  } catch {
    return false;
  }
}

const isPractice = (value: unknown): value is Practice =>
  isPlainRecord(value) &&
  isPlainRecord(value.exercises) &&
  Object.values(value.exercises).every(isProgress) &&
  (value.hands === undefined || isHands(value.hands));

const PULL_STATES = ['running', 'whole', 'broken'];

const isPull = (value: unknown): boolean =>
  isPlainRecord(value) &&
  isCount(value.number) &&
  isCount(value.parts) &&
  PULL_STATES.some((state) => state === value.state) &&
  Array.isArray(value.samples) &&
  value.samples.every((s) => isPlainRecord(s) && [s.rpm, s.torque].every(Number.isFinite));

const isPulls = (value: unknown): value is PullsByJob =>
  isPlainRecord(value) &&
  Object.values(value).every((pulls) => Array.isArray(pulls) && pulls.every(isPull));

/** Parts of the workshop stored as one record each, besides the jobs. */
interface StoredPart {
  readonly key: string;
  readonly of: (state: RootState) => unknown;
  /** Loads a record into the store; returns whether it was such a record. */
  readonly take: (dispatch: AppStore['dispatch'], value: unknown) => boolean;
}

export const STORED_PARTS: readonly StoredPart[] = [
  {
    key: 'display',
    of: (state) => state.display,
    take: (dispatch, value) => {
      if (!isDisplay(value)) return false;
      dispatch(displayActions.displayLoaded(value));
      return true;
    },
  },
  {
    key: 'shelf',
    of: (state) => state.shelf,
    take: (dispatch, value) => {
      if (!isPlainRecord(value) || !isItems(value.plates) || !isItems(value.springs)) return false;
      if (LATER_LISTS.some((list) => value[list] !== undefined && !isItems(value[list])))
        return false;
      dispatch(shelfActions.shelfLoaded({ ...EMPTY_STOCK, ...(value as unknown as Stock) }));
      return true;
    },
  },
  {
    key: 'templates',
    of: (state) => state.templates,
    take: (dispatch, value) => {
      if (!isPlainRecord(value) || !Object.values(value).every(isPlainRecord)) return false;
      dispatch(templateActions.templatesLoaded(value as unknown as Templates));
      return true;
    },
  },
  {
    key: 'library',
    of: (state) => state.library.sheets,
    take: (dispatch, value) => {
      if (!isItems(value) || !value.every((sheet) => Array.isArray(sheet.limits))) return false;
      dispatch(libraryActions.libraryLoaded(value as unknown as SpecSheet[]));
      return true;
    },
  },
  {
    key: 'typed',
    of: (state) => state.typed,
    take: (dispatch, value) => {
      if (!isPlainRecord(value) || !Object.values(value).every((v) => typeof v === 'string'))
        return false;
      dispatch(typedActions.typedLoaded(value as Typed));
      return true;
    },
  },
  {
    key: 'practice',
    of: (state) => state.practice,
    take: (dispatch, value) => {
      if (!isPractice(value)) return false;
      dispatch(practiceActions.practiceLoaded(value));
      return true;
    },
  },
  {
    key: 'pulls',
    of: (state) => state.pulls,
    take: (dispatch, value) => {
      if (!isPulls(value)) return false;
      dispatch(pullsActions.pullsLoaded(value));
      return true;
    },
  },
  {
    key: 'backup',
    of: (state) => state.backup.last,
    take: (dispatch, value) => {
      if (
        !isPlainRecord(value) ||
        typeof value.since !== 'string' ||
        Number.isNaN(Date.parse(value.since))
      )
        return false;
      dispatch(backupActions.backupLoaded({ since: value.since, made: value.made === true }));
      return true;
    },
  },
];
