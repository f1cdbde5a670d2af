import type { Mm } from '@/core/units/quantity';

/** A point: across and down in pixels, or radius and height in mm while it is drawn. */
export type Point = readonly [number, number];

/** A rectangle of the drawing, in pixels from its top left. */
export interface Box {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** What a shape is made of; the palette says how each looks. */
export type Look =
  | 'basket'
  | 'finger'
  | 'slot'
  | 'core'
  | 'lining'
  | 'groove'
  | 'ghost'
  | 'steel'
  | 'edge'
  | 'warp'
  | 'joint'
  | 'fault'
  | 'pointer'
  | 'judder'
  | 'weight'
  | 'hub'
  | 'spline'
  | 'shaft'
  | 'rod'
  | 'bearing'
  | 'plate'
  | 'bolt'
  | 'spring'
  | 'wire'
  | 'axis'
  | 'hidden';

/** The parts of a clutch that are drawn; a plate is named by its identifier. */
export type PartId =
  | 'basket'
  | 'hub'
  | 'shaft'
  | 'release'
  | 'pressurePlate'
  | 'springs'
  | 'retainer'
  | 'expanding'
  | 'assist'
  | 'ramps'
  | 'startClutch'
  | `plate:${string}`;

export interface Shape {
  readonly part: PartId;
  readonly look: Look;
  /** Areas, or lines where it is open. */
  readonly paths: readonly (readonly Point[])[];
  readonly open: boolean;
  /** It moves by this one of the rises: 0 does not move. */
  readonly rides: number;
  /** Share of the rise at each point of each path; all of it where absent. */
  readonly bend?: readonly (readonly number[])[];
  /** Drawn from assumed measures. */
  readonly faint: boolean;
  /** Of a round section, which keeps its form where heights and radii are drawn to different scales. */
  readonly centre?: Point;
  /** Pixels by which it moves outward once the shoes of a start clutch touch. */
  readonly slides: number;
}

interface Making {
  readonly rides?: number;
  readonly open?: boolean;
  readonly faint?: boolean;
  readonly slides?: Mm;
  readonly bend?: (radius: Mm, height: Mm) => number;
  readonly centre?: Point;
}

/** Collects shapes in mm: radius from the axis, height over the hub floor. */
export class Pen {
  constructor(
    private readonly part: PartId,
    private readonly usual: Making = {},
    readonly drawn: Shape[] = [],
  ) {}

  /** Draws another part into the same collection. */
  of(part: PartId, usual: Making = {}): Pen {
    return new Pen(part, usual, this.drawn);
  }

  paths(look: Look, paths: readonly (readonly Point[])[], making: Making = {}): void {
    const {
      rides = 0,
      open = false,
      faint = false,
      slides = 0,
      bend,
      centre,
    } = { ...this.usual, ...making };
    this.drawn.push({
      part: this.part,
      look,
      paths,
      open,
      rides,
      faint,
      slides,
      ...(centre ? { centre } : {}),
      ...(bend ? { bend: paths.map((path) => path.map(([r, y]) => bend(r, y))) } : {}),
    });
  }

  area(look: Look, points: readonly Point[], making?: Making): void {
    this.paths(look, [points], making);
  }

  line(look: Look, points: readonly Point[], making: Making = {}): void {
    this.paths(look, [points], { ...making, open: true });
  }

  /** A ring of rectangular section. */
  box(look: Look, [outer, inner]: Point, [low, high]: Point, making?: Making): void {
    this.area(
      look,
      [
        [outer, low],
        [outer, high],
        [inner, high],
        [inner, low],
      ],
      making,
    );
  }

  /** A round section, such as of a wire, that keeps its form while its place moves. */
  round(look: Look, [radius, height]: Point, size: Mm, making: Making = {}): void {
    const { bend } = { ...this.usual, ...making };
    const share = bend?.(radius, height);
    this.area(look, circle(radius, height, size), {
      ...making,
      centre: [radius, height],
      ...(share === undefined ? {} : { bend: () => share }),
    });
  }
}

const CORNERS = 12;

const circle = (x: number, y: number, size: number): Point[] =>
  Array.from({ length: CORNERS }, (_, i): Point => {
    const angle = (2 * Math.PI * i) / CORNERS;
    return [x + size * Math.cos(angle), y + size * Math.sin(angle)];
  });

/** Two decimals are finer than any screen or printer. */
const at = (value: number): string => String(Math.round(value * 100) / 100);

/**
 * A shape as the data of an SVG path, at rest or with the parts risen.
 * @param rises pixels by which each rider has risen
 * @param out how far the shoes are out, 0 to 1
 */
export function pathOf(shape: Shape, rises: readonly number[] = [], out = 0): string {
  const rise = rises[shape.rides] ?? 0;
  const slide = shape.slides * out;
  return shape.paths
    .map((path, n) => {
      const bend = shape.bend?.[n];
      const points = path.map(([x, y], i) => `${at(x - slide)} ${at(y - rise * (bend?.[i] ?? 1))}`);
      return `M${points.join('L')}${shape.open ? '' : 'Z'}`;
    })
    .join('');
}

/** The rectangle around shapes, as drawn at rest. */
export function boxAround(shapes: readonly Shape[]): Box {
  let [left, top, right, bottom] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const { paths } of shapes)
    for (const path of paths)
      for (const [x, y] of path) {
        left = Math.min(left, x);
        right = Math.max(right, x);
        top = Math.min(top, y);
        bottom = Math.max(bottom, y);
      }
  return left > right
    ? { x: 0, y: 0, width: 0, height: 0 }
    : { x: left, y: top, width: right - left, height: bottom - top };
}
