import type { Sentence } from '@/core/text/sentence';
import type { Job } from '../job/types';
import type { EntrySpec } from '../units/entrySpec';

/** Mistakes that are made at the bench; each is met in at least one exercise. */
export const MISTAKES = {
  order: 'Plates in the wrong order or direction, the last friction disc in the deep slots',
  forgotten: 'A forgotten thrust washer, ball, judder seat or pin',
  reused: 'Tall bolts, a lock washer or a damaged O-ring reused',
  inches: 'A chart in inches read with a caliper in millimetres',
  startPoint: 'The gap counted from the bearing instead of the nut',
  tightening: 'An impact gun on the hub nut; uneven tightening of a bolt circle',
  wrongCure: 'More clamp for a pack that only drags, more lift for one that only slips',
  warped: 'New discs on warped steels',
  oneSpot: 'A worn disc measured at one point',
  unevenSprings: 'Two kinds of spring fitted unevenly',
  scarceLift: 'A reduced-effort part fitted with too little lift',
  basketSpeed: 'Basket speed mistaken for engine speed',
  breakIn: 'No check after break-in',
  springsAlone: 'Judging a hub on ramps by its springs alone',
} as const;
export type MistakeId = keyof typeof MISTAKES;

/** Score of an answer, 0 to 1, with the reason. */
export interface ExerciseMark {
  readonly points: number;
  readonly says: Sentence;
}

/** A place of a part where a gauge can be put. */
export interface Spot {
  readonly id: string;
  readonly label: string;
  /** The gauge reading there. */
  readonly shows: Sentence;
}

export interface BenchPart {
  readonly id: string;
  readonly name: string;
  readonly spots: readonly Spot[];
}

/** Parts on the bench, and their gauge. */
export interface Bench {
  /** Round: one part with its places in a circle. */
  readonly shape: 'round' | 'list';
  readonly gauge: string;
  readonly parts: readonly BenchPart[];
}

export interface Option {
  readonly id: string;
  readonly label: Sentence;
}

interface Asked {
  readonly id: string;
  readonly ask: Sentence;
  /** An answer that is worth all its points, as it would be kept. */
  readonly solution: Answer;
}

/** The answers, and the measured points, `part.spot` by `part.spot`. */
export interface NumberQuestion extends Asked {
  readonly kind: 'number';
  readonly spec: EntrySpec;
  mark(value: number, taken: readonly string[]): ExerciseMark;
}
export interface OneQuestion extends Asked {
  readonly kind: 'one';
  readonly options: readonly Option[];
  mark(id: string): ExerciseMark;
}
/** Any of several, none among them; of layers where the options are the plates of the pack that is drawn. */
export interface ManyQuestion extends Asked {
  readonly kind: 'many';
  readonly of: 'options' | 'layers';
  readonly options: readonly Option[];
  mark(ids: readonly string[]): ExerciseMark;
}
/** Bolts 1 to n of a circle, in an order. */
export interface OrderQuestion extends Asked {
  readonly kind: 'order';
  readonly bolts: number;
  mark(order: readonly number[]): ExerciseMark;
}
/** The spring type at each position of a ring. */
export interface RingQuestion extends Asked {
  readonly kind: 'ring';
  readonly places: number;
  readonly kinds: readonly Option[];
  mark(kindAt: readonly string[]): ExerciseMark;
}
export type Question = NumberQuestion | OneQuestion | ManyQuestion | OrderQuestion | RingQuestion;

/** A short case: parts on the bench, and questions. The same seed makes the same case. */
export interface Exercise {
  readonly story: readonly Sentence[];
  /** The pack that is drawn beside it. */
  readonly pack?: Job;
  readonly bench?: Bench;
  /** Score of the measuring, where it counts. */
  readonly measuring?: (taken: readonly string[]) => ExerciseMark;
  readonly questions: readonly Question[];
}

/** An answer as it is kept: a number as it was written, else identifiers. */
export type Answer = string | readonly string[];
