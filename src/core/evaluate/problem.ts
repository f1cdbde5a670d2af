import type { FieldPath } from '../job/fields';
import type { State } from './figure';
import type { Sentence } from './sentence';

/** Something wrong with one entry or one layer, to be shown where it is. */
export interface Problem {
  readonly path: FieldPath;
  /** The plate that shows it in the section. */
  readonly plateId?: string;
  readonly state: State;
  readonly sentence: Sentence;
}
