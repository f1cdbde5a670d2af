import type { Mm } from '@/core/units/quantity';

import type { Measures } from './measures';
import type { Pen, Point } from './shape';

/** Under the plane of the hub floor: the floor itself, and the floor of the basket. */
export const HUB_FLOOR: Mm = 5;
const BASKET_FLOOR = { high: -8, low: -11 } as const;
/** The slots of the basket end a little under the hub floor. */
const SLOT_FLOOR: Mm = -2;

/** The basket: its floor, and a finger beside the slot in which the tangs run. */
export function drawBasket(pen: Pen, m: Measures, offset: { readonly low: Mm } | undefined): void {
  const faint = m.assumed.fingers;
  pen.box('finger', [m.fingerOut, m.fingerIn], [SLOT_FLOOR, m.fingerTop], { faint });
  if (offset)
    // The short slots, half a pitch on, for the last disc.
    pen.box('slot', [m.fingerOut, m.fingerIn], [offset.low - 0.5, m.fingerTop], { faint });
  const { high, low } = BASKET_FLOOR;
  pen.area('basket', [
    [m.fingerOut, SLOT_FLOOR],
    [m.fingerIn, SLOT_FLOOR],
    [m.fingerIn, high],
    [m.shaft + 1, high],
    [m.shaft + 1, low - 3],
    [m.boss, low - 3],
    [m.boss, low],
    [m.fingerOut, low],
  ]);
  // The thrust washer between hub and basket.
  pen.box('bolt', [m.boss, m.shaft], [BASKET_FLOOR.high, -HUB_FLOOR]);
}

/** A hub in two halves: the radius of its ramps, and the rise by which the inner half moves. */
export interface HubRamps {
  readonly radius: Mm;
  readonly rides: number;
  readonly faint: boolean;
}

/** Across a ramp from its foot to its top, and between the halves. */
const RAMP = { slope: 3.5, gap: 1.2 } as const;

/** The hub: floor, wall with its spline, boss and nut, and the shaft that carries it. */
export function drawHub(pen: Pen, m: Measures, foot: Mm, ramps?: HubRamps): void {
  const faint = m.assumed.spline;
  const bossTop = Math.min(m.stack * 0.4, 14);
  const boss: Point[] = [
    [m.boss, 0],
    [m.boss, bossTop],
    [m.shaft, bossTop],
    [m.shaft, -HUB_FLOOR],
  ];
  if (ramps) {
    const r = Math.min(m.hubIn - RAMP.slope, Math.max(m.boss + RAMP.slope + 1, ramps.radius));
    pen.area('hub', [
      [m.liningOut, -HUB_FLOOR],
      [m.liningOut, 0],
      [r + RAMP.slope / 2, 0],
      [r - RAMP.slope / 2, -HUB_FLOOR],
    ]);
    pen
      .of('ramps', { rides: ramps.rides, faint: ramps.faint })
      .area('hub', [
        [r + RAMP.slope / 2 - RAMP.gap, 0],
        ...boss,
        [r - RAMP.slope / 2 - RAMP.gap, -HUB_FLOOR],
      ]);
  } else pen.area('hub', [[m.liningOut, -HUB_FLOOR], [m.liningOut, 0], ...boss]);
  pen.box('hub', [m.steelIn - 0.4, m.hubIn], [0, m.splineTop], { faint });
  pen.box('spline', [m.splineOut, m.steelIn - 0.4], [0, m.splineTop], { faint });
  pen.box('bolt', [m.shaft + 4 * m.k, m.shaft], [bossTop, bossTop + 4]);
  const shaft = pen.of('shaft');
  shaft.box('shaft', [m.shaft, m.rod + m.k], [foot, bossTop + 5]);
  shaft.line('axis', [
    [0, foot],
    [0, m.fingerTop + 22],
  ]);
}

/** The pressure plate with its cups, if the springs have cups, riding on the pack. */
export function drawPressurePlate(
  pen: Pen,
  m: Measures,
  cup: { readonly radius: Mm; readonly half: Mm; readonly floor: Mm } | undefined,
): void {
  const { stack, plate } = m;
  const web: Point = [stack + plate - 3, stack + plate];
  pen.box('plate', [m.liningOut, m.liningIn - 1], [stack, stack + plate]);
  const inner = 9 * m.k;
  if (!cup) {
    pen.box('plate', [m.liningIn - 1, inner], web);
    return;
  }
  const [outside, inside] = [cup.radius + cup.half, cup.radius - cup.half];
  pen.box('plate', [m.liningIn - 1, outside], web);
  pen.box('plate', [inside, inner], web);
  // The cup hangs from the web, or rises from it.
  const walls: Point = [Math.min(cup.floor - 2, web[0]), Math.max(cup.floor, web[1])];
  pen.box('plate', [outside + 1.5, outside], walls);
  pen.box('plate', [inside, inside - 1.5], walls);
  // A bolt's post passes its floor.
  const hole = Math.min(cup.half - 1.5, 4.2 * m.k);
  pen.box('plate', [outside, cup.radius + hole], [cup.floor - 2, cup.floor]);
  pen.box('plate', [cup.radius - hole, inside], [cup.floor - 2, cup.floor]);
}
