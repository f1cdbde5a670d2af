import { layOut } from '@/core/evaluate/engine/layers';
import type { Job, Member } from '@/core/job/types';
import type { Mm } from '@/core/units/quantity';

import type { Point, Shape } from './shape';
import { Pen } from './shape';

/** A tang between two fingers, or a tooth of the spline between two of a steel's, seen from the cover. */
export interface TangDetail {
  readonly shapes: readonly Shape[];
  readonly height: number;
  /** Of the loosest plate; absent while none is measured. */
  readonly clearance: Mm | undefined;
  readonly notch: Mm | undefined;
  /** The measures as lines, where there is something to measure. */
  readonly lines: readonly {
    readonly name: 'clearance' | 'notch';
    readonly from: Point;
    readonly to: Point;
  }[];
}

/** Nobody measures the width of a tang: only the play beside it is to scale. */
const TANG: Mm = 9;
const SIDE: Mm = 7;
const DEEP: Mm = 5;
const ASSUMED_PLAY: Mm = 0.2;

/** Draws the slot clearance and the notches of basket or hub to one large scale. */
export function drawTangDetail(job: Job, member: Member, width: number): TangDetail {
  const clearances = layOut(job).layers.flatMap((l) =>
    l.turnsWith === member ? (l.plate.tangClearance?.value ?? []) : [],
  );
  const clearance = clearances.length > 0 ? Math.max(...clearances) : undefined;
  const notch = (member === 'basket' ? job.inspection.basketNotch : job.inspection.hubNotch)?.value;
  const play = clearance ?? ASSUMED_PLAY;
  const scale = width / (2 * SIDE + TANG + play);
  const [flank, back] = [SIDE, SIDE + TANG + play];
  const pen = new Pen(member === 'basket' ? 'basket' : 'hub');
  const own = member === 'basket' ? 'basket' : 'hub';
  const deep = Math.min(SIDE * 0.8, notch ?? 0);
  // The driven flank, with the notch that the plates have hammered into it.
  pen.area(own, [
    [0, 0],
    [flank, 0],
    [flank, DEEP * 0.3],
    [flank - deep, DEEP * 0.35],
    [flank - deep, DEEP * 0.65],
    [flank, DEEP * 0.7],
    [flank, DEEP],
    [0, DEEP],
  ]);
  pen.box(own, [back, back + SIDE], [0, DEEP]);
  pen.box(member === 'basket' ? 'core' : 'steel', [flank, flank + TANG], [DEEP * 0.3, DEEP * 0.7], {
    faint: clearance === undefined,
  });
  const height = DEEP * scale;
  const at = (x: Mm, y: Mm): Point => [x * scale, height - y * scale];
  return {
    shapes: pen.drawn.map((s) => ({
      ...s,
      paths: s.paths.map((path) => path.map(([x, y]) => at(x, y))),
    })),
    height,
    clearance,
    notch,
    lines: [
      ...(clearance === undefined
        ? []
        : [
            { name: 'clearance' as const, from: at(back - play, DEEP / 2), to: at(back, DEEP / 2) },
          ]),
      ...(notch === undefined
        ? []
        : [{ name: 'notch' as const, from: at(flank - deep, DEEP / 2), to: at(flank, DEEP / 2) }]),
    ],
  };
}
