import type { Sentence } from '@/core/text/sentence';
import type { Job } from '../job/types';
import type { Mm } from '../units/quantity';

/** A change that a builder could make. */
export interface Move {
  /** Names the move; two moves of one family are never combined. */
  readonly family:
    | 'disc'
    | 'steels'
    | 'one steel'
    | 'steel mix'
    | 'springs'
    | 'shim'
    | 'ring'
    | 'step'
    | 'lining'
    | 'spacer pair'
    | 'gap'
    | 'reduced effort'
    | 'loss'
    | 'train'
    | 'oil'
    | 'idle'
    | 'return springs'
    | 'new plates'
    | 'order';
  readonly label: Sentence;
  /** Work and money, roughly: 0 is a new plate order, 1 is a part swapped at the bench, 5 is parts to buy and a cover off. */
  readonly effort: number;
  /** How far a part of another size is from the present one, as a share: the nearest is offered first. */
  readonly change?: number;
  readonly apply: (job: Job) => Job | undefined;
}

/**
 * A thickness as plates and shims are sold by, for a label.
 * @example size(1.5) // { value: 1.5, quantity: "length", decimals: 1 }
 */
export const size = (value: Mm) => ({ value, quantity: 'length', decimals: 1 }) as const;
