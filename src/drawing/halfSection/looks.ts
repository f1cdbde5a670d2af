import type { Strata } from '../palette';

import type { Look, Shape } from './shape';
import { pathOf } from './shape';

interface Paint {
  readonly fill?: keyof Strata;
  readonly stroke?: keyof Strata;
  readonly width?: number;
  readonly dash?: string;
  readonly opacity?: number;
}

/** How each material is painted, in the order from back to front. */
const LOOKS: Readonly<Record<Look, Paint>> = {
  finger: { fill: 'ochreDeep', opacity: 0.6 },
  basket: { fill: 'ochreDeep' },
  shaft: { fill: 'line' },
  hub: { fill: 'floor' },
  spline: { fill: 'floor', opacity: 0.55 },
  bolt: { fill: 'soft' },
  plate: { fill: 'slate' },
  core: { fill: 'ochreDeep' },
  steel: { fill: 'steel' },
  lining: { fill: 'ochre' },
  groove: { stroke: 'groove', width: 1 },
  ghost: { stroke: 'ochre', width: 0.8, dash: '3 2' },
  edge: { stroke: 'ground', width: 0.8 },
  warp: { stroke: 'ink', width: 0.8 },
  joint: { stroke: 'ink', width: 3 },
  judder: { stroke: 'ink', width: 1.4 },
  hidden: { stroke: 'ochreDeep', width: 1, dash: '3 2' },
  wire: { stroke: 'slate', width: 2, opacity: 0.7 },
  weight: { fill: 'ink' },
  spring: { fill: 'slate', stroke: 'ground', width: 0.7 },
  rod: { fill: 'ink' },
  bearing: { fill: 'soft' },
  slot: { fill: 'ground' },
  pointer: { fill: 'ground', stroke: 'ink', width: 1 },
  fault: { stroke: 'stop', width: 2.4 },
  axis: { stroke: 'soft', width: 1, dash: '12 3 3 3' },
};
const ORDER = Object.keys(LOOKS) as Look[];

/** One path to be painted: every shape of one look that moves alike. */
export interface Painted {
  readonly key: string;
  readonly d: string;
  readonly fill: string;
  readonly stroke: string | undefined;
  readonly width: number;
  readonly dash: string | undefined;
  readonly opacity: number;
}

/**
 * Shapes as a few paths from back to front: shapes by the hundred are slow to lay out on a phone.
 * @param rises pixels by which each rider has risen, as {@link pathOf} takes them
 */
export function painted(
  shapes: readonly Shape[],
  strata: Strata,
  rises: readonly number[] = [],
): readonly Painted[] {
  const groups = new Map<string, { look: Look; faint: boolean; d: string }>();
  for (const shape of shapes) {
    const key = `${shape.look}${shape.faint ? ' faint' : ''}`;
    const group = groups.get(key) ?? { look: shape.look, faint: shape.faint, d: '' };
    group.d += pathOf(shape, rises);
    groups.set(key, group);
  }
  return [...groups]
    .sort(([, a], [, b]) => ORDER.indexOf(a.look) - ORDER.indexOf(b.look))
    .map(([key, { d, ...of }]) => ({ key, d, ...paintOf(of, strata) }));
}

/** The colours of a look; what is assumed is fainter, in a dashed outline. */
export function paintOf(
  { look, faint }: Pick<Shape, 'look' | 'faint'>,
  strata: Strata,
): Omit<Painted, 'key' | 'd'> {
  const paint = LOOKS[look];
  const outline = faint && paint.fill ? paint.fill : paint.stroke;
  return {
    fill: paint.fill ? strata[paint.fill] : 'none',
    stroke: outline && strata[outline],
    width: faint && paint.fill ? 1 : (paint.width ?? 1),
    dash: faint ? '3 2' : paint.dash,
    opacity: (paint.opacity ?? 1) * (faint ? 0.6 : 1),
  };
}
