import type { CutawayLook } from '@/core/takeoff/cutaway';
import { paintOf, painted } from '@/drawing/halfSection/looks';
import type { Shape } from '@/drawing/halfSection/shape';
import { boxAround, pathOf } from '@/drawing/halfSection/shape';
import type { Strata } from '@/drawing/palette';

import type { Scene } from './scene';

/** Content of one frame. */
export interface Frame {
  readonly look: CutawayLook;
  /** Transmitted torque as a share of capacity, 0 to 1. */
  readonly load: number;
  /** Clamp as a share of its maximum, for the arrow of the springs. */
  readonly press: number;
  /** Temperature of the steels above the oil, as a share of the fade range. */
  readonly heat: number;
  /** The shoes of a start clutch slip, not the pack. */
  readonly atShoes: boolean;
  /** How far basket, hub and the flow of power have turned. */
  readonly turned: Turned;
}

/** In pixels of the flow's dashes, and in degrees of the front view. */
export interface Turned {
  readonly flow: number;
  readonly front: number;
  readonly drum: number;
  readonly back: number;
}

const FLOW = [12, 6];
const NONE: number[] = [];
const FACES = 0.35;
/** Length of the arrow of the maximum force, px. */
const ARROW = 46;
const HEAD = 6;
/** From the outside of the shaft to the arrow of the rod. */
const ROD_ARROW = 8;
/** Outlines reach this far beyond the shapes, px. */
const EDGE = 2;

/** Shapes that move together, painted once. */
interface Sprite {
  readonly picture: HTMLCanvasElement;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly rides: number;
  readonly slides: number;
}

/**
 * The drawing as pictures that a frame only shifts: two dozen layers painted again sixty times a second are more than a phone
 * has time for. Springs change their form and are painted each time.
 */
export class Sprites {
  private readonly rigid: readonly Sprite[];
  private readonly bent: readonly Shape[];
  private readonly steels: readonly { readonly path: Path2D; readonly rides: number }[];
  private readonly facesAt: readonly { readonly y: number; readonly rides: number }[];
  private readonly x: { readonly basket: number; readonly hub: number; readonly shaft: number };
  private readonly basketFloor: number;
  private readonly springs: { readonly x: number; readonly y: number } | undefined;

  constructor(
    private readonly scene: Scene,
    private readonly strata: Strata,
    private readonly dense: number,
  ) {
    const { drawing } = scene;
    const { shapes, layers } = drawing;
    const groups = new Map<string, Shape[]>();
    for (const shape of shapes) {
      if (shape.bend) continue;
      const key = `${shape.rides} ${shape.slides}`;
      groups.set(key, [...(groups.get(key) ?? []), shape]);
    }
    this.bent = shapes.filter((s) => s.bend);
    // What stays is behind what moves, and the plates behind the pressure plate and its rod.
    this.rigid = [...groups.values()]
      .map((group) => spriteOf(group, strata, dense))
      .sort((a, b) => a.rides - b.rides);
    this.steels = shapes
      .filter((s) => s.look === 'steel')
      .map((s) => ({ path: new Path2D(pathOf(s)), rides: s.rides }));
    const row = (n: number) => layers[n - 1]?.row;
    this.facesAt = scene.faces.map((above) => {
      const at = row(above);
      return { y: at ? at.y + at.height : drawing.top, rides: above };
    });
    const around = (part: Shape['part']) => boxAround(shapes.filter((s) => s.part === part));
    const [basket, hub, shaft, coil] = [
      around('basket'),
      around('hub'),
      around('shaft'),
      boxAround(this.bent),
    ];
    const wall = boxAround(shapes.filter((s) => s.look === 'spline'));
    this.x = { basket: basket.x + 4, hub: wall.x + wall.width, shaft: shaft.x + 3 };
    this.basketFloor = hub.y + hub.height + 2 * drawing.up;
    this.springs = this.bent.length > 0 ? { x: coil.x - 8, y: coil.y + coil.height } : undefined;
  }

  /** Paints one frame. */
  paint(ctx: CanvasRenderingContext2D, { look, load, press, heat, turned }: Frame): void {
    const { scene, strata, dense } = this;
    const { drawing, times } = scene;
    // Drive draws the halves of a hub on ramps together, overrun parts them.
    const rises = drawing.rises(look.opening, look.growth, times, (1 - load) / 2);
    const plate = rises[drawing.layers.length + 1] ?? 0;
    ctx.clearRect(0, 0, drawing.width, drawing.height);
    for (const { picture, x, y, width, height, rides, slides } of this.rigid)
      ctx.drawImage(
        picture,
        onDots(x - slides * look.shoes, dense),
        onDots(y - (rises[rides] ?? 0), dense),
        width,
        height,
      );
    for (const shape of this.bent) {
      brush(ctx, new Path2D(pathOf(shape, rises)), paintOf(shape, strata));
    }
    ctx.globalAlpha = 1;
    if (heat > 0.01) {
      ctx.globalAlpha = Math.min(1, heat) * 0.85;
      ctx.fillStyle = strata.stop;
      for (const { path, rides } of this.steels) {
        ctx.translate(0, -(rises[rides] ?? 0));
        ctx.fill(path);
        ctx.translate(0, rises[rides] ?? 0);
      }
      ctx.globalAlpha = 1;
    }
    this.paintPower(ctx, load, turned.flow, rises);
    if (this.springs && press > 0)
      arrow(ctx, this.springs.x, this.springs.y - plate, ARROW * Math.min(1, press), strata.stop);
    if (look.pressed < 1 && look.leverAt > 0)
      arrow(
        ctx,
        this.x.shaft + ROD_ARROW,
        drawing.floor - plate,
        -ARROW * (1 - look.pressed),
        strata.stop,
      );
  }

