import { entryAt } from '../job/entryAt';
import type { CoilGroup, Entry, Job } from '../job/types';
import { ownerOf } from './limitNames';
import type { Limit, Owner } from './limitNames';
import { isPrinted, placesOf, sameName } from './limits';
import type { SpecSheet } from './limits';

/**
 * Comparison of a limit of a spec sheet with a job: same value, different value, missing in the job, no place in the job; or
 * still open in the sheet.
 */
export type LimitComparison = 'same' | 'differs' | 'missing' | 'noPlace' | 'open';

export interface ComparedLimit {
  readonly limit: Limit;
  readonly standing: LimitComparison;
  /** The job's value, where it differs. */
  readonly here?: Entry;
}

/** Values closer than this are the same as typed: the resolution of the field's entry, relative. */
const SAME = 1e-9;

const sameValue = (a: number, b: number): boolean =>
  Math.abs(a - b) <= SAME * Math.max(1, Math.abs(a), Math.abs(b));

/**
 * Every limit of a sheet against a job. Never throws.
 * @example compareSpecSheet(library[0], job).length // 21
 */
export function compareSpecSheet(sheet: SpecSheet, job: Job): ComparedLimit[] {
  return sheet.limits.map((limit): ComparedLimit => {
    const { entry } = limit;
    if (!entry) return { limit, standing: 'open' };
    const places = placesOf(job, limit);
    const owner = ownerOf(limit.pattern);
    // Missing steps and fasteners are added, and plates of the sheet's own order; other plates and springs are not.
    if (places.length === 0)
      return { limit, standing: canBeMade(sheet, job, limit, owner) ? 'missing' : 'noPlace' };
    const entries = places.map((path) => entryAt(job, path));
    if (entries.some((e) => e === undefined)) return { limit, standing: 'missing' };
    // A value measured on the machine is no deviation from the leaflet.
    const other = entries.find((e) => isPrinted(e) && !sameValue(e.value, entry.value));
    return other ? { limit, standing: 'differs', here: other } : { limit, standing: 'same' };
  });
}

function canBeMade(
  { leaflet }: SpecSheet,
  job: Job,
  { of = '' }: Limit,
  owner: Owner | undefined,
): boolean {
  if (owner === 'kinds') return leaflet?.pack?.kinds.some((k) => sameName(k.name, of)) ?? false;
  if (owner === 'groups') return blankGroup(job) !== undefined;
  return owner === 'steps' || owner === 'fasteners';
}

/** The group of a new job that nobody has filled in. */
export const blankGroup = ({ springs: { coil } }: Job): CoilGroup | undefined => {
  const [only] = coil.groups;
  return only && coil.groups.length === 1 && !only.rate && !only.freeLength && !only.count
    ? only
    : undefined;
};
