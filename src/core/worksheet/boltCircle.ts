import { check } from '../errors';
import type { NewtonMetre } from '../units/quantity';

/**
 * Criss-cross order of a bolt circle numbered 1..n clockwise: each bolt is opposite the last, and the pairs go round to spread
 * the load.
 * @param n bolts in the circle, 1 to 60, whole
 * @throws {DomainError} for a count out of range
 * Source: bolted joints, tightening in a star; `docs/mechanics.md`, build.
 * @example crissCross(6) // [1, 4, 2, 5, 3, 6]
 */
export function crissCross(n: number): readonly number[] {
  check('n', n, { min: 1, max: 60, integer: true });
  if (n % 2 === 1) {
    // Half a turn less half a step each time: n and (n − 1)/2 share no factor, so every bolt is met once.
    const step = Math.max(1, (n - 1) / 2);
    return Array.from({ length: n }, (_, i) => ((i * step) % n) + 1);
  }
  const half = n / 2;
  return pairOrder(half).flatMap((first) => [first, first + half]);
}

/** Order of the pairs across a circle: each as far as can be from those that are done, the square one first. */
function pairOrder(half: number): readonly number[] {
  const order = [1];
  while (order.length < half) {
    const last = order.at(-1) ?? 1;
    let best = 0;
    let most = -1;
    for (let bolt = 1; bolt <= half; bolt++) {
      if (order.includes(bolt)) continue;
      // A pair is a line through the centre: half a turn brings it back. Of two as far, the one further from the last.
      const apart = (o: number) => Math.min(Math.abs(bolt - o), half - Math.abs(bolt - o));
      const worth = Math.min(...order.map(apart)) * half + apart(last);
      if (worth > most) {
        most = worth;
        best = bolt;
      }
    }
    order.push(best);
  }
  return order;
}

/**
 * Torques of the stages in which a circle is tightened after finger tight: equal shares, the last in full.
 * @param stages 1 to 4, whole
 * @throws {DomainError} for values out of range
 * Source: bolted joints; `docs/mechanics.md`, build.
 * @example torqueStages(12, 2) // [6, 12]
 */
export function torqueStages(full: NewtonMetre, stages: number): readonly NewtonMetre[] {
  check('full', full, { above: 0 });
  check('stages', stages, { min: 1, max: 4, integer: true });
  return Array.from({ length: stages }, (_, i) => (full * (i + 1)) / stages);
}
