import canonicalize from 'canonicalize';
import type { Job } from '../job/types';
import type { SheetTemplate } from '../job/work';
import type { SpecSheet } from '../library/limits';
import { isFrozen } from '../job/signOff';
import type { Stock, StockPlate, StockSpring } from '../shelf/stock';

/** All data of a workshop except its photographs. */
export interface Workshop {
  readonly jobs: readonly Job[];
  /** Draft texts: by job, then by path. */
  readonly unfinished: Readonly<Record<string, Readonly<Record<string, string>>>>;
  readonly shelf: Stock;
  /** The shop's own sheets, by family and stage. */
  readonly templates: Readonly<Record<string, SheetTemplate>>;
  /** The shop's limits, by machine or kit. */
  readonly library: readonly SpecSheet[];
}

export type MergeKind = 'job' | 'plate' | 'spring' | 'template' | 'limits';

export type MergeStatus = 'new' | 'same' | 'differs';

/** Resolution of a conflict: keep mine, use the file's, or keep both. */
export type MergeChoice = 'here' | 'file' | 'both';

/** One item of the file, compared with the one of the same identifier here. */
export interface MergeItem {
  /** Kind and identifier: no two items share it. */
  readonly key: string;
  readonly kind: MergeKind;
  readonly id: string;
  readonly name: string;
  readonly status: MergeStatus;
}

export const same = (a: object, b: object): boolean => canonicalize(a) === canonicalize(b);

function compare<T extends object>(
  kind: MergeKind,
  here: ReadonlyMap<string, T>,
  file: ReadonlyMap<string, T>,
  nameOf: (item: T, id: string) => string,
): MergeItem[] {
  return [...file].map(([id, item]) => {
    const ours = here.get(id);
    return {
      key: `${kind}:${id}`,
      kind,
      id,
      name: nameOf(item, id),
      status: ours === undefined ? 'new' : same(ours, item) ? 'same' : 'differs',
    };
  });
}

export const byId = <T extends { readonly id: string }>(items: readonly T[]) =>
  new Map(items.map((item) => [item.id, item] as const));

export const byKey = <T>(items: Readonly<Record<string, T>>) => new Map(Object.entries(items));

/**
 * Plans the import of a file into a workshop, item by item, without changing anything.
 * @returns every thing of the file, in the file's order; what is only here is left alone and not listed
 * @example planMerge(workshop, workshop).length // 35
 */
export function planMerge(here: Workshop, file: Workshop): readonly MergeItem[] {
  return [
    ...compare('job', byId(here.jobs), byId(file.jobs), (job) =>
      [job.number, job.machine.name].filter(Boolean).join(' '),
    ),
    ...compare('plate', byId(here.shelf.plates), byId(file.shelf.plates), (p) => p.label || p.id),
    ...compare(
      'spring',
      byId(here.shelf.springs),
      byId(file.shelf.springs),
      (s) => s.group.name || s.id,
    ),
    ...compare('template', byKey(here.templates), byKey(file.templates), (_t, id) => id),
    ...compare('limits', byId(here.library), byId(file.library), (s) => s.name || s.id),
  ];
}

/**
 * The default resolution: both for separate items; mine for a checklist.
 * @example choiceFor({ kind: 'job', state: 'new' }) // "both"
 */
export const choiceFor = (item: MergeItem): MergeChoice =>
  item.kind === 'template' ? 'here' : 'both';

export interface Merged {
  readonly workshop: Workshop;
  /** Photographs to take from the file: their identifier there, and the one that they get here. */
  readonly photos: ReadonlyMap<string, string>;
}

/**
 * A workshop with the file imported. Nothing here is lost unless the file's version was chosen.
 * @param choices by key of the item; see {@link choiceFor} for what is not named
 * @param newId makes the identifier of what is kept beside ours, from the key of the thing or `photo:` and its identifier
 * @example merged(workshop, workshop, new Map(), id).workshop.jobs.length // 1
 */
