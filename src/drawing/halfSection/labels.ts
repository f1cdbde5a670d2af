import { spreadLabels } from '../spreadLabels';

import type { HalfSection } from './halfSection';

/** Least and usual distance of labels, px. */
const CLOSEST = 12;
const USUAL = 17;
/** Over the first label there is room for the stack's dimension. */
const ABOVE = 30;

export interface LabelPlaces {
  /** Middle of each layer's label, from the hub floor outward. */
  readonly at: readonly number[];
  readonly size: number;
  /** The lines from labels to layers, as the data of a path. */
  readonly leaders: string;
}

/** The height that a drawing needs so that no label covers the next. */
export const heightForLabels = (layers: number): number => layers * CLOSEST + ABOVE + 16;

/**
 * Places the labels of the layers beside a drawing, each as near to its layer as the others let it.
 * @param rises of the layers, as drawn
 * @param from where the lines begin, at the labels
 */
export function placeLabels(
  { layers, height }: HalfSection,
  rises: readonly number[],
  from: number,
): LabelPlaces {
  const mids = layers.map(({ layer, row }) => row.y + row.height / 2 - (rises[layer.number] ?? 0));
  const gap = Math.max(
    CLOSEST,
    Math.min(USUAL, (height - ABOVE - 16) / Math.max(1, layers.length)),
  );
  const at = spreadLabels(mids, gap, ABOVE, height - 8);
  return {
    at,
    size: gap < 15 ? 11 : 13,
    leaders: layers
      .map(({ edge }, i) => {
        const [label, mid] = [at[i] ?? 0, mids[i] ?? 0];
        return `M${from} ${label}L${from + 10} ${mid}H${edge}`;
      })
      .join(''),
  };
}

/** What the drawing does not show as it is, in one line: "Heights drawn 1.5 times as large as radii". */
export function drawingNote(
  { across, up, layers, shapes }: HalfSection,
  wearScale: number,
): string {
  const times = up / across;
  return [
    Math.abs(times - 1) < 0.05
      ? 'Heights and radii to one scale'
      : `Heights drawn ${times.toFixed(1)} times as large as radii`,
    layers.some((l) => l.worn) ? `wear ${wearScale} times as deep, in the outline of new` : '',
    shapes.some((s) => s.faint) ? 'dashed parts are assumed' : '',
  ]
    .filter(Boolean)
    .join('; ');
}
