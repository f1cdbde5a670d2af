import type { PackLayer, PackLayout } from '@/core/evaluate/engine/layers';

/** Special features of a layer for its label: "judder spring, pair with 9". */
export function marksOf(layer: PackLayer, layout: PackLayout, expands: boolean): readonly string[] {
  const { plate, kind } = layer;
  const next = layout.layers[layer.number];
  const pair =
    layer.lined !== 'none' && next?.lined !== 'none' && next?.turnsWith === layer.turnsWith;
  return [
    ...(plate.judder ? ['judder spring'] : []),
    ...(pair ? [`pair with ${layer.number + 1}`] : []),
    ...(expands ? ['expands'] : []),
    ...(plate.offsetSlot ? ['offset slot'] : []),
    ...(plate.facing
      ? [`faces ${plate.facing}`]
      : kind.directional
        ? ['directional, facing missing']
        : []),
  ];
}
