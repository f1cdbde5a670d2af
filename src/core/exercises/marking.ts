import type { Sentence } from '@/core/text/sentence';
import { say } from '@/core/text/sentence';
import type { EntrySpec } from '../units/entrySpec';
import { baseUnit } from '../units/quantity';
import type { ManyQuestion, ExerciseMark, NumberQuestion, OneQuestion, Option } from './model';

/**
 * Full points, with an explanation.
 * @example right(['Yes.']).points // 1
 */
export const right = (says: Sentence): ExerciseMark => ({ points: 1, says });
/**
 * No or partial points, with an explanation.
 * @example wrong(['No.'], 0.5).points // 0.5
 */
export const wrong = (says: Sentence, points = 0): ExerciseMark => ({ points, says });

/**
 * A value as one would write it, in the base unit.
 * @example written(2.92, { quantity: 'length' }) // "2.92 mm"
 */
export const written = (value: number, { quantity }: EntrySpec): string =>
  `${Math.round(value * 1e6) / 1e6} ${baseUnit(quantity).symbol}`.trim();

/** A wrong value that people come to, and how. */
export interface Trap {
  readonly value: number;
  readonly says: Sentence;
}

interface NumberCase {
  readonly id: string;
  readonly ask: Sentence;
  readonly spec: EntrySpec;
  readonly expected: number;
  readonly tolerance: number;
  /** Why it is that. */
  readonly reason: Sentence;
  readonly traps?: readonly Trap[];
}

/**
 * A number question with one right value; values from a known mistake are explained.
 * @example numberQuestion({ id: 'q', ask: ['How much?'], spec: { quantity: 'length', bounds: {} }, expected: 3, tolerance: 0.01, reason: ['Three.'] }).kind // "number"
 */
export function numberQuestion({
  id,
  ask,
  spec,
  expected,
  tolerance,
  reason,
  traps = [],
}: NumberCase): NumberQuestion {
  return {
    kind: 'number',
    id,
    ask,
    spec,
    solution: written(expected, spec),
    mark(value) {
      if (Math.abs(value - expected) <= tolerance) return right(reason);
      const trap = traps.find((t) => Math.abs(value - t.value) <= tolerance);
      return wrong(trap ? [...trap.says, ' ', ...reason] : reason);
    },
  };
}

interface OneCase {
  readonly id: string;
  readonly ask: Sentence;
  readonly options: readonly Option[];
  readonly expected: string;
  readonly reason: Sentence;
  /** Why another one is not it. */
  readonly not?: Readonly<Record<string, Sentence>>;
}

/**
 * One of a few, with a reason for the right one and for those that are not.
 * @example oneQuestion({ id: 'q', ask: ['Which?'], options: [{ id: 'a', text: ['A'] }], expected: 'a', reason: ['A.'] }).kind // "one"
 */
export function oneQuestion({
  id,
  ask,
  options,
  expected,
  reason,
  not = {},
}: OneCase): OneQuestion {
  return {
    kind: 'one',
    id,
    ask,
    options,
    solution: expected,
    mark(chosen) {
      if (chosen === expected) return right(reason);
      const why = not[chosen];
      return wrong(why ? [...why, ' ', ...reason] : reason);
    },
  };
}

interface ManyCase {
  readonly id: string;
  readonly ask: Sentence;
  readonly of?: ManyQuestion['of'];
  readonly options: readonly Option[];
  readonly expected: readonly string[];
  readonly reason: Sentence;
}

/**
 * A multiple-choice question, scored by the share of right choices.
 * @example manyQuestion({ id: 'q', ask: ['Which?'], options: [{ id: 'a', text: ['A'] }], expected: ['a'], reason: ['A.'] }).kind // "many"
 */
export function manyQuestion({
  id,
  ask,
  of = 'options',
  options,
  expected,
  reason,
}: ManyCase): ManyQuestion {
  return {
    kind: 'many',
    id,
    ask,
    of,
    options,
    solution: expected,
    mark(chosen) {
      const all = new Set([...chosen, ...expected]);
      const met = chosen.filter((c) => expected.includes(c)).length;
      const points = all.size === 0 ? 1 : met / all.size;
      if (points === 1) return right(reason);
      const missed = expected.filter((e) => !chosen.includes(e)).length;
      const tooMany = chosen.filter((c) => !expected.includes(c)).length;
      const reported = [
        ...(missed > 0 ? [`${missed} missed`] : []),
        ...(tooMany > 0 ? [`${tooMany} too many`] : []),
      ].join(', ');
      return wrong([...say`${reported}. `, ...reason], points);
    },
  };
}
