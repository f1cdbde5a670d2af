import { engagesByItself } from '@/core/clutch/fitted';
import type { PackLayer } from '@/core/evaluate/engine/layers';
import { warpOf } from '@/core/evaluate/engine/layers';
import { clearancePerFace } from '@/core/release/clearance';
import { hasPack } from '@/core/guide/layouts';
import type { Mm } from '@/core/units/quantity';

import { drawAssist, drawStartClutch } from './attachments';
import type { HubRamps } from './housing';
import { drawBasket, drawHub, drawPressurePlate } from './housing';
import type { Measures, Subject } from './measures';
import { known, measuresOf } from './measures';
import type { Place } from './plates';
import { drawJoints, drawPlate, openedBy, placesOf, wearing, wearOf } from './plates';
import { drawBreak, drawRelease, FOOT } from './release';
import type { Box, Point, Shape } from './shape';
import { Pen } from './shape';
import { drawSprings } from './springs';

export interface LayerRow {
  readonly layer: PackLayer;
  /** The layer from the axis to the edge of the drawing, for the finger, at rest. */
  readonly row: Box;
  /** Where its label's line begins. */
  readonly edge: number;
  readonly expands: boolean;
  readonly worn: boolean;
}

/** A measure written beside the drawing. */
export interface Dimension {
  readonly name: 'stack' | 'lift' | 'gap' | 'fitted';
  readonly value: Mm;
  readonly x: number;
  readonly top: number;
  readonly bottom: number;
}

export interface HalfSection {
  readonly width: number;
  readonly height: number;
  /** Pixels for a millimetre of radius, and of height. */
  readonly across: number;
  readonly up: number;
  readonly shapes: readonly Shape[];
  /** From the hub floor outward. */
  readonly layers: readonly LayerRow[];
  /** Height of the hub floor, and of the pressure plate's face. */
  readonly floor: number;
  readonly top: number;
  readonly dimensions: readonly Dimension[];
  /** Words in the drawing: the step of the retainer. */
  readonly notes: readonly { readonly text: string; readonly x: number; readonly y: number }[];
  /** Clearance of each friction face at a lift, mm; below 0 where out-of-flat takes more than the lift. */
  clearance(lift: Mm): Mm;
  /**
   * Pixels by which what moves has risen: 0 stays, then each layer by its number, the pressure plate, and the outer half of
   * an expanding disc with the weights under it.
   * @param opening room between the plates, all together
   * @param times as wide as it is, the room is drawn
   */
  rises(opening: Mm, growth?: Mm, times?: number, apart?: number): readonly number[];
}

export interface View {
  readonly width: number;
  readonly height: number;
  /** Of the plates alone: from the fingers to the hub's wall. */
  readonly close?: boolean;
  readonly zoom?: number;
  /** Room in mm that the drawing leaves for lift, so that it keeps its scale while the lever is pulled. */
  readonly room?: Mm;
  /** Pack wear beyond the measured wear. */
  readonly wear?: Mm;
  /** Space to the left, for labels. */
  readonly left?: number;
}

const MARGIN = 5;
/** Room between labels and fingers for the stack's dimension. */
const BAND = 16;
/** Heights are drawn at most so many times as large as radii. */
const STRETCH = 3;
const MOST_UP = 18;
/** Over the pressure plate, in the view of the plates alone. */
const CLOSE_TOP: Mm = 9;
const CLOSE_FOOT: Mm = -4;

/**
 * The half-section of a clutch: axis at the right, radius to the left, hub floor at the foot, from the job's own radii and
 * thicknesses. Closed and at rest; {@link HalfSection.rises} moves it.
 */
