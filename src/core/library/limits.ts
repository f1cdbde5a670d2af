import { lowerFirst } from '@/core/text/sentence';
import type { FieldPath, FieldPattern } from '../job/fieldPath';
import { FIELDS } from '../job/fields';
import { fieldPath } from '../job/fieldPath';
import { withEntry } from '../job/paths';
import { entryAt } from '../job/entryAt';
import { changeGroup } from '../job/edits/springs';
import type { CoilGroup, Entry, Job } from '../job/types';
import type { Fastener } from '../job/work';
import { isFrozen } from '../job/signOff';
import type { ComparedPart, Leaflet, LeafletKey } from './leaflet';
import { compareLeaflet, leafletOf, putKinds, withLeaflet } from './leaflet';

/*
 * The limits, step bands and torques of the shop by machine or kit: kept once, each with where it comes from, and
 * used by every job of such a machine.
 */

/** Values that a machine or kit has one of. */
const SINGLE = [
  'engine.peakTorque',
  'engine.peakTorqueRpm',
  'engine.idleRpm',
  'engine.primaryRatio',
  'pack.windowMin',
  'pack.windowMax',
  'pack.maxWear',
  'pack.splineLength',
  'pack.fingerLength',
  'pack.caliperAllowance',
  'springs.coil.seatDistance',
  'springs.coil.pressurePlate',
  'springs.coil.ringRadius',
  'springs.diaphragm.outerDiameter',
  'springs.diaphragm.innerDiameter',
  'springs.diaphragm.thickness',
  'springs.diaphragm.coneHeight',
  'springs.diaphragm.referenceStack',
  'springs.diaphragm.referenceDeflection',
  'springs.diaphragm.fingerRatio',
  'springs.loose.span',
  'springs.loose.pocketInner',
  'springs.loose.pocketOuter',
  'springs.loose.gapMin',
  'springs.loose.gapMax',
  'release.leverRatio',
  'release.leverTravel',
  'release.masterDiameter',
  'release.slaveDiameter',
  'release.armLength',
  'release.lead',
  'release.reducedEffort',
  'release.requiredLift',
  'release.faceClearance',
  'setting.gapMin',
  'setting.gapMax',
  'setting.pitch',
  'setting.marksPerTurn',
  'setting.linkage',
  'setting.turnsGiven',
  'setting.targetGain',
  'setting.freePlayMin',
  'setting.freePlayMax',
  'setting.pushrodClearance',
  'setting.pushrodPitch',
  'setting.endFloatWanted',
  'setting.endFloatPitch',
  'setting.chainSlackMin',
  'setting.chainSlackMax',
  'expanding.growth',
  'expanding.count',
  'expanding.mass',
  'expanding.radius',
  'expanding.advantage',
  'expanding.returnForce',
  'expanding.returnRate',
  'startClutch.shoeLiningMin',
  'startClutch.drumBoreMax',
  'inspection.taperLimit',
  'inspection.steelWarpLimit',
  'inspection.tangClearanceMin',
  'inspection.tangClearanceMax',
  'inspection.coneMin',
  'inspection.notchLimit',
  'inspection.damperPlayLimit',
  'inspection.pressurePlateFlatnessLimit',
  'inspection.pressurePlateMinThickness',
  'inspection.seatSquarenessLimit',
  'build.soakPlan',
  'build.soakLeast',
  'build.headClearanceMin',
] as const satisfies readonly FieldPattern[];

/** Values of something that has a name: a kind of plate or spring, a retainer step, a fastener. */
export const NAMED = {
  kinds: [
    'pack.kinds.*.thickness',
    'pack.kinds.*.minThickness',
    'pack.kinds.*.tolerance',
    'pack.kinds.*.outerRadius',
    'pack.kinds.*.innerRadius',
    'pack.kinds.*.pressureLimit',
  ],
  groups: [
    'springs.coil.groups.*.count',
    'springs.coil.groups.*.rate',
    'springs.coil.groups.*.freeLength',
    'springs.coil.groups.*.solidLength',
    'springs.coil.groups.*.minFreeLength',
  ],
  steps: [
    'springs.diaphragm.steps.*.height',
    'springs.diaphragm.steps.*.bandMin',
    'springs.diaphragm.steps.*.bandMax',
    'springs.diaphragm.steps.*.offset',
  ],
  fasteners: ['build.fasteners.*.count', 'build.fasteners.*.size', 'build.fasteners.*.torque'],
} as const satisfies Readonly<Record<string, readonly FieldPattern[]>>;

export type Owner = keyof typeof NAMED;

/** Sheets of limits that a workshop can have, and limits on one. */
export const MAX_SPEC_SHEETS = 2000;
export const MAX_LIMITS = 500;

/** Every field that the library keeps. */
export const LIMIT_PATTERNS: readonly FieldPattern[] = [...SINGLE, ...Object.values(NAMED).flat()];

/**
 * The owner type of a named limit; undefined for limits of the machine.
 * @example ownerOf('pack.kinds.*.minThickness') // "kinds"
 */
export const ownerOf = (pattern: FieldPattern): Owner | undefined =>
  (Object.keys(NAMED) as Owner[]).find((owner) =>
    (NAMED[owner] as readonly FieldPattern[]).includes(pattern),
  );

/** Data of a fastener besides its torque, so that a new job gets all of it. */
export type FastenerSort = Pick<Fastener, 'role' | 'lock' | 'grade' | 'ownScrews'>;

export interface Limit {
  readonly id: string;
  readonly pattern: FieldPattern;
  /** Name of the kind, step or fastener that it belongs to. */
  readonly of?: string | undefined;
  readonly entry?: Entry | undefined;
  /** Draft text of the field. */
  readonly draft?: string | undefined;
  readonly fastener?: FastenerSort | undefined;
}

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

/**
 * The name of a limit: "Disc, minimum thickness" or "Minimum stack".
 * @example limitName({ pattern: 'pack.kinds.*.minThickness', of: 'Disc' }) // "Disc, minimum thickness"
 */
export function limitName({ pattern, of }: Pick<Limit, 'pattern' | 'of'>): string {
  const { label } = FIELDS[pattern];
  if (of === undefined) return label;
  return ownerOf(pattern) === 'steps'
    ? `Step ${of}, ${label.replace(/^Step,? /, '')}`
    : `${of}, ${lowerFirst(label)}`;
}

interface Item {
  readonly id: string;
  readonly name: string;
}

function itemsOf(job: Job, owner: Owner): readonly Item[] {
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

const sameName = (a: string, b: string): boolean =>
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
const isPrinted = (entry: Entry | undefined): entry is Entry =>
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
const blankGroup = ({ springs: { coil } }: Job): CoilGroup | undefined => {
  const [only] = coil.groups;
  return only && coil.groups.length === 1 && !only.rate && !only.freeLength && !only.count
    ? only
    : undefined;
};

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

/**
 * The field of a limit, with its quantity and range.
 * @example limitField('pack.windowMin').label // "Minimum stack"
 */
export const limitField = (pattern: FieldPattern) => FIELDS[pattern];
