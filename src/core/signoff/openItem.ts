import type { Sentence } from '@/core/text/sentence';
import type { FieldPath } from '../job/fieldPath';
import type { Override, Stage } from '../job/types';

/** An item that blocks the signature. */
export interface OpenItem {
  /** The same for the same thing, so that a written reason stays with it. */
  readonly id: string;
  readonly kind: 'part' | 'verdict' | 'problem' | 'measure' | 'step' | 'text' | 'deviation';
  /** The stage to fix it at. */
  readonly stage: Stage;
  /** The step of that stage's sheet, by its tool or its key, where it is one. */
  readonly step?: string;
  readonly title: string;
  readonly sentence: Sentence;
  /** The field to fix it in, if any. */
  readonly path?: FieldPath | undefined;
  /** The builder's written reason to sign anyway. */
  readonly override?: Override;
}
