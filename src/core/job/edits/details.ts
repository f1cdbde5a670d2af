import { omit } from '../../omit';
import { ATTACHMENTS } from '../../clutch/fitted';
import { LAYOUTS } from '../../guide/layouts';
import { parseEntry } from '../../units/parseEntry';
import type { UnitChoice } from '../../units/format';
import type { FieldPath } from '../fieldPath';
import { fieldOf } from '../fields';
import { withEntry } from '../paths';
import { entryAt } from '../entryAt';
import type { ClutchLayout, Entry, Job, Release, Source } from '../types';

/** Texts of a job that are typed. */
export interface Details {
  readonly number?: string;
  readonly name?: string;
  readonly use?: string;
  readonly notes?: string;
}

/**
 * Writes the texts that are given; the others stay.
 * @example writeDetails(job, { notes: 'Call first' }).notes // "Call first"
 */
export const writeDetails = (job: Job, { number, name, use, notes }: Details): Job => ({
  ...job,
  number: number ?? job.number,
  notes: notes ?? job.notes,
  machine: { ...job.machine, name: name ?? job.machine.name, use: use ?? job.machine.use },
});

/**
 * Puts a job in the archive, or takes it out.
 * @example archive(job, true).archived // true
 */
export const archive = (job: Job, archived: boolean): Job =>
  job.archived === archived ? job : { ...job, archived };

/**
 * Chooses whether a kind is attached to the clutch, and how; data of the other choices stay. Returns the same job for an
 * unknown kind.
 * @param kindId of the list of kinds
 * @example chooseAttachment(job, 'assist', 'balls').assist.type // "balls"
 */
export function chooseAttachment(job: Job, kindId: string, value: string): Job {
  const choice = ATTACHMENTS.find(({ id }) => id === kindId)?.choice;
  return choice?.options.some((o) => o.value === value) ? choice.put(job, value) : job;
}

/**
 * Chooses the clutch layout. A machine with a start clutch gets its record; its pack is opened by the shift pedal unless
 * release data exist.
 * @example chooseLayout(job, 'belt').machine.layout // "belt"
 */
export function chooseLayout(job: Job, layout: ClutchLayout): Job {
  const { shoes, plates } = LAYOUTS[layout];
  const { type, liftReadings, ...entries } = job.release;
  const isFresh = liftReadings.length === 0 && Object.keys(entries).length === 0;
  const fresh = shoes && plates ? 'measured' : type === 'measured' ? 'hydraulic' : type;
  return {
    ...job,
    machine: { ...job.machine, layout },
    startClutch:
      shoes && job.startClutch.place === 'none'
        ? { ...job.startClutch, place: 'crank' }
        : job.startClutch,
    release: isFresh ? { ...job.release, type: fresh } : job.release,
  };
}

/** Chooses the source of the lift. */
export const chooseRelease = (job: Job, type: Release['type']): Job => ({
  ...job,
  release: { ...omit(job.release, 'undecided'), type },
});

/** Sets the source of an entry. @returns the same job where there is no entry */
export function chooseSource(job: Job, path: FieldPath, source: Source): Job {
  const entry = entryAt(job, path);
  return entry ? withEntry(job, path, { ...entry, source }) : job;
}

/** Takes one of the readings that a question about a text offered. */
export const chooseReading = (job: Job, path: FieldPath, value: number, typed: string): Job =>
  withEntry(job, path, { value, typed });

/** Whether the text has more information than the number: a unit, a fraction, a diameter, or its precision. */
const hasMoreDetail = (text: string): boolean => /[^\d.,\s]|[.,]\d*0\s*$/.test(text);

/** A text in a numeric field: becomes an entry when it can be read, and is a draft while it can't. */
export function readField(
  job: Job,
  path: FieldPath,
  text: string,
  units: UnitChoice,
): { readonly entry: Entry | undefined; readonly isDraft: boolean } {
  const parsed = parseEntry(text, fieldOf(job, path), units);
  const source = entryAt(job, path)?.source;
  return {
    entry:
      parsed.kind === 'value'
        ? {
            value: parsed.value,
            ...(hasMoreDetail(text) ? { typed: text.trim().slice(0, 80) } : {}),
            ...(parsed.range ? { range: parsed.range } : {}),
            ...(source && source.kind !== 'estimate' ? { source } : {}),
          }
        : undefined,
    isDraft: parsed.kind === 'question' || parsed.kind === 'refused',
  };
}
