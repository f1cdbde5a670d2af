import type { Workshop } from '@/core/workshop/merge';
import type { Stock } from '@/core/shelf/stock';

import { jobFileOf, parseJson, refuseReservedKeys, takeJobFile } from './jobFile';
import { FileRefused } from './refused';
import { WORKSHOP_FILE, WORKSHOP_FORMAT, WORKSHOP_VERSION } from './schema/workshop';

/** Told now and then while a large file is read, as a share from 0 to 1. */
export type Progress = (share: number) => void;

/** Writes a workshop as the text of a file. */
export function writeWorkshopFile(workshop: Workshop, now: string): string {
  const { jobs, unfinished, shelf, templates } = workshop;
  return `${JSON.stringify(
    {
      format: WORKSHOP_FORMAT,
      version: WORKSHOP_VERSION,
      exportedAt: now,
      jobs: jobs.map((job) => jobFileOf(job, unfinished[job.id] ?? {}, now)),
      shelf,
      templates,
    },
    null,
    1,
  )}\n`;
}

interface Frame {
  readonly jobs: readonly unknown[];
  readonly shelf: Stock;
  readonly templates: Workshop['templates'];
}

/** Jobs that are read before the browser may draw and hear again. */
const AT_ONCE = 20;

/**
 * Reads the text of a workshop file, whole or not at all; lets go of the thread now and then.
 * @throws {FileRefused} for anything that is not a workshop file of this version, naming line or path
 */
export async function readWorkshopFile(text: string, progress?: Progress): Promise<Workshop> {
  const data = parseJson(text);
  refuseForeign(data);
  // Before the schema, which would leave such a name out in silence; the reader of jobs looks at theirs.
  const { jobs: _jobs, ...others } = data as Readonly<Record<string, unknown>>;
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
  const jobs: Workshop['jobs'][number][] = [];
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
      throw new FileRefused(
        `In job ${i + 1} of the workshop: ${fault.message.replace(/\bat job\./, `at jobs.${i}.job.`)}`,
      );
    }
  }
  refuseTwice('jobs', jobs);
  progress?.(1);
  return { jobs, unfinished, shelf: frame.shelf, templates: frame.templates };
}

function refuseForeign(data: unknown): void {
  const format =
    typeof data === 'object' && data !== null && 'format' in data ? data.format : undefined;
  if (format !== WORKSHOP_FORMAT)
    throw new FileRefused(
      `Not a workshop file of Under Ridge: it does not say "format": "${WORKSHOP_FORMAT}" at its top.`,
    );
  const version = data !== null && typeof data === 'object' && 'version' in data ? data.version : 0;
  if (typeof version === 'number' && version > WORKSHOP_VERSION)
    throw new FileRefused(
      `The file is of version ${version}; this program reads up to ${WORKSHOP_VERSION}. Open it with a newer Under Ridge.`,
    );
}

function refuseTwice(where: string, items: readonly { readonly id: string }[]): void {
  const seen = new Set<string>();
  for (const { id } of items) {
    if (seen.has(id))
      throw new FileRefused(`Not a valid workshop file: at ${where}, “${id}” stands twice.`);
    seen.add(id);
  }
}
