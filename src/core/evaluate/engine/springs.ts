import { DomainError } from '../../errors';
import type { Mm, Newton } from '../../units/quantity';
import type { Sheet } from './sheet';

/* The force of the springs in use, whatever their kind. */

/**
 * Force of the springs on the pack at any stack and lift, N, from a sheet on which they are worked out; undefined while
 * they are not known.
 * @example springForceAt(sheet)(34.1, 0) // 1560
 */
export const springForceAt = (sheet: Sheet): ((stack: Mm, lift: Mm) => Newton) | undefined =>
  sheet.once('spring force', () => {
    const stack = sheet.known('stack');
    return stack && sheet.known('clamp') ? sheet.springs.forceAt(sheet, stack.value) : undefined;
  });

/**
 * Spring force over lift at the present stack, N over mm; 0 where unknown, so that nothing is judged as held. Beyond the
 * measured range the springs have no force.
 * @example springsOverLift(sheet)(0) // 1570
 */
export function springsOverLift(sheet: Sheet): (lift: Mm) => Newton {
  const force = springForceAt(sheet);
  const stack = sheet.known('stack')?.value;
  if (!force || stack === undefined) return () => 0;
  return (lift) => {
    try {
      return force(stack, lift);
    } catch (error) {
      if (error instanceof DomainError) return 0;
      throw error;
    }
  };
}
