import type { FieldPattern } from '../job/fieldPath';
import type { Entry, Source } from '../job/types';
import { freeName } from '../job/edits/lists';
import { omit } from '../omit';
import type { LeafletPack } from './leafletPack';
import type { FastenerSort, Limit, Owner } from './limitNames';
import type { SpecSheet } from './limits';
import { NAMED, ownerOf } from './limitNames';

/* Changes of a spec sheet as it is typed from a leaflet. */

/**
 * The names of one owner's rows, in the order of the sheet.
 * @example namesOf(library[0], 'steps') // []
 */
export const namesOf = ({ limits }: SpecSheet, owner: Owner): readonly string[] => [
  ...new Set(limits.flatMap((l) => (ownerOf(l.pattern) === owner ? [l.of ?? ''] : []))),
];

/**
 * The limit of a named row, if the sheet has it.
 * @example limitOf(library[0], 'pack.kinds.*.minThickness', 'Disc').entry.value // 2.8
 */
export const limitOf = (sheet: SpecSheet, pattern: FieldPattern, of?: string): Limit | undefined =>
  sheet.limits.find((l) => l.pattern === pattern && l.of === of);

/** What was typed in a field of a sheet: a value with its text, or a draft. */
export interface TypedValue {
  readonly value: number | undefined;
  readonly text: string;
  readonly range?: { readonly low: number; readonly high: number } | undefined;
}

/**
 * The sheet with a value typed at a row; its unit and range stay as printed, and it keeps the page it is from.
 * @param page page of the leaflet, for a value without a source
 * @example limitOf(limitTyped(library[0], 'pack.maxWear', undefined, { value: 1, text: '1' }, '3', id), 'pack.maxWear').entry.source.note // "3"
 */
export function limitTyped(
  sheet: SpecSheet,
  pattern: FieldPattern,
  of: string | undefined,
  { value, text, range }: TypedValue,
  page: string,
  newId: () => string,
): SpecSheet {
  const old = limitOf(sheet, pattern, of);
  const bare: Limit = old
    ? omit(old, 'entry', 'draft')
    : { id: newId(), pattern, ...(of === undefined ? {} : { of }), ...sortOf(sheet, of) };
  const trimmed = text.trim();
  const limit: Limit =
    value !== undefined
      ? { ...bare, entry: entryOf(value, trimmed, range, old?.entry?.source, page) }
      : trimmed === ''
        ? bare
        : { ...bare, draft: text.slice(0, MAX_DRAFT) };
  return {
    ...sheet,
    limits: old ? sheet.limits.map((l) => (l === old ? limit : l)) : [...sheet.limits, limit],
  };
}

const MAX_DRAFT = 400;
const MAX_TYPED = 80;

function entryOf(
  value: number,
  text: string,
  range: TypedValue['range'],
  source: Source | undefined,
  page: string,
): Entry {
  const note = page.trim();
  return {
    value,
    // The unit, the fraction or the range as printed.
    ...(/[^\d.,\s]/.test(text) ? { typed: text.slice(0, MAX_TYPED) } : {}),
    ...(range ? { range } : {}),
    source: source ?? { kind: 'manual', ...(note ? { note } : {}) },
  };
}

/** The other rows of a fastener carry how it is locked. */
function sortOf({ limits }: SpecSheet, of: string | undefined): Pick<Limit, 'fastener'> {
  const sort = limits.find((l) => l.of === of && l.fastener)?.fastener;
  return sort ? { fastener: sort } : {};
}

const FIRST_NAME: Readonly<Record<Owner, string>> = {
  kinds: 'Disc',
  groups: 'Springs',
  steps: '1',
  fasteners: 'Bolts',
};

/**
 * The sheet with a further row of an owner, its fields empty: the next step, or a name that is free.
 * @example namesOf(rowAdded(library[0], 'steps', id), 'steps') // ["1"]
 */
export function rowAdded(sheet: SpecSheet, owner: Owner, newId: () => string): SpecSheet {
  const names = namesOf(sheet, owner);
  const of = owner === 'steps' ? String(names.length + 1) : freeName(FIRST_NAME[owner], names);
  const fastener: FastenerSort = { role: 'other', lock: 'none', grade: '' };
  return {
    ...sheet,
    limits: [
      ...sheet.limits,
      ...NAMED[owner].map((pattern): Limit => ({
        id: newId(),
        pattern,
        of,
        ...(owner === 'fasteners' ? { fastener } : {}),
      })),
    ],
  };
}

/**
 * The sheet with a change to every limit of a row; plates of the order follow the name of their type.
 * @example namesOf(rowChanged(library[0], 'kinds', 'Disc', { of: 'Thin' }), 'kinds')[0] // "Thin"
 */
export function rowChanged(
  sheet: SpecSheet,
  owner: Owner,
  name: string,
  part: Partial<Pick<Limit, 'of' | 'fastener'>>,
): SpecSheet {
  const limits = sheet.limits.map((l) =>
    ownerOf(l.pattern) === owner && l.of === name ? { ...l, ...part } : l,
  );
  const to = part.of;
  if (owner !== 'kinds' || to === undefined) return { ...sheet, limits };
  return packEdited({ ...sheet, limits }, ({ kinds, plates }) => ({
    kinds: kinds.map((k) => (k.name === name ? { ...k, name: to } : k)),
    plates: plates.map((p) => (p.of === name ? { ...p, of: to } : p)),
  }));
}

/**
 * The sheet without a row, and without its plates.
 * @example namesOf(rowRemoved(library[0], 'kinds', 'Disc'), 'kinds').includes('Disc') // false
 */
export function rowRemoved(sheet: SpecSheet, owner: Owner, name: string): SpecSheet {
  const limits = sheet.limits.filter((l) => ownerOf(l.pattern) !== owner || l.of !== name);
  if (owner !== 'kinds') return { ...sheet, limits };
  return packEdited({ ...sheet, limits }, ({ kinds, plates }) => ({
    kinds: kinds.filter((k) => k.name !== name),
    plates: plates.filter((p) => p.of !== name),
  }));
}

const packEdited = (sheet: SpecSheet, edit: (pack: LeafletPack) => LeafletPack): SpecSheet =>
  sheet.leaflet?.pack
    ? { ...sheet, leaflet: { ...sheet.leaflet, pack: edit(sheet.leaflet.pack) } }
    : sheet;

/**
 * A copy of a sheet under a name of its own.
 * @example sheetCopied(library[0], [], id, now).name // "Crag 400, copy"
 */
export function sheetCopied(
  sheet: SpecSheet,
  taken: readonly string[],
  newId: () => string,
  now: string,
): SpecSheet {
  return {
    ...sheet,
    id: newId(),
    name: freeName(`${sheet.name || 'Spec sheet'}, copy`, taken),
    updatedAt: now,
  };
}
