import { isFrozen } from './signOff';
import { COMPLAINTS } from '../causes/complaints';
import type { State } from '@/core/evaluate/engine/figure';
import type { Job, Stage } from './types';

/**
 * The data a list needs of a job, to show, search and sort it. Large workshops are listed from rows while the records are still
 * being read.
 */
export interface JobRow {
  readonly id: string;
  readonly number: string;
  readonly name: string;
  readonly use: string;
  readonly stage: Stage;
  readonly archived: boolean;
  readonly updatedAt: string;
  /** ISO date, due to the rider. */
  readonly due?: string;
  /** The words by which it is found, in lower case. */
  readonly words: string;
  /** The revision that is signed; absent while the job is open. */
  readonly revision?: number;
  /** The last verdict on its pack; stored with the row, so that the list shows it at once. */
  readonly verdict?: RowVerdict | undefined;
}

/** A verdict on the whole, as a list shows it. */
export interface RowVerdict {
  readonly state: State | 'unknown';
  readonly title: string;
  /** What is to be done next; absent on a signed job. */
  readonly next?: string | undefined;
}

/** Notes are searched so far. */
const NOTE_CHARS = 400;

/**
 * The row of a job, without a verdict. Never throws.
 * @example rowOf(quad).number // "T-2"
 */
export function rowOf(job: Job): JobRow {
  const { id, number, machine, stage, archived, updatedAt, notes, strip, intake, findings } = job;
  const signed = isFrozen(job) ? job.signOff.revisions.at(-1)?.number : undefined;
  return {
    id,
    number,
    name: machine.name,
    use: machine.use,
    stage,
    archived,
    updatedAt,
    ...(intake.due === undefined ? {} : { due: intake.due }),
    ...(signed === undefined ? {} : { revision: signed }),
    words: [
      number,
      machine.name,
      machine.use,
      notes.slice(0, NOTE_CHARS),
      strip.notes.slice(0, NOTE_CHARS),
      ...intake.complaints.map((c) => COMPLAINTS[c]),
      ...(findings ?? []).map((f) => f.text),
    ]
      .join(' ')
      .toLocaleLowerCase(),
  };
}
