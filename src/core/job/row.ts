import { COMPLAINTS } from '../causes/complaints';
import type { State } from '@/core/evaluate/engine/figure';
import type { Job, Stage } from './types';

/**
 * What a list needs of a job: enough to show, find and sort it. A workshop of thousands of jobs is listed from these, while
 * the records themselves are still being read.
 */
export interface JobRow {
  readonly id: string;
  readonly number: string;
  readonly name: string;
  readonly use: string;
  readonly stage: Stage;
  readonly archived: boolean;
  readonly updatedAt: string;
  /** ISO date by which the rider wants the machine back. */
  readonly due?: string;
  /** The words by which it is found, in lower case. */
  readonly words: string;
  /** What was last found of its pack; kept with the row, so that a list need not work it out before it shows. */
  readonly verdict?: RowVerdict | undefined;
}

/** A verdict on the whole, as a list shows it. */
export interface RowVerdict {
  readonly state: State | 'unknown';
  readonly title: string;
}

/** Notes are searched so far. */
const NOTE_CHARS = 400;

/**
 * The row of a job, without a verdict. Never throws.
 * @example rowOf(quad).number // "T-2"
 */
export function rowOf(job: Job): JobRow {
  const { id, number, machine, stage, archived, updatedAt, notes, strip, intake } = job;
  return {
    id,
    number,
    name: machine.name,
    use: machine.use,
    stage,
    archived,
    updatedAt,
    ...(intake.due === undefined ? {} : { due: intake.due }),
    words: [
      number,
      machine.name,
      machine.use,
      notes.slice(0, NOTE_CHARS),
      strip.notes.slice(0, NOTE_CHARS),
      ...intake.complaints.map((c) => COMPLAINTS[c]),
    ]
      .join(' ')
      .toLocaleLowerCase(),
  };
}