  /** The way of the torque: up the basket's fingers, through each friction face, down the hub to its shaft. */
  private paintPower(
    ctx: CanvasRenderingContext2D,
    load: number,
    flow: number,
    rises: readonly number[],
  ): void {
    const share = Math.min(1, Math.abs(load));
    if (share <= 0.005 || this.facesAt.length === 0) return;
    const { basket, hub, shaft } = this.x;
    const heights = this.facesAt.map(({ y, rides }) => y - (rises[rides] ?? 0));
    const highest = Math.min(...heights);
    ctx.globalAlpha = FACES + (1 - FACES) * share;
    ctx.strokeStyle = this.strata.ink;
    ctx.lineWidth = 1.4 + 2.2 * share;
    ctx.setLineDash(FLOW);
    ctx.lineDashOffset = -flow;
    ctx.beginPath();
    ctx.moveTo(shaft, this.basketFloor);
    ctx.lineTo(basket, this.basketFloor);
    ctx.lineTo(basket, highest);
    for (const y of heights) {
      ctx.moveTo(basket, y);
      ctx.lineTo(hub, y);
    }
    ctx.moveTo(hub, highest);
    ctx.lineTo(hub, this.scene.drawing.floor + 3);
    ctx.lineTo(shaft, this.scene.drawing.floor + 3);
    ctx.stroke();
    ctx.setLineDash(NONE);
    ctx.globalAlpha = 1;
  }
}

const onDots = (at: number, dense: number): number => Math.round(at * dense) / dense;

/** Fills and outlines a path as its look says. */
function brush(
  ctx: CanvasRenderingContext2D,
  path: Path2D,
  { fill, stroke, width, dash, opacity }: ReturnType<typeof paintOf>,
): void {
  ctx.globalAlpha = opacity;
  if (fill !== 'none') {
    ctx.fillStyle = fill;
    ctx.fill(path);
  }
  if (!stroke) return;
  ctx.strokeStyle = stroke;
  ctx.lineWidth = width;
  ctx.setLineDash(dash ? dash.split(' ').map(Number) : NONE);
  ctx.stroke(path);
  ctx.setLineDash(NONE);
}

function spriteOf(shapes: readonly Shape[], strata: Strata, dense: number): Sprite {
  const box = boxAround(shapes);
  // On whole dots of the screen, so that a picture is copied and not filtered.
  const [x, y] = [onDots(box.x - EDGE, dense), onDots(box.y - EDGE, dense)];
  const [width, height] = [box.width + 2 * EDGE, box.height + 2 * EDGE];
  const picture = document.createElement('canvas');
  picture.width = Math.max(1, Math.ceil(width * dense));
  picture.height = Math.max(1, Math.ceil(height * dense));
  const ctx = picture.getContext('2d');
  if (ctx) {
    ctx.setTransform(dense, 0, 0, dense, -x * dense, -y * dense);
    for (const paint of painted(shapes, strata)) brush(ctx, new Path2D(paint.d), paint);
  }
  const [first] = shapes;
  return {
    picture,
    x,
    y,
    width: picture.width / dense,
    height: picture.height / dense,
    rides: first?.rides ?? 0,
    slides: first?.slides ?? 0,
  };
}

/** An arrow that ends at a point, down, or up where its length is below 0. */
function arrow(
  ctx: CanvasRenderingContext2D,
  x: number,
  y: number,
  length: number,
  colour: string,
): void {
  const back = Math.sign(length) * HEAD;
  if (Math.abs(length) < HEAD) return;
  ctx.strokeStyle = colour;
  ctx.fillStyle = colour;
  ctx.lineWidth = 3;
  ctx.beginPath();
  ctx.moveTo(x, y - length);
  ctx.lineTo(x, y - back);
  ctx.stroke();
  ctx.beginPath();
  ctx.moveTo(x, y);
  ctx.lineTo(x - HEAD * 0.7, y - back * 1.4);
  ctx.lineTo(x + HEAD * 0.7, y - back * 1.4);
  ctx.fill();
}
