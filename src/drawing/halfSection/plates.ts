import type { PackLayer, PackLayout } from '@/core/evaluate/engine/layers';
import { warpOf } from '@/core/evaluate/engine/layers';
import { linedInward, linedOutward } from '@/core/pack/faces';
import type { Mm } from '@/core/units/quantity';

import type { Measures } from './measures';
import { heightOf, LINING_SHARE } from './measures';
import type { Pen, Point } from './shape';

/** Wear is drawn so many times deeper than it is: to scale it would be thinner than a line. */
export const WEAR_SCALE = 10;
/** So is out-of-flat, as the wave of a plate's middle. */
const WARP_SCALE = 10;
const GROOVE_STEP: Mm = 2.6;
/** Of its thickness a plate must keep on its spline at full lift, to be drawn as held. */
const HELD = 0.6;

/** Place of a layer in the closed pack. */
export interface Place {
  readonly layer: PackLayer;
  readonly low: Mm;
  readonly high: Mm;
  readonly expands: boolean;
}

interface Wearing {
  /** Wear of the whole pack beyond the measured wear. */
  readonly wear: Mm;
  readonly expanding: boolean;
}

/** Where each layer is while the pack is closed, from the hub floor outward. */
export function placesOf(layout: PackLayout, { wear, expanding }: Wearing): readonly Place[] {
  const worn = wearing(layout, wear);
  const last = layout.layers.findLast((l) => l.turnsWith === 'basket');
  let low = 0;
  return layout.layers.map((layer) => {
    const high = low + heightOf(layer) - (worn.get(layer.number) ?? 0);
    const place = { layer, low, high, expands: expanding && layer === last };
    low = high;
    return place;
  });
}

/** Draws a plate: core with tangs, linings with grooves, outline of new, and its special marks. */
export function drawPlate(pen: Pen, m: Measures, place: Place, full: Mm, lost: Mm): void {
  const { layer, low, high } = place;
  const { plate, lined } = layer;
  const out = layer.outerRadius ?? m.liningOut;
  const within = layer.innerRadius ?? m.liningIn;
  const height = high - low;
  const lining = height * LINING_SHARE;
  const [under, over] = [linedInward(lined), linedOutward(lined)];
  const basket = layer.turnsWith === 'basket';
  const coreOut = basket ? (plate.offsetSlot ? m.fingerIn + 0.6 : m.tangTip) : out + 0.4;
  const coreIn = basket ? within - 0.4 : m.steelIn;
  const coreLow = low + (under ? lining : 0);
  const coreHigh = high - (over ? lining : 0);
  pen.box(under || over || basket ? 'core' : 'steel', [coreOut, coreIn], [coreLow, coreHigh]);
  // The tang of an offset disc is behind the finger, half a pitch on.
  if (basket && plate.offsetSlot) pen.box('hidden', [m.tangTip, m.fingerIn], [coreLow, coreHigh]);
  const rings = [
    ...(under ? [{ low, high: low + lining, foot: true }] : []),
    ...(over ? [{ low: high - lining, high, foot: false }] : []),
  ];
  const gone = Math.min(lining * 0.9, (lost / Math.max(1, rings.length)) * WEAR_SCALE);
  for (const ring of rings) {
    const from = ring.low + (ring.foot ? gone : 0);
    const to = ring.high - (ring.foot ? 0 : gone);
    pen.box('lining', [out, within], [from, to]);
    pen.paths('groove', grooves(out, within, from, to), { open: true });
    if (gone > 0.02) pen.box('ghost', [out, within], [ring.low, ring.high]);
  }
  if (layer.outOfFlat > 0)
    pen.line('warp', wave(out, within, (low + high) / 2, warpHeight(layer, height)));
  pen.line('edge', [
    [coreOut, high],
    [coreIn, high],
  ]);
  if (place.expands)
    // Weights between its two halves press them apart.
    for (const share of [0.25, 0.5, 0.75])
      pen.round('weight', [within + (out - within) * share, (low + high) / 2], height * 0.2);
  if (plate.judder)
    pen.line('judder', wave(within - 0.6, m.splineOut + 0.6, (low + high) / 2, height * 0.2));
  if (plate.facing) {
    const up = plate.facing === 'outward' ? 1 : -1;
    const mid = (low + high) / 2;
    const at = out - 2 * m.k;
    pen.area('pointer', [
      [at + 1.2, mid - up * height * 0.3],
      [at, mid + up * height * 0.34],
      [at - 1.2, mid - up * height * 0.3],
    ]);
  }
  const end = basket ? m.fingerTop : m.splineTop;
  const assumed = basket ? m.assumed.fingers : m.assumed.spline;
  if (!assumed && end - (low + full) < height * HELD)
    pen.box('fault', basket ? [m.tangTip, m.fingerIn] : [m.splineOut, m.steelIn], [
      coreLow,
      coreHigh,
    ]);
}

/** Marks where two neighbours turn together, or slip metal on metal. */
export function drawJoints(pen: Pen, m: Measures, places: readonly Place[]): void {
  const met = m.layout.faces.filter(
    (f) => f.kind !== 'slipping' && f.below > 0 && f.above <= places.length,
  );
  for (const { above, kind } of met) {
    const at = places[above - 1]?.low ?? 0;
    pen.line(
      kind === 'metal' ? 'fault' : 'joint',
      [
        [m.liningOut, at],
        [m.liningIn, at],
      ],
      { rides: above },
    );
  }
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

/** Wear of the whole pack, shared by the lined plates that slip, by number. */
export function wearing(layout: PackLayout, wear: Mm): ReadonlyMap<number, Mm> {
  if (wear <= 0) return new Map();
  const slipping = new Set(layout.slipping.flatMap((f) => [f.below, f.above]));
  const discs = layout.layers.filter((l) => l.lined !== 'none' && slipping.has(l.number));
  return new Map(
    discs.map((l) => [l.number, Math.min(wear / discs.length, heightOf(l) * LINING_SHARE * 2)]),
  );
}

/** Wear of a measured disc, mm; 0 while unknown. */
export function wearOf({ measured, thickness, kind }: PackLayer): Mm {
  return measured && thickness !== undefined && kind.thickness
    ? Math.max(0, kind.thickness.value - thickness)
    : 0;
}

const warpHeight = (layer: PackLayer, height: Mm): Mm =>
  Math.min(height * 0.4, layer.outOfFlat * WARP_SCALE);

function wave(outer: Mm, inner: Mm, middle: Mm, up: Mm): Point[] {
  return Array.from({ length: 9 }, (_, i): Point => [
    outer + ((inner - outer) * i) / 8,
    middle + up * Math.sin((i * Math.PI) / 2),
  ]);
}

function grooves(outer: Mm, inner: Mm, low: Mm, high: Mm): Point[][] {
  const n = Math.max(1, Math.floor((outer - inner) / GROOVE_STEP));
  return Array.from({ length: n }, (_, i): Point[] => {
    const at = inner + ((outer - inner) * (i + 1)) / (n + 1);
    return [
      [at, low],
      [at, high],
    ];
  });
}
