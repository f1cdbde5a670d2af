import type { FieldPath } from '../../job/fieldPath';
import type { Job } from '../../job/types';
import type { Sentence } from '../../text/sentence';
import type { Mm, Newton, Quantity } from '../../units/quantity';
import type { Figure, FigureId, Outcome } from './figure';
import type { Term } from './term';

export type TermValues<T extends Readonly<Record<string, Term>>> = {
  readonly [K in keyof T]: number;
};

/** The recipe of a figure: its name, its formula, and its terms. */
export interface FigureRecipe<T extends Readonly<Record<string, Term>>> {
  readonly label: string;
  readonly quantity: Quantity;
  readonly section: number;
  readonly formula: string;
  readonly from: T;
  readonly value: (values: TermValues<T>) => number | { value: number; low: number; high: number };
  readonly decimals?: number;
  readonly notes?: readonly (string | Sentence)[];
}

/**
 * Calculates the figures of a job one after another. A figure with a missing term is unknown and names it; all others continue.
 */
export interface Sheet {
  readonly job: Job;
  readonly springs: SpringModel;
  readonly outcomes: ReadonlyMap<FigureId, Outcome>;
  /** Data shared by several figures, calculated once per sheet. @param key one per `make` */
  once<T>(key: string, make: () => T): T;
  /** The entry of a field, else its assumed value, else a missing term. */
  entry(path: FieldPath, symbol?: string, label?: string): Term;
  /** The value of a field or its assumed value; undefined while missing. */
  valueAt(path: FieldPath): number | undefined;
  /** An earlier figure as a term. */
  figure(id: FigureId, symbol: string): Term;
  /** Works one figure out and keeps it. A value outside the formula's domain makes it unknown, with the reason. */
  compute<T extends Readonly<Record<string, Term>>>(id: FigureId, recipe: FigureRecipe<T>): Outcome;
  known(id: FigureId): Figure | undefined;
}

/** How one kind of springs clamps: the functions its folder provides. */
export interface SpringModel {
  /** The figures of the springs as fitted, the clamp among them. */
  readonly fitted: (sheet: Sheet) => void;
  /** The figures at full lift. */
  readonly lifted: (sheet: Sheet) => void;
  /** Force on the pack at any stack and lift, N; undefined while it is not known. */
  readonly forceAt: (sheet: Sheet, stack: Mm) => ((height: Mm, lift: Mm) => Newton) | undefined;
  /** The inputs of that force, for a working. */
  readonly terms: (sheet: Sheet) => readonly Term[];
  /** Travel of the train ÷ lift of the plate, where the springs come between the two. */
  readonly ratio?: (sheet: Sheet) => Term;
  /** Deflections of possible force maxima and minima, mm. */
  readonly turns?: (sheet: Sheet) => readonly Mm[];
  /** It is made of kinds of coil spring, in groups. */
  readonly ofGroups?: true;
  /** Why the springs do not press at all, in a sentence. */
  readonly unpressed: (sheet: Sheet) => Sentence;
}
