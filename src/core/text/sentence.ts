import type { Quantity } from '@/core/units/quantity';
import type { UnitChoice } from '@/core/units/format';
import { formatWithUnit } from '@/core/units/format';

/** A number inside a sentence, kept apart so that it shows in the builder's own unit. */
export interface Amount {
  readonly value: number;
  readonly quantity: Quantity;
  readonly decimals?: number;
}

/** A sentence of the core: words and amounts in order. */
export type Sentence = readonly (string | Amount)[];

/**
 * Writes a sentence with amounts: say`Stack height ${length(34.1)}.` Gaps may hold strings and amounts.
 * Never throws.
 * @example say(['Lifts ', '.'], length(1.8)) // ['Lifts ', { value: 1.8, quantity: 'length' }, '.']
 */
export function say(words: TemplateStringsArray, ...gaps: readonly (string | Amount)[]): Sentence {
  const sentence: (string | Amount)[] = [];
  for (let i = 0; i < words.length; i++) {
    const text = words[i];
    const gap = gaps[i];
    if (text) sentence.push(text);
    if (gap !== undefined && gap !== '') sentence.push(gap);
  }
  return sentence;
}

/**
 * The sentence as text, its amounts in the chosen units.
 * @example readSentence(['Lifts ', length(1.8), '.']) // "Lifts 1.800 mm."
 */
export function readSentence(sentence: Sentence, choice: UnitChoice = {}): string {
  return sentence
    .map((p) =>
      typeof p === 'string' ? p : formatWithUnit(p.value, p.quantity, choice, p.decimals),
    )
    .join('');
}

/**
 * A length in mm, for a sentence. Never throws.
 * @example length(2.92) // { value: 2.92, quantity: "length" }
 */
export const length = (value: number): Amount => ({ value, quantity: 'length' });
/**
 * Travel at the lever, read with a rule.
 * @example travel(12) // { value: 12, quantity: "length", decimals: 1 }
 */
export const travel = (value: number): Amount => ({ value, quantity: 'length', decimals: 1 });
/**
 * A force in N, for a sentence. Never throws.
 * @example force(1600) // { value: 1600, quantity: "force" }
 */
export const force = (value: number): Amount => ({ value, quantity: 'force' });
/**
 * A torque in N·m, for a sentence. Never throws.
 * @example torque(60) // { value: 60, quantity: "torque" }
 */
export const torque = (value: number): Amount => ({ value, quantity: 'torque' });
/**
 * A ratio to two decimals, for a sentence. Never throws.
 * @example times(1.12) // { value: 1.12, quantity: "ratio", decimals: 2 }
 */
export const times = (value: number): Amount => ({ value, quantity: 'ratio', decimals: 2 });
/**
 * A number of things, for a sentence. Never throws.
 * @example count(16) // { value: 16, quantity: "count" }
 */
export const count = (value: number): Amount => ({ value, quantity: 'count' });

/**
 * A text for use inside a sentence: "Lever travel" as "lever travel".
 * @example lowerFirst('Lever travel') // "lever travel"
 */
export function lowerFirst(text: string): string {
  return text.charAt(0).toLowerCase() + text.slice(1);
}

/**
 * A text that begins a sentence: "lever travel" as "Lever travel".
 * @example upperFirst('lever travel') // "Lever travel"
 */
export const upperFirst = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
