import type { FieldPath, FieldPattern } from '../job/fieldPath';
import { FIELDS } from '../job/fields';
import { fieldPath } from '../job/fieldPath';
import { entryAt } from '../job/entryAt';
import type { Entry, Job } from '../job/types';
import type { Leaflet } from './leafletPack';
import { leafletOf } from './leaflet';
import { NAMED, SINGLE, ownerOf } from './limitNames';
import type { FastenerSort, Limit, Owner } from './limitNames';

/** Sheets of limits that a workshop can have, and limits on one. */
export const MAX_SPEC_SHEETS = 2000;

export const MAX_LIMITS = 500;

/** The limits of one machine or kit. */
export interface SpecSheet {
  readonly id: string;
  readonly name: string;
  /** Which years, which kit, which page of the manual: in words. */
  readonly note: string;
  readonly updatedAt: string;
  readonly limits: readonly Limit[];
  /** What the leaflet says beyond its numbers; absent in sheets of earlier versions. */
  readonly leaflet?: Leaflet;
}

interface Item {
  readonly id: string;
  readonly name: string;
}

export function itemsOf(job: Job, owner: Owner): readonly Item[] {
  switch (owner) {
    case 'kinds':
      return job.pack.kinds;
    case 'groups':
      return job.springs.coil.groups;
    case 'steps':
      return job.springs.diaphragm.steps;
    case 'fasteners':
      return job.build.fasteners;
  }
}

export const sameName = (a: string, b: string): boolean =>
  a.trim().toLocaleLowerCase() === b.trim().toLocaleLowerCase();

/**
 * The paths of a limit in a job: one field, several of the same name, or none.
 * @example placesOf(job, { pattern: 'pack.windowMin' }) // ["pack.windowMin"]
 */
export function placesOf(job: Job, { pattern, of }: Pick<Limit, 'pattern' | 'of'>): FieldPath[] {
  const owner = ownerOf(pattern);
  if (owner === undefined) return [pattern];
  return itemsOf(job, owner)
    .filter((item) => sameName(item.name, of ?? ''))
    .map((item) => fieldPath(pattern, item.id));
}

/** A value that was measured or tested belongs to the parts of one job, not to a leaflet. */
export const isPrinted = (entry: Entry | undefined): entry is Entry =>
  entry !== undefined && entry.source?.kind !== 'measured' && entry.source?.kind !== 'tested';

/**
 * Every limit that a job has a value for, as the library keeps it.
 * @param newId makes identifiers
 * Never throws.
 * @example limitsOf(job, id).length // 29
 */
export function limitsOf(job: Job, newId: () => string): Limit[] {
  const single = SINGLE.flatMap((pattern): Limit[] => {
    const entry = entryAt(job, pattern);
    return isPrinted(entry) ? [{ id: newId(), pattern, entry }] : [];
  });
  const named = (Object.keys(NAMED) as Owner[]).flatMap((owner) =>
    itemsOf(job, owner).flatMap((item) =>
      NAMED[owner].flatMap((pattern): Limit[] => {
        const entry = entryAt(job, fieldPath(pattern, item.id));
        return isPrinted(entry)
          ? [{ id: newId(), pattern, of: item.name, entry, ...fastenerOf(job, owner, item.id) }]
          : [];
      }),
    ),
  );
  return [...single, ...named];
}

function fastenerOf(job: Job, owner: Owner, id: string): { readonly fastener?: FastenerSort } {
  const found = owner === 'fasteners' && job.build.fasteners.find((f) => f.id === id);
  return found
    ? {
        fastener: {
          role: found.role,
          lock: found.lock,
          grade: found.grade,
          ...(found.ownScrews ? { ownScrews: true } : {}),
        },
      }
    : {};
}

const keyOf = ({ pattern, of }: Pick<Limit, 'pattern' | 'of'>): string =>
  `${pattern} ${(of ?? '').trim().toLocaleLowerCase()}`;

/**
 * A spec sheet updated with the values of a job; values only in the sheet stay.
 * @param now ISO time
 * @example specSheetFromJob(library[0], job, id, now).limits.length // 29
 */
export function specSheetFromJob(
  sheet: SpecSheet,
  job: Job,
  newId: () => string,
  now: string,
): SpecSheet {
  const updated = new Map(limitsOf(job, newId).map((limit) => [keyOf(limit), limit] as const));
  const kept = sheet.limits.map((limit) => {
    const mine = updated.get(keyOf(limit));
    updated.delete(keyOf(limit));
    return mine ? { ...mine, id: limit.id } : limit;
  });
  return {
    ...sheet,
    updatedAt: now,
    limits: [...kept, ...updated.values()],
    leaflet: { ...sheet.leaflet, ...leafletOf(job, newId) },
  };
}

/**
 * The field of a limit, with its quantity and range.
 * @example limitField('pack.windowMin').label // "Minimum stack"
 */
export const limitField = (pattern: FieldPattern) => FIELDS[pattern];
