import type { Evaluation } from '../evaluate/evaluate';
import type { State } from '@/core/evaluate/engine/figure';
import type { FieldPath } from '../job/fieldPath';
import type { Job, Revision } from '../job/types';

import type { UnitChoice } from '../units/format';

/*
 * A sheet as data: its content in order, without its look. Screens, the PDF and tests read the same data. All text is in the
 * builder's units.
 */

export interface Paper {
  readonly title: string;
  readonly subtitle: string;
  /** For a reader who is not at the bench: larger letters. */
  readonly large?: boolean;
  /** At the foot of every page. */
  readonly foot: string;
  readonly blocks: readonly PaperBlock[];
}

export type PaperBlock =
  | { readonly kind: 'heading'; readonly text: string }
  | { readonly kind: 'text'; readonly text: string; readonly strong?: boolean }
  | { readonly kind: 'facts'; readonly rows: readonly (readonly [string, string])[] }
  | {
      readonly kind: 'table';
      readonly columns: readonly PaperColumn[];
      readonly rows: readonly (readonly string[])[];
      /** Short rows: on paper the second half goes beside the first. */
      readonly halves?: boolean;
    }
  /** Blocks side by side on paper, one below the other on a screen. */
  | { readonly kind: 'columns'; readonly columns: readonly (readonly PaperBlock[])[] }
  /** Photographs of the job by their ids, with what they show. */
  | {
      readonly kind: 'pictures';
      readonly pictures: readonly { readonly id: string; readonly caption: string }[];
    }
  | { readonly kind: 'verdicts'; readonly rows: readonly PaperVerdict[] }
  | { readonly kind: 'steps'; readonly rows: readonly PaperStep[] }
  | { readonly kind: 'list'; readonly items: readonly string[] }
  /** A circle of bolts with the order in which they are tightened. */
  | { readonly kind: 'circle'; readonly bolts: number; readonly name: string }
  /** The section of the pack, drawn to scale. */
  | { readonly kind: 'section' }
  /** Places to sign, by what is written under each line. */
  | { readonly kind: 'sign'; readonly lines: readonly string[] };

export interface PaperColumn {
  readonly title: string;
  readonly digits?: boolean;
}

export interface PaperVerdict {
  readonly state: State | 'unknown';
  readonly title: string;
  readonly text: string;
}

export interface PaperStep {
  readonly mark: 'done' | 'open' | 'skipped' | 'failed' | 'changed';
  readonly text: string;
  /** Worker and time, deviations, and the reason for a skip. */
  readonly note: string;
}

/** How a sheet is made. */
export interface SheetOptions {
  readonly units?: UnitChoice;
  /** Fields with draft text. */
  readonly unfinished?: readonly FieldPath[];
  /** A signed revision to print instead of the current job. */
  readonly revision?: Revision | undefined;
  /** The job's evaluation, where available. */
  readonly evaluation?: Evaluation;
}

/**
 * Number and name, at the head of every sheet.
 * @example titleOf(job) // "T-1 Crag 400"
 */
export const titleOf = ({ number, machine }: Job): string =>
  `${number} ${machine.name}`.trim() || 'Job';

/**
 * The day of an ISO time.
 * @example day('2026-11-09T14:05:00.000Z') // "2026-11-09"
 */
export const day = (iso: string): string => iso.slice(0, 10);

/**
 * Decimals that readings of one gauge are printed with, of millimetres: as fine as the finest of them was read, 2 to 3.
 * @example gaugeDecimals([1.85, 1.8]) // 2
 */
export const gaugeDecimals = (readings: readonly number[]): number =>
  readings.every((mm) => Math.abs(mm * 100 - Math.round(mm * 100)) < 1e-6) ? 2 : 3;

/**
 * Rows without those that say nothing.
 * @example facts([['Machine', 'Tarn 450'], ['Notes', undefined]]).length // 1
 */
export const facts = (rows: readonly (readonly [string, string | undefined])[]): PaperBlock[] => {
  const said = rows.flatMap(([label, value]) => (value ? [[label, value] as const] : []));
  return said.length > 0 ? [{ kind: 'facts', rows: said }] : [];
};
