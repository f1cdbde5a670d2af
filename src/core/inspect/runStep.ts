import type { FieldPath } from '../job/fieldPath';
import type { Fixture } from '../job/types';

/** Parts that a measuring run covers. */
export const RUN_PARTS = [
  'discs',
  'steels',
  'flatness',
  'tangs',
  'springs',
  'around',
  'start',
] as const;
export type RunPart = (typeof RUN_PARTS)[number];

/** One reading to take: its field, and the data shown with it. */
export interface RunStep {
  readonly path: FieldPath;
  readonly part: RunPart;
  /** "Disc, plate 9", "Basket fingers". */
  readonly title: string;
  /** "thickness, point 3 of 4". */
  readonly what: string;
  /** The part around the plates that it is taken on. */
  readonly fixture?: Fixture;
  /** The plate it is taken on, for the section. */
  readonly plateId?: string;
  /** Paths of all readings on the same part, in order, this one among them. */
  readonly siblings: readonly FieldPath[];
  /** Value of a new part, and the limit; in the base unit of the field. */
  readonly nominal?: number | undefined;
  readonly limit?: number | undefined;
  /** Whether the limit is a minimum or a maximum. */
  readonly limitIs: 'min' | 'max';
  /** Wear only reduces: values above new are questioned. */
  readonly onlyWears: boolean;
}
