import { patternOf } from '@/core/job/fields';
import type { Job } from '@/core/job/types';
import { WORK_STAGES } from '@/core/job/work';

import { digestOf } from './digest';
import { FileRefused } from './refused';
import { FORMAT, JOB_FILE, VERSION } from './schema/job';

/** Draft texts, by field path. */
export type Unfinished = Readonly<Record<string, string>>;

export interface JobFile {
  readonly job: Job;
  readonly unfinished: Unfinished;
}

/** No job of a human hand comes near this; a larger file is not read at all. */
export const MAX_FILE_BYTES = 5_000_000;

/** Writes a job as the text of a file. */
export function writeJobFile(job: Job, unfinished: Unfinished, now: string): string {
  return `${JSON.stringify(jobFileOf(job, unfinished, now), null, 2)}\n`;
}

/** The content of a job file as plain data, as also used in a workshop file. */
export function jobFileOf(job: Job, unfinished: Unfinished, now: string): object {
  const left = Object.keys(unfinished).length > 0 ? { unfinished } : {};
  return { format: FORMAT, version: VERSION, exportedAt: now, job, ...left };
}

/** A file name that every system takes: `UR-0101 Tarn 450.json`. */
export function jobFileName(job: Job): string {
  const name = [job.number, job.machine.name].filter(Boolean).join(' ') || 'job';
  return `${
    name
      .replace(/[^\p{L}\p{N} ._-]+/gu, '')
      .replace(/^[. ]+/, '')
      .trim()
      .slice(0, 80) || 'job'
  }.json`;
}

/**
 * Reads the text of a job file, whole or not at all.
 * @throws {FileRefused} for anything that is not a job file of this version, naming line or path
 */
export function readJobFile(text: string): JobFile {
  if (text.length > MAX_FILE_BYTES) {
    throw new FileRefused(
      `The file is too large for a job: ${(text.length / 1e6).toFixed(1)} MB, at most 5 MB.`,
    );
  }
  return takeJobFile(parseJson(text));
}

/** A file of an earlier version as one of this: what came since is optional, and none of it is there. */
const upgraded = (data: unknown): unknown => ({ ...(data as object), version: VERSION });

/**
 * Takes the content of a job file, parsed, whole or not at all.
 * @throws {FileRefused} for anything that is not a job file of this version, naming the path
 */
export function takeJobFile(data: unknown): JobFile {
  refuseForeign(data);
  refuseReservedKeys(data);
  const { error, value } = JOB_FILE.validate(upgraded(data), { abortEarly: true, convert: false });
  if (error) {
    const [detail] = error.details;
    const where = detail?.path.join('.') || 'the file';
    throw new FileRefused(
      `Not a valid job file: at ${where}, ${(detail?.message ?? error.message).replace(/^"[^"]*"\s*/, 'it ')}.`,
    );
  }
  const file = asSigned(value as { job: Job; unfinished?: Unfinished }, data);
  refuseBrokenLinks(file.job);
  refuseBrokenSeals(file.job);
  const unfinished = Object.fromEntries(
    Object.entries(file.unfinished ?? {}).filter(([path]) => patternOf(path)),
  );
  return { job: file.job, unfinished };
}

/** Parses JSON, naming the line of the first fault. @throws {FileRefused} */
export function parseJson(text: string): unknown {
  if (text.trim() === '') throw new FileRefused('The file is empty.');
  try {
    return JSON.parse(text.replace(/^\uFEFF/, '')) as unknown;
  } catch (error) {
    const message = error instanceof Error ? error.message : '';
    const position = Number(/position (\d+)/.exec(message)?.[1] ?? Number.NaN);
    const truncated =
      /end of JSON|Unterminated/i.test(message) || position >= text.trimEnd().length;
    const at = truncated || !Number.isFinite(position) ? text.length : position;
    const line = text.slice(0, at).split('\n').length;
    throw new FileRefused(
      truncated
        ? `The file ends too early, in line ${line}: it was cut off.`
        : `Not a job file: line ${line} is not JSON.`,
    );
  }
}

function refuseForeign(data: unknown): void {
  if (
    typeof data !== 'object' ||
    data === null ||
    Array.isArray(data) ||
    !('format' in data) ||
    data.format !== FORMAT
  ) {
    throw new FileRefused(
      `Not a job file of Under Ridge: "format": "${FORMAT}" is missing at its top.`,
    );
  }
  const version = 'version' in data ? data.version : undefined;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1) {
    throw new FileRefused('Not a valid job file: at version, it must be a whole number.');
  }
  if (version > VERSION) {
    throw new FileRefused(
      `The file is of version ${version}; this program reads up to ${VERSION}. Open it with a newer Under Ridge.`,
    );
  }
}

/** Names that could reach into every object of the program. */
const RESERVED = new Set(['__proto__', 'constructor', 'prototype']);
const MAX_DEPTH = 20;

export function refuseReservedKeys(data: unknown): void {
  const path = reservedIn(data, 0);
  if (!path) return;
  const where = path.join('.');
  throw new FileRefused(
    path.length > MAX_DEPTH
      ? `Not a valid file: nested too deeply at ${where}.`
      : `Not a valid file: the name at ${where} is not allowed.`,
  );
}

