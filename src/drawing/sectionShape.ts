import { scaleLinear } from 'd3-scale';

import type { PackLayer, PackLayout } from '@/core/evaluate/engine/layers';
import { warpOf } from '@/core/evaluate/engine/layers';
import type { Mm } from '@/core/units/quantity';

/** A rectangle of the drawing, in pixels from its top left. */
export interface Box {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

export interface LayerShape {
  readonly layer: PackLayer;
  /** The whole layer, edge to edge of the drawing, for the finger. */
  readonly row: Box;
  readonly core: Box;
  /** Rings of lining, outer and inner face, each above its side of the core; worn ones drawn thinner. */
  readonly linings: readonly Box[];
  /** Where lining was when the disc was new, for each lining that has worn. */
  readonly ghosts: readonly Box[];
  /** Thickness missing: drawn at an assumed height, dashed. */
  readonly assumed: boolean;
  /** Position of a judder spring in the bore. */
  readonly judder?: Box;
  /** It grows in thickness with rpm. */
  readonly expands: boolean;
  /** Joins it to the disc above that turns with it: a spacer pair. */
  readonly joint?: Box;
}

export interface SectionShape {
  readonly layers: readonly LayerShape[];
  readonly floor: Box;
  readonly pressurePlate: Box;
  /** Ridge line of the springs over the pressure plate, as polygon points. */
  readonly ridge: readonly (readonly [number, number])[];
  /** Height of the spline's end, where known and inside the drawing. */
  readonly splineEnd?: number;
  readonly pixelsPerMm: number;
  /** Height of the whole drawing, larger when zoomed. */
  readonly height: number;
}

/** State of the drawn section: at rest and as measured by default. */
export interface SectionState {
  /** Zoom factor relative to fit. */
  readonly zoom?: number;
  /** Pressure plate lifted by so much: the layers open at the faces that slip. */
  readonly lift?: Mm;
  /** Lift that the drawing leaves room for, so that it keeps its scale while the lever is pulled. */
  readonly room?: Mm;
  /** Pack wear beyond the measured wear. */
  readonly wear?: Mm;
  readonly splineLength?: Mm | undefined;
  /** The outermost disc is an expanding one. */
  readonly expanding?: boolean;
}

const FLOOR = 22;
const PLATE = 16;
const RIDGE = 40;
/** Drawn for a plate whose thickness is not entered yet. */
const PLACEHOLDER: Mm = 2;
/** Of a disc's thickness, each side; the drawing has no thickness of the core to go by. */
const LINING_SHARE = 0.3;
const MAX_SCALE = 18;
/** Wear is drawn so many times deeper than it is: to scale it would be thinner than a line. */
export const WEAR_SCALE = 10;
/** Radii drawn while none are entered; only their order matters. */
const FALLBACK = { outer: 58, inner: 46 } as const;
const TANG = { beyond: 5, inside: 6 } as const;
const MARGIN = 4;

/**
 * The section to scale: heights by thickness, widths by radius, hub floor at the bottom, basket left and hub right. A pack
 * taller than the drawing is scaled down, never cut. Lifted, each friction face opens by its clearance and each warped plate
 * takes its out-of-flat; at rest nothing is added.
 */
export function shapeSection(
  layout: PackLayout,
  width: number,
  height: number,
  { zoom = 1, lift = 0, room = lift, wear = 0, splineLength, expanding = false }: SectionState = {},
): SectionShape {
  const { layers } = layout;
  const worn = wearing(layout, wear);
  const thickness = (l: PackLayer) => (l.thickness ?? PLACEHOLDER) - (worn.get(l.number) ?? 0);
  const tallest =
    layers.reduce((sum, l) => sum + (l.thickness ?? PLACEHOLDER), 0) + Math.max(0, lift, room);
  const fit = Math.min(MAX_SCALE, (height - FLOOR - PLATE - RIDGE) / Math.max(tallest, 1));
  const pixelsPerMm = fit * zoom;
  const whole = Math.max(height, Math.ceil(tallest * pixelsPerMm) + FLOOR + PLATE + RIDGE);
  const foot = whole - FLOOR;

  const outer = (l: PackLayer) => l.outerRadius ?? FALLBACK.outer;
  const inner = (l: PackLayer) => l.innerRadius ?? FALLBACK.inner;
  const lined = layers.filter((l) => l.lined !== 'none');
  const outermost = Math.max(...lined.map(outer), FALLBACK.inner + 4);
  const innermost = Math.min(...lined.map(inner), outermost - 2);
  const x = scaleLinear()
    .domain([outermost + TANG.beyond, innermost - TANG.inside])
    .range([MARGIN, width - MARGIN]);
  const span = (from: Mm, to: Mm, y: number, h: number): Box => ({
    x: x(from),
    y,
    width: Math.max(1, x(to) - x(from)),
    height: h,
  });

  const opened = openedBy(layout, lift);
  const last = layers.findLast((l) => l.turnsWith === 'basket');
  let bottom = foot;
  const shapes = layers.map((layer): LayerShape => {
    bottom -= (opened.get(layer.number) ?? 0) * pixelsPerMm;
    const h = thickness(layer) * pixelsPerMm;
    const y = bottom - h;
    bottom = y;
    const basket = layer.turnsWith === 'basket';
    // A tang in an offset slot is half a pitch on: its end is drawn short of the finger.
    const beyond = layer.plate.offsetSlot ? TANG.beyond / 2 : TANG.beyond;
    const coreFrom = basket ? outermost + beyond : outermost + 1;
    const coreTo = basket ? innermost - 0.5 : innermost - TANG.inside;
    const liningHeight = h * LINING_SHARE;
    const rings = [
      ...(layer.lined === 'both' || layer.lined === 'outer'
        ? [{ box: span(outer(layer), inner(layer), y, liningHeight), faces: 'up' as const }]
        : []),
      ...(layer.lined === 'both' || layer.lined === 'inner'
        ? [
            {
              box: span(outer(layer), inner(layer), y + h - liningHeight, liningHeight),
              faces: 'down' as const,
            },
          ]
        : []),
    ];
    const lost = (wearOf(layer) + (worn.get(layer.number) ?? 0)) / Math.max(1, rings.length);
    const gone = Math.min(liningHeight - 1, lost * WEAR_SCALE * pixelsPerMm);
    return {
      layer,
      row: { x: 0, y, width, height: h },
      core: span(
        coreFrom,
        coreTo,
        y + (layer.lined === 'none' ? 0.5 : 0),
        Math.max(1, h - (layer.lined === 'none' ? 1 : 0)),
      ),
      linings: rings.map(({ box, faces }) =>
        gone > 0
          ? { ...box, y: box.y + (faces === 'up' ? gone : 0), height: box.height - gone }
          : box,
      ),
      ghosts: gone > 0.5 ? rings.map(({ box }) => box) : [],
      assumed: layer.thickness === undefined,
      expands: expanding && layer === last,
      ...(layer.plate.judder
        ? { judder: span(inner(layer) - 0.4, innermost - TANG.inside / 2, y + h / 4, h / 2) }
        : {}),
      ...(layer.lined !== 'none' && isPaired(layout, layer)
        ? { joint: { x: x(outermost) - 5, y: y - 4, width: 10, height: 8 } }
        : {}),
    };
  });
  const plateTop = bottom - (opened.get(layers.length + 1) ?? 0) * pixelsPerMm - PLATE;
  const left = MARGIN + 2;
  const right = width - MARGIN - 2;
  const splineEnd = splineLength === undefined ? undefined : foot - splineLength * pixelsPerMm;
  return {
    layers: shapes,
    floor: { x: MARGIN, y: foot, width: width - 2 * MARGIN, height: FLOOR },
    pressurePlate: { x: left, y: plateTop, width: right - left, height: PLATE - 2 },
    ridge: ridgeLine(left, right, plateTop),
    ...(splineEnd !== undefined && layers.length > 0 && splineEnd > 0 ? { splineEnd } : {}),
    pixelsPerMm,
    height: whole,
  };
}

/** The gap between plates into which a point at this height falls: plates below it, 0 to all. */
export function gapAt(shape: SectionShape, y: number): number {
  return shape.layers.filter((s) => s.row.y + s.row.height / 2 > y).length;
}

/** Height of a gap between plates, where a plate that is dragged would go in. */
export function gapHeight(shape: SectionShape, gap: number): number {
  const below = shape.layers[gap - 1];
  return below ? below.row.y : shape.floor.y;
}

/** Whether the next plate outward turns with this one. */
function isPaired(layout: PackLayout, layer: PackLayer): boolean {
  const next = layout.layers[layer.number];
  return next?.turnsWith === layer.turnsWith && next.lined !== 'none';
}

/** Wear of the whole pack, shared by the lined plates that slip, by number. */
function wearing(layout: PackLayout, wear: Mm): ReadonlyMap<number, Mm> {
  if (wear <= 0) return new Map();
  const slipping = new Set(layout.slipping.flatMap((f) => [f.below, f.above]));
  const discs = layout.layers.filter((l) => l.lined !== 'none' && slipping.has(l.number));
  return new Map(
    discs.map((l) => [
      l.number,
      Math.min(wear / discs.length, (l.thickness ?? PLACEHOLDER) * LINING_SHARE * 2),
    ]),
  );
}

/**
 * Room under each layer, by number, once the plate is lifted: clearance at faces that slip, and the warp of the plate below.
 * One above the last layer is the pressure plate.
 */
export function openedBy(layout: PackLayout, lift: Mm): ReadonlyMap<number, Mm> {
  if (lift <= 0) return new Map();
  const warp = warpOf(layout);
  const faces = Math.max(1, layout.slipping.length);
  const clearance = Math.max(0, (lift - warp) / faces);
  const share = warp > lift ? lift / warp : 1;
  const room = new Map<number, Mm>();
  for (const f of layout.slipping) room.set(f.above, clearance);
  for (const l of layout.layers)
    if (l.outOfFlat > 0)
      room.set(l.number + 1, (room.get(l.number + 1) ?? 0) + l.outOfFlat * share);
  return room;
}

/** Wear of a measured disc, mm; 0 while unknown. */
function wearOf({ measured, thickness, kind }: PackLayer): Mm {
  return measured && thickness !== undefined && kind.thickness
    ? Math.max(0, kind.thickness.value - thickness)
    : 0;
}

/** Summits of the spring ridge, as shares of its width and height. */
const SUMMITS = [
  [0.13, 0.92],
  [0.26, 0.5],
  [0.42, 1],
  [0.57, 0.42],
  [0.72, 0.86],
  [0.85, 0.36],
] as const;

function ridgeLine(left: number, right: number, foot: number): [number, number][] {
  const w = right - left;
  return [
    [left, foot],
    [left, foot - RIDGE * 0.35],
    ...SUMMITS.map(([across, up]): [number, number] => [
      left + w * across,
      foot - 4 - (RIDGE - 10) * up,
    ]),
    [right, foot - RIDGE * 0.3],
    [right, foot],
  ];
}
