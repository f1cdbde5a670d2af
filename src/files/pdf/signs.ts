import type { ContentCanvas } from 'pdfmake/interfaces';

import type { PaperStep, PaperVerdict } from '@/core/paper/paper';
import { LIMESTONE as C } from '@/drawing/palette';

/* The signs of a sheet, as shapes: print has no colour. */

export type Shapes = ContentCanvas['canvas'];

const WHITE = '#FFFFFF';
const stroke = (points: readonly (readonly [number, number])[], lineColor: string): Shapes[0] => ({
  type: 'polyline',
  points: points.map(([x, y]) => ({ x, y })),
  lineWidth: 1.2,
  lineColor,
});
const disc = (color: string, filled: boolean): Shapes[0] => ({
  type: 'ellipse',
  x: 5,
  y: 5,
  r1: 4.2,
  r2: 4.2,
  lineColor: color,
  ...(filled ? { color } : {}),
});
const area = (points: readonly (readonly [number, number])[], color: string): Shapes[0] => ({
  type: 'polyline',
  closePath: true,
  points: points.map(([x, y]) => ({ x, y })),
  lineWidth: 0,
  color,
});
const TICK = [
  [2.6, 5.2],
  [4.3, 6.9],
  [7.4, 3.4],
] as const;

/** State by shape as well as by word: print has no colour. Plain shapes, which cost a tenth of an SVG each. */
export const STATE_SHAPE: Readonly<Record<PaperVerdict['state'], Shapes>> = {
  good: [disc(C.good, true), stroke(TICK, WHITE)],
  watch: [
    area(
      [
        [5, 0.3],
        [9.7, 5],
        [5, 9.7],
        [0.3, 5],
      ],
      C.watch,
    ),
    stroke(
      [
        [5, 2.6],
        [5, 5.8],
      ],
      WHITE,
    ),
    stroke(
      [
        [5, 6.8],
        [5, 7.4],
      ],
      WHITE,
    ),
  ],
  stop: [
    area(
      [
        [3.2, 0.8],
        [6.8, 0.8],
        [9.2, 3.2],
        [9.2, 6.8],
        [6.8, 9.2],
        [3.2, 9.2],
        [0.8, 6.8],
        [0.8, 3.2],
      ],
      C.stop,
    ),
    stroke(
      [
        [3.4, 3.4],
        [6.6, 6.6],
      ],
      WHITE,
    ),
    stroke(
      [
        [6.6, 3.4],
        [3.4, 6.6],
      ],
      WHITE,
    ),
  ],
  unknown: [
    disc(C.soft, false),
    stroke(
      [
        [3.4, 5],
        [6.6, 5],
      ],
      C.soft,
    ),
  ],
};

const SQUARE: Shapes[0] = {
  type: 'rect',
  x: 1,
  y: 1,
  w: 8,
  h: 8,
  lineWidth: 0.8,
  lineColor: C.ink,
};

export const BOX: Readonly<Record<PaperStep['mark'], Shapes>> = {
  done: [SQUARE, stroke(TICK, C.ink)],
  open: [SQUARE],
  skipped: [
    SQUARE,
    stroke(
      [
        [3, 5],
        [7, 5],
      ],
      C.ink,
    ),
  ],
  failed: STATE_SHAPE.stop,
  changed: STATE_SHAPE.watch,
};
