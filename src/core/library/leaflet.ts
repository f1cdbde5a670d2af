import { CALIPER_WAY } from '../evaluate/figures/stackFigures';
import { SPRING_KINDS } from '../clutch/fitted';
import type { ClutchType } from '../clutch/type';
import { chooseTypeAsGoes, clutchType, describeType } from '../clutch/type';
import { chooseLayout, chooseRelease } from '../job/edits/details';
import { chooseSpringType } from '../job/edits/springs';
import type { Job, LeafletPart, Release } from '../job/types';
import { LEAFLET_PARTS } from '../job/types';
import { LEAFLET_NAME, ROTATION_NAME } from '../job/words';
import { byText } from '../order';
import { countOf } from '../text/countOf';
import { lowerFirst } from '../text/sentence';
import { packOf, putPack, putStarts } from './leafletPack';
import type { Id, Leaflet, LeafletKind } from './leafletPack';

/** One part of a leaflet: its name, and how it is read from a job, put into one, and described. */
interface Part<T> {
  readonly name: string;
  readonly of: (job: Job, newId: Id) => T | undefined;
  readonly put: (job: Job, value: T, newId: Id) => Job;
  readonly text: (value: T) => string;
}

const RELEASE_NAME: Readonly<Record<Release['type'], string>> = {
  hydraulic: 'hydraulics',
  cable: 'cable',
  measured: 'dial reading',
};

const PARTS: { readonly [K in keyof Leaflet]-?: Part<NonNullable<Leaflet[K]>> } = {
  clutch: {
    name: 'Clutch type',
    of: (job) => (job.machine.layout === 'unknown' ? undefined : clutchType(job)),
    put: putClutch,
    text: (type) => lowerFirst(describeType(type).name),
  },
  springs: {
    name: 'Spring type',
    of: ({ springs }) => (springs.undecided ? undefined : springs.type),
    put: chooseSpringType,
    text: (type) => SPRING_KINDS.find((kind) => kind.id === type)?.name ?? type,
  },
  release: {
    name: 'Release',
    of: ({ release }) => (release.undecided ? undefined : release.type),
    put: chooseRelease,
    text: (type) => RELEASE_NAME[type],
  },
  hubStays: {
    name: 'The hub',
    of: ({ strip }) => strip.hubStays,
    put: (job, hubStays) => ({ ...job, strip: { ...job.strip, hubStays } }),
    text: (stays) => (stays ? 'stays on' : 'comes off'),
  },
  separatePrimary: {
    name: 'Separate primary',
    of: ({ setting }) => setting.separatePrimary,
    put: (job, separatePrimary) => ({ ...job, setting: { ...job.setting, separatePrimary } }),
    text: (has) => (has ? 'yes' : 'no'),
  },
  pack: {
    name: 'Plate order',
    of: packOf,
    put: putPack,
    text: ({ plates }) => countOf(plates.length, 'plate'),
  },
  rotation: {
    name: 'Basket turns',
    of: ({ pack }) => pack.rotation,
    put: (job, rotation) => ({ ...job, pack: { ...job.pack, rotation } }),
    text: (rotation) => ROTATION_NAME[rotation],
  },
  measure: {
    name: 'How the leaflet measures',
    of: ({ springs, pack }) =>
      springs.diaphragm.stepBy === undefined
        ? undefined
        : { stepBy: springs.diaphragm.stepBy, taken: pack.caliperTaken },
    put: (job, { stepBy, taken }) => ({
      ...job,
      pack: { ...job.pack, caliperTaken: taken },
      springs: { ...job.springs, diaphragm: { ...job.springs.diaphragm, stepBy } },
    }),
    text: ({ stepBy, taken }) =>
      stepBy === 'sum' ? 'sum of the plates' : `caliper over the pack, ${CALIPER_WAY[taken]}`,
  },
  heightActs: {
    name: 'More step height presses the spring',
    of: ({ springs }) => springs.diaphragm.heightActs,
    put: (job, heightActs) => ({
      ...job,
      springs: { ...job.springs, diaphragm: { ...job.springs.diaphragm, heightActs } },
    }),
    text: (acts) => (acts === 'further' ? 'further' : 'less far'),
  },
  stages: {
    name: 'Bolts tightened in',
    of: ({ build }) => (build.fasteners.length > 0 ? build.stages : undefined),
    put: (job, stages) => ({ ...job, build: { ...job.build, stages } }),
    text: (n) => countOf(n, 'stage'),
  },
  starts: {
    name: 'Break-in starts',
    of: ({ prove }) =>
      prove.starts.length === 0
        ? undefined
        : prove.starts.map(({ id, name, wanted }) => ({
            id,
            name,
            ...(wanted ? { wanted: wanted.value } : {}),
          })),
    put: putStarts,
    text: (starts) =>
      starts.map(({ name, wanted }) => `${wanted ?? '?'} in ${lowerFirst(name)}`).join(', '),
  },
  texts: {
    name: 'Words of the leaflet',
    of: ({ leaflet }) => (leaflet && Object.keys(leaflet).length > 0 ? leaflet : undefined),
    put: (job, texts) => ({ ...job, leaflet: { ...job.leaflet, ...texts } }),
    text: (texts) =>
      LEAFLET_PARTS.filter((part) => texts[part])
        .map((part: LeafletPart) => lowerFirst(LEAFLET_NAME[part]))
        .join(', '),
  },
};

