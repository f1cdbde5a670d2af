import { upperFirst } from '@/core/text/sentence';
import { fieldPath } from '@/core/job/fieldPath';
import type { Entry, Job, Plate, PlateKind } from '@/core/job/types';
import { readingsOf } from '@/core/job/types';
import type { Face, Layer } from '@/core/pack/faces';
import { frictionFaces } from '@/core/pack/faces';
import { summarizeReadings } from '@/core/pack/stack';
import type { Mm } from '@/core/units/quantity';

/** One plate with its type and its place in the pack. */
export interface PackLayer extends Layer {
  readonly plate: Plate;
  readonly kind: PlateKind;
  /** 1 for the plate on the hub floor. */
  readonly number: number;
  /** Mean of the readings, else the kind's thickness. */
  readonly thickness?: Mm | undefined;
  readonly measured: boolean;
  /** Height of its underside over the hub floor, while every plate below has a thickness. */
  readonly bottom?: Mm | undefined;
  readonly outOfFlat: Mm;
}

export interface PackLayout {
  readonly layers: readonly PackLayer[];
  readonly faces: readonly Face[];
  /** The faces that carry torque, from the hub floor outward. */
  readonly slipping: readonly Face[];
}

/**
 * Lays the plates of a job out from the hub floor outward. Plates of a kind that is not there are left out.
 * @example layOut(job).slipping.length // 16
 */
export function layOut(job: Job): PackLayout {
  const kinds = new Map(job.pack.kinds.map((k) => [k.id, k]));
  const layers: PackLayer[] = [];
  let bottom: Mm | undefined = 0;
  for (const plate of job.pack.plates) {
    const kind = kinds.get(plate.kindId);
    if (!kind) continue;
    const readings = readingsOf(plate);
    const measured = readings.length > 0;
    const thickness: Mm | undefined = measured
      ? summarizeReadings(readings.map((r: Entry) => r.value)).mean
      : kind.thickness?.value;
    layers.push({
      plate,
      kind,
      number: layers.length + 1,
      thickness,
      measured,
      bottom,
      outOfFlat: plate.outOfFlat?.value ?? 0,
      turnsWith: kind.turnsWith,
      lined: kind.lined,
      outerRadius: kind.outerRadius?.value,
      innerRadius: kind.innerRadius?.value,
    });
    bottom = bottom === undefined || thickness === undefined ? undefined : bottom + thickness;
  }
  const faces = frictionFaces({ turnsWith: job.pack.floorTurnsWith, lined: 'none' }, layers, {
    turnsWith: job.pack.pressurePlateTurnsWith,
    lined: 'none',
  });
  return { layers, faces, slipping: faces.filter((f) => f.kind === 'slipping') };
}

/**
 * Total out-of-flat of all plates: the lift used before any face has clearance.
 * @example warpOf(layout) // 0
 */
export const warpOf = ({ layers }: Pick<PackLayout, 'layers'>): Mm =>
  layers.reduce((sum, l) => sum + l.outOfFlat, 0);

/**
 * The plate at layer index `index` of a face (0 is the hub floor), if it is a plate.
 * @example plateAt(layout, 1).thickness // 2.98
 */
export function plateAt(layout: PackLayout, index: number): PackLayer | undefined {
  return layout.layers[index - 1];
}

/**
 * The field with the new thickness of a layer's type.
 * @example thicknessPath(layout.layers[0]) // "pack.kinds.disc.thickness"
 */
export const thicknessPath = ({ kind }: Pick<PackLayer, 'kind'>) =>
  fieldPath('pack.kinds.*.thickness', kind.id);

/**
 * Two neighbours of the pack in words: "Plate 3 and plate 4".
 * @example between(layout, 0, 1) // "The hub floor and plate 1"
 */
export function between(layout: PackLayout, below: number, above: number): string {
  const name = (index: number) => {
    const layer = plateAt(layout, index);
    return layer ? `plate ${layer.number}` : index === 0 ? 'the hub floor' : 'the pressure plate';
  };
  const text = `${name(below)} and ${name(above)}`;
  return upperFirst(text);
}
