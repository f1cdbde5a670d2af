import type { PlateKind } from '@/core/job/types';
import type { Face } from '@/core/pack/faces';
import { linedInward, linedOutward } from '@/core/pack/faces';
import type { Capacity, FrictionFace } from '@/core/torque/capacity';
import { packCapacity } from '@/core/torque/capacity';
import { effectiveRadius } from '@/core/torque/radius';
import type { Newton, NewtonMetre } from '@/core/units/quantity';
import type { PackLayout } from '@/core/evaluate/engine/layers';
import { plateAt } from '@/core/evaluate/engine/layers';
import type { Sheet } from '@/core/evaluate/engine/sheet';
import type { Term } from '@/core/evaluate/engine/term';
import type { Level } from './torqueTerms';
import { linedKinds, radiusTerms, frictionTerms, tangTerms } from './torqueTerms';
import { valueOf, valueIfKnown } from '../engine/term';
import { fittedKinds } from '@/core/clutch/fitted';
import type { Driven } from '@/core/clutch/kind';

/** Inputs of the pack's torque: its terms, and its capacity for any clamp. */
export interface TorqueChain {
  readonly faces: readonly Face[];
  /** The kinds whose lining slips. */
  readonly lined: readonly PlateKind[];
  readonly radii: ReadonlyMap<string, Term>;
  readonly frictions: ReadonlyMap<string, Readonly<Record<Level, Term>>>;
  readonly tangs: ReadonlyMap<string, Term>;
  readonly tangFriction: Term;
  /** What multiplies the held torque by itself. */
  readonly driven: readonly Driven[];
  /** Torque held for each newton without that, with tang friction. */
  readonly plainUnit: (level: Level) => NewtonMetre;
  /** Torque held at a clamp. @throws {DomainError} for values that the formulas do not take */
  readonly torqueAt: (level: Level, clamp: Newton, withTangs: boolean) => NewtonMetre;
  /** @throws {DomainError} for values that the formulas do not take */
  readonly capacityAt: (level: Level, clamp: number, withTangs: boolean) => Capacity;
}

/**
 * Collects the chain of friction faces, from the pressure plate inward.
 * @example torqueChain(sheet, layout).torqueAt('Low', 1600, true) // 122.72
 */
export function torqueChain(sheet: Sheet, layout: PackLayout): TorqueChain {
  const faces = [...layout.slipping].reverse();
  const tangFriction = sheet.entry('pack.tangFriction');
  const lined = linedKinds(layout);
  const radii = radiusTerms(sheet, lined);
  const frictions = frictionTerms(sheet, layout);
  const tangs = tangTerms(sheet, layout);
  const radiiKnown = [...radii.values()].every((t) => t.known);
  const model = sheet.job.pack.radiusModel;

  // Face data do not depend on the friction level, so they are made once. They are made lazily, inside the figure that
  // contradicting radii then make unknown.
  // first asked for, inside the figure that a contradiction of radii then makes unknown.
  const makeParts = () =>
    faces.map((f) => {
      const below = plateAt(layout, f.below);
      const above = plateAt(layout, f.above);
      return {
        radius: radiiKnown
          ? effectiveRadius(f.outerRadius ?? Number.NaN, f.innerRadius ?? Number.NaN, model)
          : Number.NaN,
        linedBelow: below && linedOutward(below.lined) ? frictions.get(below.kind.id) : undefined,
        linedAbove: above && linedInward(above.lined) ? frictions.get(above.kind.id) : undefined,
        tangRadiusBelow: below && valueIfKnown(tangs.get(below.kind.id)),
        tangRadiusAbove: above && valueIfKnown(tangs.get(above.kind.id)),
      };
    });
  let parts: ReturnType<typeof makeParts> | undefined;
  const chains = new Map<Level, readonly FrictionFace[]>();
  const chainAt = (level: Level): readonly FrictionFace[] => {
    const made = chains.get(level);
    if (made) return made;
    const chain = (parts ??= makeParts()).map(
      ({ radius, linedBelow, linedAbove, tangRadiusBelow, tangRadiusAbove }): FrictionFace => ({
        radius,
        // Lining on lining slips on the weaker of the two.
        friction: Math.min(
          linedBelow ? valueOf(linedBelow[level]) : Infinity,
          linedAbove ? valueOf(linedAbove[level]) : Infinity,
        ),
        tangRadiusBelow,
        tangRadiusAbove,
      }),
    );
    chains.set(level, chain);
    return chain;
  };
  const plainAt = (level: Level, clamp: number, withTangs: boolean) =>
    packCapacity(clamp, chainAt(level), withTangs && tangFriction.known ? tangFriction.value : 0);
  // Ramps that the torque draws together add clamp to the springs'.
  const driven = fittedKinds(sheet.job).flatMap((kind) => kind.drive ?? []);
  const gains = driven.map((drive) => drive.gain(sheet));
  const gainOf = (unit: number) => gains.reduce((factor, gain) => factor * gain(unit), 1);
  const plainUnit = (level: Level) => plainAt(level, 1, true).torque;
  const capacityAt = (level: Level, clamp: number, withTangs: boolean) =>
    plainAt(
      level,
      gains.length === 0 ? clamp : clamp * gainOf(plainAt(level, 1, withTangs).torque),
      withTangs,
    );
  // Torque is proportional to clamp, with tang friction or without: the torque per newton is calculated once.
  const perNewton = new Map<string, number>();
  const torqueAt = (level: Level, clamp: Newton, withTangs: boolean) => {
    const key = withTangs ? `${level} with tangs` : level;
    let unit = perNewton.get(key);
    if (unit === undefined) perNewton.set(key, (unit = capacityAt(level, 1, withTangs).torque));
    return unit * clamp;
  };
  return {
    faces,
    lined,
    radii,
    frictions,
    tangs,
    tangFriction,
    driven,
    plainUnit,
    torqueAt,
    capacityAt,
  };
}