export type LeafletKey = keyof Leaflet;

export const LEAFLET_KEYS = Object.keys(PARTS) as LeafletKey[];

/** The part of a key, for a value whose type the key decides. */
const partAt = (key: LeafletKey): Part<unknown> => PARTS[key] as Part<unknown>;

/**
 * The name of a part of a leaflet.
 * @example leafletName('rotation') // "Basket turns"
 */
export const leafletName = (key: LeafletKey): string => PARTS[key].name;

/**
 * A part of a leaflet in words; empty where it says nothing.
 * @example leafletText({ rotation: 'clockwise' }, 'rotation') // "clockwise, seen from the cover"
 */
export function leafletText(leaflet: Leaflet, key: LeafletKey): string {
  const value = leaflet[key];
  return value === undefined ? '' : partAt(key).text(value);
}

/**
 * Makes the leaflet of a job's clutch from what the job has.
 * @example leafletOf(quad, id).springs // "diaphragm"
 */
export function leafletOf(job: Job, newId: Id): Leaflet {
  return Object.fromEntries(
    LEAFLET_KEYS.flatMap((key) => {
      const value = partAt(key).of(job, newId);
      return value === undefined ? [] : [[key, value] as const];
    }),
  );
}

/** Comparison of a part of a leaflet with a job. */
export interface ComparedPart {
  readonly key: LeafletKey;
  readonly standing: 'same' | 'differs' | 'missing';
  /** The job's value, in words. */
  readonly here: string;
}

/**
 * Compares every part that a leaflet has with a job. Never throws.
 * @example compareLeaflet(leafletOf(quad, id), quad).every((c) => c.standing === 'same') // true
 */
export function compareLeaflet(leaflet: Leaflet, job: Job): ComparedPart[] {
  return LEAFLET_KEYS.flatMap((key): ComparedPart[] => {
    const value = leaflet[key];
    if (value === undefined) return [];
    const here = partAt(key).of(job, () => '');
    return [
      {
        key,
        standing:
          here === undefined
            ? 'missing'
            : comparable(here) === comparable(value)
              ? 'same'
              : 'differs',
        here: here === undefined ? '' : partAt(key).text(here),
      },
    ];
  });
}

const byNames = (kinds: readonly LeafletKind[]): readonly (readonly [string, string])[] =>
  kinds
    .map(({ name, ...kind }) => [name, comparable(kind)] as const)
    .sort(([a], [b]) => byText(a, b));

/** Values alike but for identifiers and the order of names. */
const comparable = (value: unknown): string =>
  JSON.stringify(value, (key, part: unknown) => {
    // New or reused is the job's own choice.
    if (key === 'id' || key === 'isNew') return undefined;
    if (key === 'kinds') return byNames(part as readonly LeafletKind[]);
    if (typeof part !== 'object' || part === null || Array.isArray(part)) return part;
    return Object.fromEntries(Object.entries(part).sort(([a], [b]) => byText(a, b)));
  });

/**
 * Puts parts of a leaflet into a job; parts that it leaves out stay.
 * @param keys the parts to put
 * @example withLeaflet(blank, { springs: 'diaphragm' }, ['springs'], id).springs.type // "diaphragm"
 */
export function withLeaflet(
  job: Job,
  leaflet: Leaflet,
  keys: readonly LeafletKey[],
  newId: Id,
): Job {
  return LEAFLET_KEYS.reduce((made, key) => {
    const value = leaflet[key];
    return value === undefined || !keys.includes(key) ? made : partAt(key).put(made, value, newId);
  }, job);
}

function putClutch(job: Job, type: ClutchType): Job {
  const auto = type === 'auto';
  const layout = auto ? 'pack' : type;
  if (job.machine.layout !== layout)
    return { ...chooseLayout(job, layout), expanding: { ...job.expanding, fitted: auto } };
  // A kit changes the clutch as it goes, not as it came.
  return job.expanding.fitted === auto ? job : chooseTypeAsGoes(job, auto);
}
