import type { LinedFaces, Member } from '../job/types';
import type { Mm } from '../units/quantity';

/** The data of a plate, hub floor or pressure plate that decide about faces. */
export interface Layer {
  readonly turnsWith: Member;
  readonly lined: LinedFaces;
  readonly outerRadius?: Mm | undefined;
  readonly innerRadius?: Mm | undefined;
}

/** Where two neighbours meet. Layer 0 is the hub floor, layers 1..m the plates, m+1 the pressure plate. */
export interface Face {
  /** Index of the layer on the hub floor's side. */
  readonly below: number;
  readonly above: number;
  /**
   * `slipping` carries torque; `together` turns as one and carries nothing; `metal` slips unlined on
   * unlined, which no pack may do.
   */
  readonly kind: 'slipping' | 'together' | 'metal';
  /** Contact annulus: the lesser of the outer radii, the greater of the inner. Absent while unknown. */
  readonly outerRadius?: Mm | undefined;
  readonly innerRadius?: Mm | undefined;
}

/**
 * Finds the friction faces of a pack from the hub floor outward.
 *
 * Counts from the order of the plates instead of a rule such as "two per friction disc", because two
 * discs side by side turn together and a pack may begin or end with either sort.
 *
 * Radii in mm; a layer without radii (hub floor, pressure plate) limits nothing. Never throws.
 * Source: multi-plate clutch geometry, machine-element textbooks; `docs/mechanics.md` section 2.
 * @example frictionFaces({ turnsWith: 'hub', lined: 'none' }, [{ turnsWith: 'basket', lined: 'both' }], { turnsWith: 'hub', lined: 'none' }).length // 2
 */
export function frictionFaces(
  floor: Layer,
  plates: readonly Layer[],
  pressurePlate: Layer,
): Face[] {
  const layers = [floor, ...plates, pressurePlate];
  const faces: Face[] = [];
  for (let below = 0; below + 1 < layers.length; below++) {
    const a = layers[below];
    const b = layers[below + 1];
    if (!a || !b) break;
    const slips = a.turnsWith !== b.turnsWith;
    const lined = linedOutward(a.lined) || linedInward(b.lined);
    faces.push({
      below,
      above: below + 1,
      kind: slips ? (lined ? 'slipping' : 'metal') : 'together',
      outerRadius: least(a.outerRadius, b.outerRadius),
      innerRadius: maximum(a.innerRadius, b.innerRadius),
    });
  }
  return faces;
}

/**
 * Whether the face that looks to the pressure plate carries lining.
 * @example linedOutward('both') // true
 */
export function linedOutward(lined: LinedFaces): boolean {
  return lined === 'both' || lined === 'outer';
}

/**
 * Whether the face that looks to the hub floor carries lining.
 * @example linedInward('both') // true
 */
export function linedInward(lined: LinedFaces): boolean {
  return lined === 'both' || lined === 'inner';
}

function least(a: Mm | undefined, b: Mm | undefined): Mm | undefined {
  return a === undefined ? b : b === undefined ? a : Math.min(a, b);
}

function maximum(a: Mm | undefined, b: Mm | undefined): Mm | undefined {
  return a === undefined ? b : b === undefined ? a : Math.max(a, b);
}
