import { check, DomainError, NOT_NEGATIVE } from '../errors';
import type { Degree, Mm, Newton } from '../units/quantity';

/** One spring of a ring: its force and position. */
export interface PlacedSpring {
  readonly force: Newton;
  /** Angle round the clutch, degrees. */
  readonly angle: Degree;
  /** Distance from the centre, mm. */
  readonly radius: Mm;
}

export interface Resultant {
  readonly total: Newton;
  /** Distance of the resultant from the centre, which tilts the plate. */
  readonly offset: Mm;
  /** Direction of the offset, 0 up to 360 degrees; 0 when there is none. */
  readonly direction: Degree;
}

/**
 * Resultant of a ring of springs: |Σ F·r|/Σ F and its direction. A set of two kinds fitted unevenly has it off
 * centre, and the plate lifts on one side.
 * @throws {DomainError} for a force or radius below 0, or when no spring presses
 * Source: statics; `docs/mechanics.md` section 4.
 * @example springResultant(placeEvenly([260, 230, 230], 40)).offset // 1.66667
 */
export function springResultant(springs: readonly PlacedSpring[]): Resultant {
  let total = 0;
  let x = 0;
  let y = 0;
  springs.forEach(({ force, angle, radius }, i) => {
    check(`springs.${i}.force`, force, NOT_NEGATIVE);
    check(`springs.${i}.radius`, radius, NOT_NEGATIVE);
    check(`springs.${i}.angle`, angle, {});
    const a = (angle * Math.PI) / 180;
    total += force;
    x += force * radius * Math.cos(a);
    y += force * radius * Math.sin(a);
  });
  if (!(total > 0)) throw new DomainError('springs', 'at least one spring with force', total);
  const offset = Math.hypot(x, y) / total;
  return { total, offset, direction: offset < 1e-9 ? 0 : directionOf(x, y) };
}

/**
 * Direction of a vector in degrees, 0 up to 360.
 * @example directionOf(0, 1) // 90
 */
export function directionOf(x: number, y: number): Degree {
  const degrees = (Math.atan2(y, x) * 180) / Math.PI;
  return degrees < 0 ? degrees + 360 : degrees;
}

/**
 * Springs at even steps in the given order: `['a','b','a','b']` at 0, 90, 180, 270 degrees.
 * @example placeEvenly([260, 230], 40) // [{ force: 260, radius: 40, angle: 0 }, { force: 230, radius: 40, angle: 180 }]
 */
export function placeEvenly(forces: readonly Newton[], radius: Mm): PlacedSpring[] {
  return forces.map((force, i) => ({ force, radius, angle: (360 * i) / forces.length }));
}

/**
 * Lays kinds of spring round a ring one after the other, as evenly as their counts let them: at each place the kind that
 * is furthest behind its share.
 * @param kinds each with how many there are, whole and 0 or more
 * @example arrangeEvenly([{ id: 'a', count: 2 }, { id: 'b', count: 2 }]) // ['a', 'b', 'a', 'b']
 */
export function arrangeEvenly(
  kinds: readonly { readonly id: string; readonly count: number }[],
): readonly string[] {
  const total = kinds.reduce((sum, k) => sum + k.count, 0);
  const placed = new Map<string, number>();
  const ring: string[] = [];
  for (let i = 1; i <= total; i++) {
    const behind = ({ id, count }: { id: string; count: number }) =>
      (count * i) / total - (placed.get(id) ?? 0);
    const next = kinds.reduce((best, k) => (behind(k) > behind(best) + 1e-9 ? k : best));
    placed.set(next.id, (placed.get(next.id) ?? 0) + 1);
    ring.push(next.id);
  }
  return ring;
}