export function drawHalfSection(subject: Subject, view: View): HalfSection {
  const { close = false, zoom = 1, room = 0, wear = 0, left = 0 } = view;
  const { layout } = subject.evaluation;
  const expanding = engagesByItself(subject.job, 'inPack') !== undefined;
  const places = placesOf(layout, { wear, expanding });
  const m = measuresOf(subject, places.at(-1)?.high ?? 0, room);
  const plate = places.length + 1;
  const packed = places.length > 0 || hasPack(subject.job.machine.layout);
  const pen = new Pen('basket');
  let [top, foot] = [0, FOOT - 2];
  let sizes: ReturnType<typeof drawSprings>['sizes'] = [];
  let note: ReturnType<typeof drawSprings>['note'];
  if (packed) {
    const offset = places.find((p) => p.layer.plate.offsetSlot);
    drawBasket(pen, m, offset);
    const springs = pen.of('springs');
    const drawn = drawSprings(springs, subject, m, { plate });
    ({ top, sizes, note } = drawn);
    drawHub(pen.of('hub'), m, FOOT + 9, rampsOf(subject, m, plate + 3));
    drawBreak(pen.of('shaft'), m);
    drawPressurePlate(pen.of('pressurePlate', { rides: plate }), m, drawn.cup);
    drawRelease(pen.of('release'), subject, m, { plate, room });
    top = Math.max(top, m.fingerTop, m.splineTop, drawAssist(pen.of('assist'), subject, m, plate));
    drawPlates(pen, m, places, wear, room, plate + 1);
  }
  if (!close && subject.job.startClutch.place !== 'none')
    foot = drawStartClutch(pen.of('startClutch'), subject, packed ? foot : 0, m.liningOut);
  const extent = close
    ? {
        out: m.fingerOut + 1,
        in: m.hubIn - 1,
        top: m.stack + m.plate + CLOSE_TOP,
        foot: CLOSE_FOOT,
      }
    : { out: m.fingerOut + 1, in: 0, top, foot };
  const start = pen.drawn.filter((s) => s.part === 'startClutch').flatMap((s) => s.paths.flat());
  const out = Math.max(extent.out, ...start.map(([r]) => r + 1));
  const band = close ? 0 : BAND;
  const across = (view.width - left - band - 2 * MARGIN) / (out - extent.in);
  const tall = Math.max(extent.top, m.stack + m.plate + room + 2) - extent.foot;
  const fit = Math.min(
    MOST_UP,
    across * (close ? Infinity : STRETCH),
    (view.height - 2 * MARGIN) / tall,
  );
  const up = fit * zoom;
  const height = Math.max(zoom > 1 ? view.height : 0, Math.ceil(tall * up) + 2 * MARGIN);
  // Only one side of the axis is drawn, whatever radius was entered.
  const axis = view.width - MARGIN;
  const x = (radius: Mm) => axis - (Math.max(0, radius) - extent.in) * across;
  const y = (over: Mm) => height - MARGIN - (over - extent.foot) * up;
  const least = Math.min(across, up);
  const roundAt = (centre: Point, [r, h]: Point): Point => [
    Math.min(axis + extent.in * across, x(centre[0]) - (r - centre[0]) * least),
    y(centre[1]) - (h - centre[1]) * least,
  ];
  const edge = x(m.tangTip);
  return {
    width: view.width,
    height,
    across,
    up,
    floor: y(0),
    top: y(m.stack),
    shapes: pen.drawn.map((shape) => ({
      ...shape,
      slides: shape.slides * across,
      paths: shape.paths.map((path) =>
        path.map(([r, h]) =>
          shape.centre ? roundAt(shape.centre, [r, h]) : ([x(r), y(h)] as const),
        ),
      ),
    })),
    layers: places.map(({ layer, low, high, expands }) => ({
      layer,
      expands,
      worn: wearOf(layer) > 0 || wear > 0,
      edge: layer.turnsWith === 'basket' ? edge : x((layer.outerRadius ?? m.liningOut) + 0.4),
      row: {
        x: left,
        y: y(high),
        width: Math.max(1, x(m.hubIn) - left),
        height: (high - low) * up,
      },
    })),
    notes: note && !close ? [{ text: note.text, x: x(note.radius), y: y(note.height) }] : [],
    dimensions: close
      ? []
      : [
          ...(known(subject, 'stack') === undefined
            ? []
            : [
                {
                  name: 'stack' as const,
                  value: m.stack,
                  x: left + BAND / 2,
                  top: y(m.stack),
                  bottom: y(0),
                },
              ]),
          ...sizes.map((s) => ({
            name: s.name,
            value: s.value,
            x: x(s.radius),
            top: y(s.high),
            bottom: y(s.low),
          })),
        ],
    clearance: (lift) =>
      clearancePerFace(lift, Math.max(1, layout.slipping.length), warpOf(layout)),
    rises(opening, growth = 0, times = 1, apart = 0) {
      const opened = openedBy(layout, opening);
      const expands = places.findIndex((p) => p.expands) + 1;
      let risen = 0;
      const rises = [0];
      for (let n = 1; n <= plate; n++) {
        risen += (opened.get(n) ?? 0) * up * times;
        // What is on an expanding disc rises with its growth.
        if (expands > 0 && n === expands + 1) risen += growth * up * times;
        rises.push(risen);
      }
      const low = rises[expands] ?? 0;
      return [
        ...rises,
        low + growth * up * times,
        low + (growth * up * times) / 2,
        apart * RAMP_PLAY * up,
      ];
    },
  };
}

/** How far the halves of a hub on ramps part, as drawn. */
const RAMP_PLAY: Mm = 1.6;

/** The ramps of the hub, where it has them. */
function rampsOf({ job }: Subject, m: Measures, rides: number): HubRamps | undefined {
  const ramps = job.fittings?.['ramps'];
  if (ramps?.['type'] !== 'ramps') return undefined;
  const { radius } = ramps;
  const known = typeof radius === 'object' ? radius.value : undefined;
  return { radius: known ?? (m.boss + m.hubIn) / 2, rides, faint: known === undefined };
}

function drawPlates(
  pen: Pen,
  m: Measures,
  places: readonly Place[],
  wear: Mm,
  full: Mm,
  grown: number,
): void {
  const worn = wearing(m.layout, wear);
  const opened = openedBy(m.layout, full);
  let risen = 0;
  places.forEach((place) => {
    const { layer } = place;
    risen += opened.get(layer.number) ?? 0;
    const plate = pen.of(`plate:${layer.plate.id}`, { rides: layer.number });
    const before = plate.drawn.length;
    drawPlate(plate, m, place, risen, wearOf(layer) + (worn.get(layer.number) ?? 0));
    if (!place.expands) return;
    // Its outer half is what moves out as it grows.
    const mid = (place.low + place.high) / 2;
    for (let i = before; i < plate.drawn.length; i++) {
      const shape = plate.drawn[i];
      if (shape?.look === 'weight') plate.drawn[i] = { ...shape, rides: grown + 1 };
      else if (shape && shape.paths.every((path) => path.every(([, h]) => h > mid)))
        plate.drawn[i] = { ...shape, rides: grown };
    }
  });
  drawJoints(pen, m, places);
}

/** The gap between plates into which a point at this height falls: plates below it, 0 to all. */
export function gapAt({ layers }: HalfSection, y: number): number {
  return layers.filter((s) => s.row.y + s.row.height / 2 > y).length;
}

/** Height of a gap between plates, where a plate that is dragged would go in. */
export function gapHeight({ layers, floor }: HalfSection, gap: number): number {
  return layers[gap - 1]?.row.y ?? floor;
}
