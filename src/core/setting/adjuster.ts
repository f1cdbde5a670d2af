import { check, DomainError, NOT_NEGATIVE, POSITIVE } from '../errors';
import type { Mm } from '../units/quantity';
import { countOf } from '@/core/text/countOf';

const INCH: Mm = 25.4;

/** A screw that sets a gap, free play or end float. */
export interface Adjuster {
  /** Axial travel per turn, mm. */
  readonly pitch: Mm;
  /** Marks per turn, a whole number; 1 when only whole turns can be set. */
  readonly marksPerTurn: number;
  /** Gap moved per screw travel; 1 when the screw acts directly. */
  readonly linkage?: number | undefined;
}

/** Pitch of a thread given in threads per inch. @throws {DomainError} when not above 0. @example pitchOf(20) // 1.27 */
export function pitchOf(threadsPerInch: number): Mm {
  return INCH / check('threadsPerInch', threadsPerInch, POSITIVE);
}

/**
 * Gap per turn of the adjuster: pitch × linkage.
 * @throws {DomainError} for a pitch, linkage or marks out of range
 * @example gapPerTurn({ pitch: 1.25, marksPerTurn: 8 }) // 1.25
 */
export function gapPerTurn({ pitch, marksPerTurn, linkage = 1 }: Adjuster): Mm {
  check('marksPerTurn', marksPerTurn, { min: 1, max: 360, integer: true });
  return check('pitch', pitch, POSITIVE) * check('linkage', linkage, POSITIVE);
}

/**
 * Gap from an adjuster: pitch·(turns + marks/marks per turn)·linkage.
 * @param turns 0 or more, whole or in parts
 * @param marks marks past the whole turns, 0 or more
 * @throws {DomainError} for a value out of range
 * Source: screw kinematics; `docs/mechanics.md` section 8.
 * @example gapFromTurns({ pitch: 1.25, marksPerTurn: 8 }, 1, 2) // 1.5625
 */
export function gapFromTurns(adjuster: Adjuster, turns: number, marks: number): Mm {
  check('turns', turns, NOT_NEGATIVE);
  check('marks', marks, NOT_NEGATIVE);
  return gapPerTurn(adjuster) * (turns + marks / adjuster.marksPerTurn);
}

/** Turns and marks of an adjuster, to the nearest mark. */
export interface Turning {
  readonly turns: number;
  readonly marks: number;
  /** The resulting gap, with the sign of the request. */
  readonly gap: Mm;
  /** Requested minus resulting gap: the remainder that can't be set. */
  readonly rest: Mm;
  readonly direction: 'open' | 'close' | 'leave';
}

/**
 * Turns and marks for a change of gap, to the nearest mark, or to the mark that reaches it. Above 0 opens the gap,
 * below 0 closes it.
 * @throws {DomainError} for an adjuster out of range
 * Source: inverse of {@link gapFromTurns}.
 * @example turnsForGap({ pitch: 1.25, marksPerTurn: 8 }, 0.75).marks // 5
 */
export function turnsForGap(
  adjuster: Adjuster,
  change: Mm,
  to: 'nearest' | 'reach' = 'nearest',
): Turning {
  const perTurn = gapPerTurn(adjuster);
  check('change', change, {});
  const { marksPerTurn } = adjuster;
  const exact = (Math.abs(change) / perTurn) * marksPerTurn;
  const all = to === 'nearest' ? Math.round(exact) : Math.ceil(exact - 1e-9);
  const gap = (all / marksPerTurn) * perTurn * Math.sign(change);
  if (!Number.isSafeInteger(all))
    throw new DomainError('change', 'a gap in mm that a screw can set', change);
  return {
    turns: Math.floor(all / marksPerTurn),
    marks: all % marksPerTurn,
    gap: all === 0 ? 0 : gap,
    rest: change - gap,
    direction: all === 0 ? 'leave' : change > 0 ? 'open' : 'close',
  };
}

/**
 * Turns and marks in words: "1 turn and 3 marks", "2 marks".
 * @example turningText({ turns: 1, marks: 2 }) // "1 turn and 2 marks"
 */
export function turningText({ turns, marks }: Pick<Turning, 'turns' | 'marks'>): string {
  return [
    ...(turns > 0 ? [countOf(turns, 'turn')] : []),
    ...(marks > 0 || turns === 0 ? [countOf(marks, 'mark')] : []),
  ].join(' and ');
}