export function merged(
  here: Workshop,
  file: Workshop,
  choices: ReadonlyMap<string, MergeChoice>,
  newId: (of: string) => string,
): Merged {
  const plan = new Map(planMerge(here, file).map((item) => [item.key, item] as const));
  const doing = (kind: MergeKind, id: string): 'skip' | 'add' | 'replace' | 'beside' => {
    const item = plan.get(`${kind}:${id}`);
    if (!item || item.status === 'same') return 'skip';
    if (item.status === 'new') return 'add';
    const choice = choices.get(item.key) ?? choiceFor(item);
    return choice === 'here' ? 'skip' : choice === 'file' ? 'replace' : 'beside';
  };

  // Shelf first: jobs from the file must go on naming the plates and springs of the file.
  const moved = new Map<string, string>();
  const plates = new Map(byId(here.shelf.plates));
  for (const plate of file.shelf.plates) {
    const what = doing('plate', plate.id);
    if (what === 'skip') continue;
    const id = what === 'beside' ? newId(`plate:${plate.id}`) : plate.id;
    if (what === 'beside') moved.set(plate.id, id);
    const put: StockPlate =
      what === 'beside' ? { ...plate, id, label: fromFile(plate.label) } : plate;
    plates.set(id, put);
  }
  const springs = new Map(byId(here.shelf.springs));
  for (const spring of file.shelf.springs) {
    const what = doing('spring', spring.id);
    if (what === 'skip') continue;
    const id = what === 'beside' ? newId(`spring:${spring.id}`) : spring.id;
    if (what === 'beside') moved.set(spring.id, id);
    const put: StockSpring =
      what === 'beside'
        ? { ...spring, id, group: { ...spring.group, name: fromFile(spring.group.name) } }
        : spring;
    springs.set(id, put);
  }

  const library = new Map(byId(here.library));
  for (const sheet of file.library) {
    const what = doing('limits', sheet.id);
    if (what === 'skip') continue;
    const id = what === 'beside' ? newId(`limits:${sheet.id}`) : sheet.id;
    if (what === 'beside') moved.set(sheet.id, id);
    library.set(id, what === 'beside' ? { ...sheet, id, name: fromFile(sheet.name) } : sheet);
  }

  const jobs = new Map(byId(here.jobs));
  const unfinished = new Map(byKey(here.unfinished));
  const photos = new Map<string, string>();
  for (const job of file.jobs) {
    const what = doing('job', job.id);
    if (what === 'skip') continue;
    const id = what === 'beside' ? newId(`job:${job.id}`) : job.id;
    const taken = renamed(job, moved);
    const put: Job = what === 'beside' ? { ...besideOurs(taken, photos, newId), id } : taken;
    if (what !== 'beside') for (const photo of job.photos) photos.set(photo.id, photo.id);
    jobs.set(id, put);
    const left = file.unfinished[job.id];
    if (left) unfinished.set(id, left);
    else unfinished.delete(id);
  }

  const templates = { ...here.templates };
  for (const [key, template] of Object.entries(file.templates))
    if (doing('template', key) !== 'skip') templates[key] = template;

  return {
    workshop: {
      jobs: [...jobs.values()],
      unfinished: Object.fromEntries(unfinished),
      shelf: {
        plates: [...plates.values()],
        springs: [...springs.values()],
        scrap: [...new Map([...byId(file.shelf.scrap), ...byId(here.shelf.scrap)]).values()],
        scrapSprings: [
          ...new Map([...byId(file.shelf.scrapSprings), ...byId(here.shelf.scrapSprings)]).values(),
        ],
        wanted: [...new Map([...byId(file.shelf.wanted), ...byId(here.shelf.wanted)]).values()],
        gauges: [...new Set([...here.shelf.gauges, ...file.shelf.gauges])],
      },
      templates,
      library: [...library.values()],
    },
    photos,
  };
}

const fromFile = (name: string): string => `${name}, from a file`.replace(/^, f/, 'F');

/** A job that names items of the shelf and the library by their identifiers here; a signed one stays as signed. */
function renamed(job: Job, moved: ReadonlyMap<string, string>): Job {
  if (moved.size === 0 || isFrozen(job)) return job;
  const at = <T extends { readonly shelfId?: string }>(item: T): T => {
    const id = item.shelfId === undefined ? undefined : moved.get(item.shelfId);
    return id === undefined ? item : { ...item, shelfId: id };
  };
  const limitsId = job.machine.limitsId && moved.get(job.machine.limitsId);
  return {
    ...job,
    machine: limitsId ? { ...job.machine, limitsId } : job.machine,
    pack: { ...job.pack, plates: job.pack.plates.map(at) },
    springs: {
      ...job.springs,
      coil: { ...job.springs.coil, groups: job.springs.coil.groups.map(at) },
    },
  };
}

/** A job kept beside mine: its photographs are copied. */
function besideOurs(job: Job, photos: Map<string, string>, newId: (of: string) => string): Job {
  return {
    ...job,
    number: fromFile(job.number),
    photos: job.photos.map((photo) => {
      const id = newId(`photo:${photo.id}`);
      photos.set(photo.id, id);
      return { ...photo, id };
    }),
  };
}
