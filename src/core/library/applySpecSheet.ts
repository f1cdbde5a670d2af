import { withEntry } from '../job/paths';
import { changeGroup } from '../job/edits/springs';
import type { Job } from '../job/types';
import { isFrozen } from '../job/signOff';
import type { ComparedPart, LeafletKey } from './leaflet';
import { compareLeaflet, withLeaflet } from './leaflet';
import { putKinds } from './leafletPack';
import { blankGroup, compareSpecSheet } from './compareSpecSheet';
import type { ComparedLimit } from './compareSpecSheet';
import { ownerOf } from './limitNames';
import type { FastenerSort, Limit } from './limitNames';
import { itemsOf, placesOf, sameName } from './limits';
import type { SpecSheet } from './limits';

/** What of a sheet is to be applied. */
export interface Applying {
  /** Identifiers of limits. */
  readonly limits: ReadonlySet<string>;
  readonly parts: readonly LeafletKey[];
}

/**
 * Everything of a sheet that a job does not have yet, and what it has otherwise.
 * @example changesBySheet(library[0], job).limits.size // 0
 */
export function changesBySheet(sheet: SpecSheet, job: Job): Applying {
  return {
    limits: new Set(
      compareSpecSheet(sheet, job)
        .filter(({ standing }) => standing === 'differs' || standing === 'missing')
        .map(({ limit }) => limit.id),
    ),
    parts: compareLeaflet(sheet.leaflet ?? {}, job)
      .filter(({ standing }) => standing !== 'same')
      .map(({ key }) => key),
  };
}

/**
 * Applies limits of a spec sheet to a job: they replace the present values, and the job records the sheet. Missing steps and
 * fasteners are added.
 * @param which the limits and parts to take
 * @param newId makes identifiers
 * @example withSpecSheet(job, library[0], changesBySheet(library[0], job), id).machine.limitsId // "of-crag"
 */
export function withSpecSheet(
  job: Job,
  sheet: SpecSheet,
  which: Applying,
  newId: () => string,
): Job {
  let next: Job = { ...job, machine: { ...job.machine, limitsId: sheet.id } };
  next = withLeaflet(next, sheet.leaflet ?? {}, which.parts, newId);
  for (const limit of sheet.limits) {
    if (!which.limits.has(limit.id) || !limit.entry) continue;
    next = withItem(next, limit, sheet, newId);
    for (const path of placesOf(next, limit)) next = withEntry(next, path, limit.entry);
  }
  return next;
}

function withItem(
  job: Job,
  { pattern, of = '', fastener }: Limit,
  { leaflet }: SpecSheet,
  newId: () => string,
): Job {
  const owner = ownerOf(pattern);
  if (owner === undefined) return job;
  if (itemsOf(job, owner).some((i) => sameName(i.name, of)))
    return owner === 'fasteners' && fastener ? withSort(job, of, fastener) : job;
  if (owner === 'kinds') {
    const kinds = leaflet?.pack?.kinds.filter((k) => sameName(k.name, of)) ?? [];
    return { ...job, pack: putKinds(job.pack, kinds, newId) };
  }
  if (owner === 'groups') {
    const blank = blankGroup(job);
    return blank ? changeGroup(job, blank.id, { name: of }) : job;
  }
  if (owner === 'steps') {
    const { diaphragm } = job.springs;
    const steps = [...diaphragm.steps, { id: newId(), name: of }];
    return { ...job, springs: { ...job.springs, diaphragm: { ...diaphragm, steps } } };
  }
  if (owner === 'fasteners') {
    const sort = fastener ?? { role: 'other', lock: 'none', grade: '' };
    const fasteners = [...job.build.fasteners, { id: newId(), name: of, ...sort }];
    return { ...job, build: { ...job.build, fasteners } };
  }
  return job;
}

const withSort = (job: Job, of: string, sort: FastenerSort): Job => ({
  ...job,
  build: {
    ...job.build,
    fasteners: job.build.fasteners.map((f) => (sameName(f.name, of) ? { ...f, ...sort } : f)),
  },
});

/** A job that uses a sheet and has a different value. */
export interface AffectedJob {
  readonly job: Job;
  readonly differs: readonly ComparedLimit[];
  readonly parts: readonly ComparedPart[];
  /** Signed: not changed. */
  readonly signed: boolean;
}

/**
 * The jobs that a sheet, as it now is, touches: those that use it and say another value, the archive apart.
 * @example affectedJobs(library[0], [job, quad]).length // 0
 */
export function affectedJobs(sheet: SpecSheet, jobs: readonly Job[]): AffectedJob[] {
  return jobs
    .filter((job) => job.machine.limitsId === sheet.id && !job.archived)
    .map((job) => ({
      job,
      differs: compareSpecSheet(sheet, job).filter(
        ({ standing }) => standing === 'differs' || standing === 'missing',
      ),
      parts: compareLeaflet(sheet.leaflet ?? {}, job).filter(({ standing }) => standing !== 'same'),
      signed: isFrozen(job),
    }))
    .filter(({ differs, parts }) => differs.length + parts.length > 0);
}
