import type { Sentence } from '@/core/text/sentence';
import { readSentence } from '@/core/text/sentence';
import type { FieldPath } from '../job/fieldPath';
import type { ProveTest } from '../job/work';

/** A step on which methods differ: the standard method, the reason, and the alternatives. */
export interface Method {
  readonly why: string;
  readonly others: readonly { readonly id: string; readonly text: string }[];
}

/** A tool shown at a step: drawing, timer, count or calculation. */
export type LineTool =
  | 'soak'
  | 'circle'
  | 'countIn'
  | 'heads'
  | 'gapRead'
  | 'gap'
  | 'gauges'
  | 'freePlay'
  | 'pushrod'
  | 'endFloat'
  | 'chain'
  | 'arm'
  | 'lift'
  | 'thumb'
  | 'losses'
  | 'gain'
  | 'breakIn'
  | 'recheck';

/** Where in the checklists a kind of clutch has lines of its own. */
export type ChecklistPlace = 'hub' | 'springs' | 'afterSprings' | 'gap' | 'running';

/** One line of a worksheet, as the core makes it from the pack. */
export interface ChecklistLine {
  /** The same for the same line of another job of the family; plates have their own. */
  readonly key: string;
  /** Heading of the step. */
  readonly section: string;
  readonly text: Sentence;
  readonly watch?: string;
  readonly method?: Method;
  /** Values that are recorded at this line. */
  readonly fields?: readonly FieldPath[] | undefined;
  readonly tool?: LineTool;
  /** It is there to read or count something, and that is not written yet. */
  readonly unread?: boolean;
  /** The readings it asks for: with the last of them it is done. */
  readonly answers?: readonly FieldPath[];
  /** The fastener that is tightened here. */
  readonly fastenerId?: string;
  readonly plateId?: string;
  /** Its outcome is good or bad, not only done. */
  readonly test?: ProveTest;
  /** The bench can do without it; every other line must be done or left out with a reason. */
  readonly optional?: boolean;
}

/**
 * The text of a line in base units, as stored in a mark.
 * @example lineText({ text: ['Hub on'] }) // "Hub on"
 */
export const lineText = (line: Pick<ChecklistLine, 'text'>): string => readSentence(line.text);
