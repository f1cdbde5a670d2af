import type { CutawayLook } from '@/core/takeoff/cutaway';
import { pointer, wave, wedges } from '@/drawing/layerGlyphs';
import type { Strata } from '@/drawing/palette';
import type { Box, LayerShape } from '@/drawing/sectionShape';

import type { Scene } from './scene';

/** Content of one frame. */
export interface Frame {
  readonly look: CutawayLook;
  /** Transmitted torque as a share of capacity, 0 to 1. */
  readonly load: number;
  /** Temperature of the steels above the oil, as a share of the fade range. */
  readonly heat: number;
  /** The shoes of a start clutch slip, not the pack. */
  readonly atShoes: boolean;
  /** How far basket, hub and the flow of power have turned. */
  readonly turned: Turned;
}

/** In pixels of travelling marks, and in degrees of the front view. */
export interface Turned {
  readonly basket: number;
  readonly hub: number;
  readonly flow: number;
  readonly front: number;
  readonly drum: number;
  readonly back: number;
}

/** Marks that travel along a plate, each so wide and so far from the next. */
const MARK = 1.6;
const APART = 11;
const FLOW = [12, 6];
const NONE: number[] = [];
/** Arm of the rod: degrees over the whole lever. */
const ARM_SWING = 24;
const FACES = 0.35;

/**
 * Paints the clutch in section. A canvas and not shapes of a page: two dozen layers that move sixty times a second are more
 * than a phone has time to lay out.
 * @param glyphs kept from one frame to the next: paths that are the same each time, and so are the marks
 */
export function paintSection(
  ctx: CanvasRenderingContext2D,
  scene: Scene,
  { look, load, heat, turned }: Frame,
  strata: Strata,
  glyphs: Glyphs,
  stripes: Stripes,
): void {
  const { shape, left, top, basket, hub, rod, seat, ridgeFoot, floor } = scene;
  const fill = (box: Box, colour: string) => {
    ctx.fillStyle = colour;
    ctx.fillRect(box.x, box.y, box.width, box.height);
  };
  const rises = scene.rises(look.opening, look.growth);
  const plate = rises.at(-1) ?? 0;
  ctx.clearRect(0, 0, scene.width, scene.height);

  // Springs between their fixed seat and the plate that rises into them.
  fill({ x: left, y: 0, width: hub.x - left, height: seat }, strata.floor);
  const [first] = shape.ridge;
  const tall = ridgeFoot - seat - 2 - plate;
  const highest = shape.pressurePlate.y - scene.ridgeTop;
  ctx.beginPath();
  for (const [x, y] of shape.ridge)
    ctx.lineTo(
      left + x,
      ridgeFoot -
        plate -
        (highest > 0 ? (shape.pressurePlate.y - y) / highest : 0) * Math.max(4, tall),
    );
  if (first) ctx.closePath();
  ctx.fillStyle = strata.slate;
  ctx.fill();

  fill({ ...basket, y: scene.wallTop, height: floor - scene.wallTop }, strata.ochreDeep);
  fill({ ...hub, y: scene.wallTop, height: floor - scene.wallTop + 26 }, strata.steel);

  const marks = (box: Box, colour: string, offset: number) => {
    const stripe = stripes.of(ctx, colour, offset);
    if (!stripe) return;
    ctx.fillStyle = stripe;
    ctx.fillRect(box.x, box.y, box.width, box.height);
  };

  const paintLayer = (s: LayerShape, rise: number) => {
    ctx.translate(left, top - rise);
    const { core, linings, layer } = s;
    const disc = layer.turnsWith === 'basket';
    fill(core, disc || layer.lined !== 'none' ? strata.ochreDeep : strata.steel);
    for (const box of linings) fill(box, strata.ochre);
    if (heat > 0.01 && layer.lined === 'none') {
      ctx.globalAlpha = Math.min(1, heat) * 0.85;
      fill(core, strata.stop);
      ctx.globalAlpha = 1;
    }
    const offset = disc ? turned.basket : turned.hub;
    if (linings.length > 0) for (const box of linings) marks(box, strata.groove, offset);
    else marks(inner(core), strata.ground, offset);
    if (s.expands && look.growth > 0) {
      const height = look.growth * scene.openScale;
      const grown = { ...core, y: s.row.y - height, height };
      fill(grown, strata.ochre);
      marks(inner(grown), strata.groove, offset);
    }
    const signs = glyphs.of(s);
    if (signs.line) {
      ctx.strokeStyle = strata.ink;
      ctx.lineWidth = 1.6;
      ctx.stroke(signs.line);
    }
    if (signs.area) {
      ctx.fillStyle = strata.ink;
      ctx.fill(signs.area);
    }
    ctx.translate(-left, rise - top);
  };
  shape.layers.forEach((s, i) => paintLayer(s, rises[i] ?? 0));

  // The floor and the pressure plate turn with the hub.
  const foot = { ...shape.floor, x: left + shape.floor.x, y: floor };
  const press = {
    ...shape.pressurePlate,
    x: left + shape.pressurePlate.x,
    y: ridgeFoot - plate,
  };
  fill(foot, strata.floor);
  fill(press, strata.slate);
  marks(inner(foot), strata.ground, turned.hub);
  marks(inner(press), strata.ground, turned.hub);

  // The rod, its bearing under the plate, and the arm that the lever turns.
  fill(
    {
      x: press.x + press.width,
      y: press.y + 2,
      width: rod.x + 8 - press.x - press.width,
      height: 7,
    },
    strata.slate,
  );
  fill({ x: rod.x, y: press.y + 12, width: 7, height: floor - ridgeFoot + 18 }, strata.ink);
  const pivot = (x: number, y: number) => {
    ctx.beginPath();
    ctx.arc(x, y, 6, 0, 2 * Math.PI);
    ctx.fillStyle = strata.ground;
    ctx.fill();
    ctx.strokeStyle = strata.ink;
    ctx.lineWidth = 2;
    ctx.stroke();
  };
  pivot(rod.x + 3.5, press.y + 13);
  const arm = { x: rod.x - 46, y: floor + 44 };
  ctx.save();
  ctx.translate(arm.x, arm.y);
  ctx.rotate((-ARM_SWING * look.leverAt * Math.PI) / 180);
  fill({ x: 0, y: -4, width: 52, height: 8 }, strata.ink);
  ctx.restore();
  pivot(arm.x, arm.y);

  // Power path from the basket's wall through each friction face to the hub's.
  if (Math.abs(load) > 0.005) {
    ctx.globalAlpha = FACES + (1 - FACES) * Math.min(1, Math.abs(load));
    ctx.strokeStyle = strata.slate;
    ctx.lineWidth = 1 + 2.4 * Math.min(1, Math.abs(load));
    ctx.setLineDash(FLOW);
    ctx.lineDashOffset = -turned.flow;
    ctx.beginPath();
    for (const above of scene.faces) {
      const row = shape.layers[above - 1]?.row;
      const y = row ? top + row.y + row.height - (rises[above - 1] ?? 0) : press.y + press.height;
      ctx.moveTo(basket.x + basket.width - 4, y);
      ctx.lineTo(hub.x + hub.width - 2, y);
    }
    ctx.stroke();
    ctx.setLineDash(NONE);
    ctx.globalAlpha = 1;
  }
}

