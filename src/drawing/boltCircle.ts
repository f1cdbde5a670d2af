import { crissCross } from '@/core/worksheet/boltCircle';

/** One drawn bolt of a circle: its position and its turn. */
export interface BoltPlace {
  readonly bolt: number;
  /** 1 for the bolt that is tightened first. */
  readonly turn: number;
  readonly x: number;
  readonly y: number;
}

export interface CircleShape {
  /** In the order in which they are tightened. */
  readonly bolts: readonly BoltPlace[];
  readonly centre: number;
  readonly radius: number;
  /** Radius of a bolt's head in the drawing. */
  readonly head: number;
}

/** A circle of bolts in a square of this size, the first at the top, clockwise. */
export function shapeCircle(n: number, size: number): CircleShape {
  const centre = size / 2;
  const head = size * (n > 16 ? 0.045 : 0.068);
  const radius = centre - head - 4;
  const bolts = crissCross(n).map((bolt, i): BoltPlace => {
    const angle = (2 * Math.PI * (bolt - 1)) / n - Math.PI / 2;
    return {
      bolt,
      turn: i + 1,
      x: centre + radius * Math.cos(angle),
      y: centre + radius * Math.sin(angle),
    };
  });
  return { bolts, centre, radius, head };
}
