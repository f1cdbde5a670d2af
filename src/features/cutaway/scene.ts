import type { Cutaway } from '@/core/takeoff/cutaway';
import type { Mm } from '@/core/units/quantity';
import type { SectionShape } from '@/drawing/sectionShape';
import { openedBy, shapeSection } from '@/drawing/sectionShape';

/* Layout of the cutaway: closed, and with the pack open. */

/** Beside the layers: the basket's wall to the left, the hub's and the rod to the right. */
const BASKET = 20;
const HUB = 12;
const ROD = 30;
/** Over the ridge the seat of the springs, under the floor the arm that pushes the rod. */
const SEAT = 10;
const ARM = 34;

export interface Scene {
  readonly width: number;
  readonly height: number;
  /** The closed section and its origin. */
  readonly shape: SectionShape;
  readonly left: number;
  readonly top: number;
  readonly basket: { readonly x: number; readonly width: number };
  readonly hub: { readonly x: number; readonly width: number };
  readonly rod: { readonly x: number };
  /** Height of the springs' fixed seat, and of the ridge's foot at rest. */
  readonly seat: number;
  readonly ridgeFoot: number;
  readonly ridgeTop: number;
  readonly floor: number;
  /** How high the walls of basket and hub reach: as high as the pack ever opens. */
  readonly wallTop: number;
  /** The layer above each friction face, by number. */
  readonly faces: readonly number[];
  /** Pixels for a millimetre of room between plates. */
  readonly openScale: number;
  /** Rise in pixels of each layer by number, the pressure plate last, for room between the plates and a disc grown by so much. */
  rises(opening: Mm, growth: Mm): readonly number[];
}

/** @param enlarge times as wide as they are, gaps are drawn */
export function sceneOf(cutaway: Cutaway, width: number, height: number, enlarge: number): Scene {
  const { layout, widest, expanding } = cutaway;
  const drawn = width - BASKET - HUB - ROD;
  const shape = shapeSection(layout, drawn, height - SEAT - ARM, {
    room: widest * enlarge,
    expanding,
  });
  const ridgeFoot = SEAT + shape.pressurePlate.y;
  const openScale = shape.pixelsPerMm * enlarge;
  const expands = shape.layers.findIndex((s) => s.expands) + 1;
  return {
    width,
    height: SEAT + shape.height + ARM,
    shape,
    left: BASKET,
    top: SEAT,
    basket: { x: 0, width: BASKET - 2 },
    hub: { x: BASKET + drawn + 1, width: HUB },
    rod: { x: BASKET + drawn + HUB + 8 },
    seat: SEAT / 2,
    ridgeFoot,
    ridgeTop: Math.min(...shape.ridge.map(([, y]) => y)),
    floor: SEAT + shape.floor.y,
    wallTop: SEAT + (shape.layers.at(-1)?.row.y ?? 0) - widest * openScale,
    faces: layout.slipping.map((f) => f.above),
    openScale,
    rises(opening, growth) {
      const opened = openedBy(layout, opening);
      let up = 0;
      return Array.from({ length: layout.layers.length + 1 }, (_, i) => {
        up += (opened.get(i + 1) ?? 0) * openScale;
        // Layers on the expanding disc rise with its growth.
        if (expands > 0 && i === expands) up += growth * openScale;
        return up;
      });
    },
  };
}