/** The middle part of a plate's height, on which its marks travel. */
const inner = (box: Box): Box => ({
  ...box,
  y: box.y + box.height * 0.28,
  height: Math.max(1.2, box.height * 0.44),
});

/** The finest that a screen draws, so that one tile is sharp on all. */
const DENSE = 3;

/**
 * Travelling marks as one small picture that repeats, made once a colour: dashes worked out along three dozen linings in each
 * frame are more than a phone has time for.
 */
export class Stripes {
  private readonly kept = new Map<string, CanvasPattern | null>();

  /** @param offset pixels that the marks have travelled */
  of(ctx: CanvasRenderingContext2D, colour: string, offset: number): CanvasPattern | null {
    let stripe = this.kept.get(colour);
    if (stripe === undefined) this.kept.set(colour, (stripe = tile(ctx, colour)));
    stripe?.setTransform({ a: 1 / DENSE, d: 1, e: offset % APART });
    return stripe;
  }
}

function tile(ctx: CanvasRenderingContext2D, colour: string): CanvasPattern | null {
  const canvas = document.createElement('canvas');
  canvas.width = APART * DENSE;
  canvas.height = 1;
  const picture = canvas.getContext('2d');
  if (!picture) return null;
  picture.fillStyle = colour;
  picture.fillRect(0, 0, MARK * DENSE, 1);
  return ctx.createPattern(canvas, 'repeat');
}

/** Signs of layers as paths, made once. */
export class Glyphs {
  private readonly kept = new Map<LayerShape, { readonly line?: Path2D; readonly area?: Path2D }>();

  of(shape: LayerShape) {
    const known = this.kept.get(shape);
    if (known) return known;
    const { judder, joint, expands, core, layer } = shape;
    const areas = [
      expands ? wedges(core) : '',
      layer.plate.facing ? pointer(core, layer.plate.facing) : '',
      joint ? `M${joint.x} ${joint.y}h${joint.width}v${joint.height}h${-joint.width}z` : '',
    ].join('');
    const made = {
      ...(judder ? { line: new Path2D(wave(judder)) } : {}),
      ...(areas ? { area: new Path2D(areas) } : {}),
    };
    this.kept.set(shape, made);
    return made;
  }
}

/** Paints basket and hub from the front, each with its own rotation, and the shoes of a start clutch between them. */
export function paintFront(
  ctx: CanvasRenderingContext2D,
  size: number,
  shoes: number,
  { look, turned }: Frame,
  strata: Strata,
): void {
  const r = size / 2;
  const round = (n: number, from: number, paint: () => void) => {
    for (let i = 0; i < n; i++) {
      ctx.save();
      ctx.translate(r, r);
      ctx.rotate(((from + (i * 360) / n) * Math.PI) / 180);
      paint();
      ctx.restore();
    }
  };
  const disc = (radius: number, colour: string) => {
    ctx.beginPath();
    ctx.arc(r, r, radius, 0, 2 * Math.PI);
    ctx.fillStyle = colour;
    ctx.fill();
  };
  const dot = (up: number) => () => {
    ctx.beginPath();
    ctx.arc(0, -up, 4, 0, 2 * Math.PI);
    ctx.fill();
  };
  ctx.clearRect(0, 0, size, size);
  disc(r - 4, strata.ochreDeep);
  disc(r - 12, strata.ground);
  ctx.fillStyle = strata.ochreDeep;
  round(8, turned.drum, () => ctx.fillRect(-5, -(r - 1), 10, 16));
  ctx.fillStyle = strata.groove;
  round(1, turned.drum, dot(r - 8));
  ctx.fillStyle = strata.ochre;
  if (shoes > 0)
    round(shoes, turned.front, () => ctx.fillRect(-8, -(r - 21) - 5 * look.shoes, 16, 7));
  disc(r * 0.46, strata.steel);
  ctx.fillStyle = strata.steel;
  round(10, turned.back, () => ctx.fillRect(-3, -(r * 0.46) - 5, 6, 8));
  ctx.fillStyle = strata.ground;
  round(1, turned.back, dot(r * 0.3));
}
