import { scaleLinear } from 'd3-scale';

import type { PackLayer, PackLayout } from '@/core/evaluate/layers';
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
  /** No thickness is entered: drawn at a stand-in height, dashed. */
  readonly standIn: boolean;
}

export interface SectionShape {
  readonly layers: readonly LayerShape[];
  readonly floor: Box;
  readonly pressurePlate: Box;
  /** Ridge line of the springs over the pressure plate, as polygon points. */
  readonly ridge: readonly (readonly [number, number])[];
  readonly pixelsPerMm: number;
}

const FLOOR = 22;
const PLATE = 16;
const RIDGE = 40;
/** Drawn for a plate whose thickness is not entered yet. */
const STAND_IN: Mm = 2;
/** Of a disc's thickness, each side; the drawing has no thickness of the core to go by. */
const LINING_SHARE = 0.3;
const MAX_SCALE = 18;
/** Wear is drawn so many times deeper than it is: to scale it would be thinner than a line. */
export const WEAR_SCALE = 10;
/** Radii drawn while none are entered; only their order matters. */
const FALLBACK = { outer: 58, inner: 46 } as const;
const TANG = { beyond: 5, inside: 6 } as const;

/**
 * The section to scale: heights by thickness, widths by radius, hub floor at the bottom, basket to the left and
 * hub to the right. A pack that would be taller than the drawing is scaled down, never cut.
 */
export function shapeSection(
  layout: PackLayout,
  width: number,
  height: number,
  margin = 4,
): SectionShape {
  const { layers } = layout;
  const thickness = (l: PackLayer) => l.thickness ?? STAND_IN;
  const total = layers.reduce((sum, l) => sum + thickness(l), 0);
  const room = height - FLOOR - PLATE - RIDGE;
  const pixelsPerMm = Math.min(MAX_SCALE, room / Math.max(total, 1));
  const foot = height - FLOOR;

  const outer = (l: PackLayer) => l.outerRadius ?? FALLBACK.outer;
  const inner = (l: PackLayer) => l.innerRadius ?? FALLBACK.inner;
  const lined = layers.filter((l) => l.lined !== 'none');
  const outermost = Math.max(...lined.map(outer), FALLBACK.inner + 4);
  const innermost = Math.min(...lined.map(inner), outermost - 2);
  const x = scaleLinear()
    .domain([outermost + TANG.beyond, innermost - TANG.inside])
    .range([margin, width - margin]);
  const span = (from: Mm, to: Mm, y: number, h: number): Box => ({
    x: x(from),
    y,
    width: Math.max(1, x(to) - x(from)),
    height: h,
  });

  let bottom = foot;
  const shapes = layers.map((layer): LayerShape => {
    const h = thickness(layer) * pixelsPerMm;
    const y = bottom - h;
    bottom = y;
    const basket = layer.turnsWith === 'basket';
    const coreFrom = basket ? outermost + TANG.beyond : outermost + 1;
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
    const worn = wearOf(layer) / Math.max(1, rings.length);
    const gone = Math.min(liningHeight - 1, worn * WEAR_SCALE * pixelsPerMm);
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
      standIn: layer.thickness === undefined,
    };
  });
  const plateTop = bottom - PLATE;
  const left = margin + 2;
  const right = width - margin - 2;
  return {
    layers: shapes,
    floor: { x: margin, y: foot, width: width - 2 * margin, height: FLOOR },
    pressurePlate: { x: left, y: plateTop, width: right - left, height: PLATE - 2 },
    ridge: ridgeLine(left, right, plateTop),
    pixelsPerMm,
  };
}

/** What a measured disc has lost against new, mm; 0 while it is not known. */
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

/** Spreads label positions so that none lies closer to the next than `gap`, moving them as little as the room lets. */
export function spreadLabels(
  wanted: readonly number[],
  gap: number,
  top: number,
  bottom: number,
): number[] {
  const placed: number[] = [];
  // From the foot up: wanted runs from the hub floor outward, so y falls.
  wanted.forEach((y, i) =>
    placed.push(Math.min(y, i === 0 ? bottom : (placed[i - 1] ?? bottom) - gap)),
  );
  for (let i = placed.length - 1; i >= 0; i--) {
    const least = i === placed.length - 1 ? top : (placed[i + 1] ?? top) + gap;
    placed[i] = Math.max(placed[i] ?? top, least);
  }
  return placed;
}
