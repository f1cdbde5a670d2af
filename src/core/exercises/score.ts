import { say } from '@/core/text/sentence';
import type { UnitChoice } from '../units/format';
import { parseEntry } from '../units/parseEntry';
import type { Answer, Exercise, ExerciseMark, Question } from './model';

export interface Scored {
  /** By question; the measuring has the key `measuring`. */
  readonly marks: Readonly<Record<string, ExerciseMark>>;
  /** Share of all points, 0 to 1. */
  readonly share: number;
}

const OPEN: ExerciseMark = { points: 0, says: say`Not answered.` };

/**
 * Whether a question has an answer; a number must be one that can be read, and nothing is an answer to some.
 * @example isAnswered({ kind: 'one', id: 'q', ask: [], options: [], mark: () => ({ points: 1, says: [] }) }, undefined) // false
 */
export function isAnswered(
  question: Question,
  answer: Answer | undefined,
  units: UnitChoice = {},
): boolean {
  if (question.kind === 'many') return true;
  if (answer === undefined) return false;
  if (question.kind === 'number')
    return typeof answer === 'string' && parseEntry(answer, question.spec, units).kind === 'value';
  if (question.kind === 'one') return typeof answer === 'string' && answer !== '';
  const needed = question.kind === 'order' ? question.bolts : question.places;
  return typeof answer !== 'string' && answer.filter(Boolean).length === needed;
}

function markOf(
  question: Question,
  answer: Answer | undefined,
  taken: readonly string[],
  units: UnitChoice,
): ExerciseMark {
  const list = typeof answer === 'string' || answer === undefined ? [] : answer;
  const text = typeof answer === 'string' ? answer : '';
  switch (question.kind) {
    case 'number': {
      const read = parseEntry(text, question.spec, units);
      return read.kind === 'value' ? question.mark(read.value, taken) : OPEN;
    }
    case 'one':
      return text === '' ? OPEN : question.mark(text);
    case 'many':
      return question.mark(list);
    case 'order':
      return question.mark(list.map(Number));
    case 'ring':
      return question.mark(list);
  }
}

/**
 * Scores the answers to an exercise, with the reason for each.
 * @param answers by question; numbers as they were written, read in the builder's units
 * @param taken where the gauge was put, `part.spot`
 * @example score(exercise, {}, []).share // 0
 */
export function score(
  exercise: Exercise,
  answers: Readonly<Record<string, Answer>>,
  taken: readonly string[],
  units: UnitChoice = {},
): Scored {
  const marks: Record<string, ExerciseMark> = {};
  for (const q of exercise.questions) marks[q.id] = markOf(q, answers[q.id], taken, units);
  if (exercise.measuring) marks.measuring = exercise.measuring(taken);
  const all = Object.values(marks);
  return { marks, share: all.reduce((sum, m) => sum + m.points, 0) / Math.max(1, all.length) };
}
