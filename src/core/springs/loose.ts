import { check, DomainError, NOT_NEGATIVE, POSITIVE } from '../errors';
import type { Mm } from '../units/quantity';

/** Where the gap is read: three places round the plates, all nuts home. */
export const GAP_READ = [
  'springs.loose.gapRead1',
  'springs.loose.gapRead2',
  'springs.loose.gapRead3',
] as const;

/**
 * Gap between two plates that nuts draw together to a stop, with the pack inside the span: span − H.
 * @throws {DomainError} when the pack is taller than the span
 * Source: geometry; `docs/mechanics.md` section 4.
 * @example plateGap(48.4, 35.6) // 12.8
 */
export function plateGap(span: Mm, stack: Mm): Mm {
  check('span', span, POSITIVE);
  check('stack', stack, NOT_NEGATIVE);
  if (stack > span) throw new DomainError('span', 'at least the stack', span);
  return span - stack;
}

/**
 * Length of a loose spring between the two plates: the gap and the pockets at both ends. The maker's gap limits are limits of
 * the preload too.
 * @throws {DomainError} for a value below 0
 * Source: `docs/mechanics.md` section 4.
 * @example looseSpringLength(12.8, 6, 6) // 24.8
 */
export function looseSpringLength(gap: Mm, pocketInner: Mm, pocketOuter: Mm): Mm {
  return (
    check('gap', gap, NOT_NEGATIVE) +
    check('pocketInner', pocketInner, NOT_NEGATIVE) +
    check('pocketOuter', pocketOuter, NOT_NEGATIVE)
  );
}