/** The path of the first forbidden name, or of the first place nested too deeply. */
function reservedIn(data: unknown, depth: number): string[] | undefined {
  if (typeof data !== 'object' || data === null) return undefined;
  if (depth > MAX_DEPTH) return [];
  for (const key of Object.keys(data)) {
    if (RESERVED.has(key)) return [key];
    const below = reservedIn((data as Readonly<Record<string, unknown>>)[key], depth + 1);
    if (below) return [key, ...below];
  }
  return undefined;
}

/** Schema defaults must not change signed content: revisions are taken as in the file. */
function asSigned<T extends { readonly job: Job }>(file: T, data: unknown): T {
  const { signOff } = (data as { readonly job: Partial<Pick<Job, 'signOff'>> }).job;
  return signOff ? { ...file, job: { ...file.job, signOff } } : file;
}

/** A revision that differs from its signed content is refused. */
function refuseBrokenSeals(job: Job): void {
  job.signOff.revisions.forEach((revision, i) => {
    if (digestOf(revision.record) !== revision.digest) {
      throw new FileRefused(
        `Not a valid job file: at job.signOff.revisions.${i}.digest, revision ${revision.number} was changed after it was signed.`,
      );
    }
  });
}

/** The parts of a pack: of the job, and of each variant. */
type PackParts = Pick<Job, 'pack' | 'springs' | 'release' | 'setting'>;

const refuse = (where: string, why: string): never => {
  throw new FileRefused(`Not a valid job file: at ${where}, ${why}.`);
};

function refuseBrokenLinks(job: Job): void {
  refuseBrokenPack(job, 'job');
  job.variants.forEach((variant, i) => refuseBrokenPack(variant, `job.variants.${i}`));
  const kinds = new Set(job.pack.kinds.map((k) => k.id));
  const groups = new Set(job.springs.coil.groups.map((g) => g.id));
  job.strip.found.forEach(({ kindId }, i) => {
    if (!kinds.has(kindId))
      refuse(`job.strip.found.${i}.kindId`, `no plate type “${kindId}” exists`);
  });
  job.inspection.springLengths.forEach(({ groupId }, i) => {
    if (!groups.has(groupId))
      refuse(`job.inspection.springLengths.${i}.groupId`, `no spring type “${groupId}” exists`);
  });
  refuseUnsortedCurve(job);
  refuseTwice('job', {
    variants: job.variants,
    'strip.steps': job.strip.steps,
    'strip.parts': job.strip.parts,
    'strip.found': job.strip.found,
    'inspection.springLengths': job.inspection.springLengths,
    'build.fasteners': job.build.fasteners,
    'prove.starts': job.prove.starts,
    photos: job.photos,
    visits: job.visits,
    ...Object.fromEntries(
      WORK_STAGES.map((stage) => [`work.${stage}.own`, job.work[stage].own] as const),
    ),
  });
  for (const stage of WORK_STAGES) {
    const { order } = job.work[stage];
    const twice = order?.find((key, i) => order.indexOf(key) !== i);
    if (twice !== undefined) refuse(`job.work.${stage}.order`, `“${twice}” appears twice`);
  }
}

function refuseBrokenPack({ pack, springs, release, setting }: PackParts, where: string): void {
  const kinds = new Set(pack.kinds.map((k) => k.id));
  pack.plates.forEach(({ kindId }, i) => {
    if (!kinds.has(kindId))
      refuse(`${where}.pack.plates.${i}.kindId`, `no plate type “${kindId}” exists`);
  });
  const groups = new Set(springs.coil.groups.map((g) => g.id));
  springs.coil.ring.forEach((id, i) => {
    if (!groups.has(id)) refuse(`${where}.springs.coil.ring.${i}`, `no spring type “${id}” exists`);
  });
  refuseTwice(where, {
    'pack.kinds': pack.kinds,
    'pack.plates': pack.plates,
    'springs.coil.groups': springs.coil.groups,
    'springs.diaphragm.steps': springs.diaphragm.steps,
    'springs.diaphragm.points': springs.diaphragm.points,
    'release.liftReadings': release.liftReadings,
    'setting.readings': setting.readings,
    ...Object.fromEntries(
      springs.coil.groups.map(
        (g, i) => [`springs.coil.groups.${i}.testerPoints`, g.testerPoints] as const,
      ),
    ),
  });
}

function refuseTwice(
  where: string,
  lists: Readonly<Record<string, readonly { readonly id: string }[]>>,
): void {
  for (const [name, items] of Object.entries(lists)) {
    const seen = new Set<string>();
    for (const { id } of items) {
      if (seen.has(id)) refuse(`${where}.${name}`, `“${id}” appears twice`);
      seen.add(id);
    }
  }
}

function refuseUnsortedCurve(job: Job): void {
  const points = job.engine.curve?.points ?? [];
  const back = points.findIndex((p, i) => i > 0 && p.rpm <= (points[i - 1]?.rpm ?? 0));
  if (back >= 0)
    throw new FileRefused(
      `Not a valid job file: at job.engine.curve.points.${back}.rpm, it must be more than the point before.`,
    );
}
