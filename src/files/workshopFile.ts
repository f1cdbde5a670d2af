import type { Workshop } from '@/core/workshop/merge';
import type { SpecSheet } from '@/core/library/limits';
import type { Stock } from '@/core/shelf/stock';

import { upgradeWorkshop } from './upgradeWorkshop';
import type { WorkshopData } from './upgradeWorkshop';
import { jobFileOf, parseJson, refuseReservedKeys, takeJobFile } from './jobFile';
import { FileRefused } from './refused';
import { entryOf } from './schema/parts';
import { WORKSHOP_FILE, WORKSHOP_FORMAT, WORKSHOP_VERSION } from './schema/workshop';

/** Progress of reading a large file, 0 to 1. */
export type ReadProgress = (share: number) => void;

/** Writes a workshop as the text of a file. */
export function writeWorkshopFile(workshop: Workshop, now: string): string {
  const { jobs, unfinished, shelf, templates, library } = workshop;
  return `${JSON.stringify(
    {
      format: WORKSHOP_FORMAT,
      version: WORKSHOP_VERSION,
      exportedAt: now,
      jobs: jobs.map((job) => jobFileOf(job, unfinished[job.id] ?? {}, now)),
      shelf,
      templates,
      library,
    },
    null,
    1,
  )}\n`;
}

/** A job of the file that can't be read, while the rest of the file can. */
export interface RefusedJob {
  /** "UR-0103", or its place in the file. */
  readonly name: string;
  readonly why: string;
}

export interface ReadWorkshop {
  readonly workshop: Workshop;
  /** Refused jobs; the caller decides whether to import the rest. */
  readonly refused: readonly RefusedJob[];
  /** Upgrades applied to an earlier version, in words; undefined for the current one. */
  readonly upgraded?: string | undefined;
}

interface Frame {
  readonly jobs: readonly unknown[];
  readonly shelf: Stock;
  readonly templates: Workshop['templates'];
  readonly library: Workshop['library'];
}

/** Jobs that are read before the browser may draw and hear again. */
const AT_ONCE = 20;

/**
 * Reads the text of a workshop file, yielding to the thread. Refused jobs are listed; files of an earlier version are upgraded.
 * @throws {FileRefused} for anything that is not a workshop file of this or an earlier version, naming line or path
 */
export async function readWorkshopFile(
  text: string,
  progress?: ReadProgress,
): Promise<ReadWorkshop> {
  const given = parseJson(text);
  refuseForeign(given);
  const { data, upgraded } = upgradeWorkshop(given as WorkshopData);
  // Before the schema, which would leave such a name out in silence; the reader of jobs looks at theirs.
  const { jobs: _jobs, ...others } = data;
  refuseReservedKeys(others);
  const { error, value } = WORKSHOP_FILE.validate(data, { abortEarly: true, convert: false });
  if (error) {
    const [detail] = error.details;
    throw new FileRefused(
      `Not a valid workshop file: at ${detail?.path.join('.') || 'the file'}, ${(detail?.message ?? error.message).replace(/^"[^"]*"\s*/, 'it ')}.`,
    );
  }
  const frame = value as Frame;
  refuseTwice('shelf.plates', frame.shelf.plates);
  refuseTwice('shelf.springs', frame.shelf.springs);
  refuseTwice('shelf.scrap', frame.shelf.scrap);
  refuseTwice('library', frame.library);
  refuseOddLimits(frame.library);
  const jobs: Workshop['jobs'][number][] = [];
  const refused: RefusedJob[] = [];
  const unfinished: Record<string, Readonly<Record<string, string>>> = {};
  for (const [i, content] of frame.jobs.entries()) {
    if (i % AT_ONCE === 0) {
      progress?.(i / frame.jobs.length);
      await new Promise((resolve) => setTimeout(resolve));
    }
    try {
      const { job, unfinished: left } = takeJobFile(content);
      jobs.push(job);
      if (Object.keys(left).length > 0) unfinished[job.id] = left;
    } catch (fault) {
      if (!(fault instanceof FileRefused)) throw fault;
      refused.push({
        name: numberIn(content) ?? `job ${i + 1}`,
        why: `In job ${i + 1} of the workshop: ${fault.message.replace(/\bat job\./, `at jobs.${i}.job.`)}`,
      });
    }
  }
  const [first] = refused;
  if (first && jobs.length === 0) throw new FileRefused(first.why);
  refuseTwice('jobs', jobs);
  progress?.(1);
  const { shelf, templates, library } = frame;
  return { workshop: { jobs, unfinished, shelf, templates, library }, refused, upgraded };
}

/** The number of a job that may be anything. */
function numberIn(content: unknown): string | undefined {
  const { number } = (content as { readonly job?: { readonly number?: unknown } | null }).job ?? {};
  return typeof number === 'string' && number.trim() !== '' ? number.slice(0, 40) : undefined;
}

function refuseForeign(data: unknown): void {
  const format =
    typeof data === 'object' && data !== null && 'format' in data ? data.format : undefined;
  if (format !== WORKSHOP_FORMAT)
    throw new FileRefused(
      `Not a workshop file of Under Ridge: "format": "${WORKSHOP_FORMAT}" is missing at its top.`,
    );
  const version = data !== null && typeof data === 'object' && 'version' in data ? data.version : 0;
  if (typeof version === 'number' && version > WORKSHOP_VERSION)
    throw new FileRefused(
      `The file is of version ${version}; this program reads up to ${WORKSHOP_VERSION}. Open it with a newer Under Ridge.`,
    );
}

/** The value of a limit must be one that its field takes. */
function refuseOddLimits(library: Workshop['library']): void {
  library.forEach((sheet, i) => {
    refuseTwice(`library.${i}.limits`, sheet.limits);
    refuseUnknownPlates(sheet, `library.${i}.leaflet.pack.plates`);
    sheet.limits.forEach(({ pattern, entry }, k) => {
      const { error } = entryOf(pattern).validate(entry, { convert: false });
      const [detail] = error?.details ?? [];
      if (error)
        throw new FileRefused(
          `Not a valid workshop file: at ${['library', i, 'limits', k, 'entry', ...(detail?.path ?? [])].join('.')}, ${(detail?.message ?? error.message).replace(/^"[^"]*"\s*/, 'it ')}.`,
        );
    });
  });
}

function refuseUnknownPlates({ leaflet }: SpecSheet, where: string): void {
  const { kinds = [], plates = [] } = leaflet?.pack ?? {};
  refuseTwice(where, plates);
  plates.forEach(({ of }, i) => {
    if (!kinds.some((k) => k.name === of))
      throw new FileRefused(
        `Not a valid workshop file: at ${where}.${i}.of, no plate type “${of}” exists.`,
      );
  });
}

function refuseTwice(where: string, items: readonly { readonly id: string }[]): void {
  const seen = new Set<string>();
  for (const { id } of items) {
    if (seen.has(id))
      throw new FileRefused(`Not a valid workshop file: at ${where}, “${id}” appears twice.`);
    seen.add(id);
  }
}
