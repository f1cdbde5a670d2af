import { check, DomainError, POSITIVE } from '../errors';
import type { MegaPascal, Mm, Newton, NewtonPerMm } from '../units/quantity';

/** A disc spring, or the ring of a diaphragm spring between its load edges. */
export interface DiscSpring {
  /** Outer and inner diameter of the ring, mm. */
  readonly outerDiameter: Mm;
  readonly innerDiameter: Mm;
  /** Thickness, mm. */
  readonly thickness: Mm;
  /** Free cone height of the ring, mm. */
  readonly coneHeight: Mm;
  readonly youngsModulus?: MegaPascal;
  readonly poissonRatio?: number;
}

export const SPRING_STEEL_YOUNGS_MODULUS: MegaPascal = 206000;
export const SPRING_STEEL_POISSON = 0.3;

/** The factor before s·[…] of the formula: N/mm⁴ over its thickness. */
function stiffness(spring: DiscSpring): number {
  const { outerDiameter, innerDiameter, thickness, coneHeight } = spring;
  check('thickness', thickness, POSITIVE);
  check('coneHeight', coneHeight, { min: 0 });
  check('innerDiameter', innerDiameter, POSITIVE);
  check('outerDiameter', outerDiameter, POSITIVE);
  if (outerDiameter <= innerDiameter) {
    throw new DomainError('innerDiameter', 'less than the outer diameter', innerDiameter);
  }
  const modulus = check(
    'youngsModulus',
    spring.youngsModulus ?? SPRING_STEEL_YOUNGS_MODULUS,
    POSITIVE,
  );
  const poisson = check('poissonRatio', spring.poissonRatio ?? SPRING_STEEL_POISSON, {
    min: 0,
    below: 0.5,
  });
  const ratio = outerDiameter / innerDiameter;
  const k1 =
    (1 / Math.PI) *
    (((ratio - 1) / ratio) ** 2 / ((ratio + 1) / (ratio - 1) - 2 / Math.log(ratio)));
  return ((4 * modulus) / (1 - poisson ** 2)) * (thickness / (k1 * outerDiameter ** 2));
}

/**
 * Force of a disc spring by Almen and Laszlo:
 * F(s) = 4E/(1−ν²)·t/(K₁·De²)·s·[(h₀−s)(h₀−s/2) + t²].
 * @param deflection mm, 0 up to twice the cone height (flat is at the cone height)
 * @throws {DomainError} for geometry or a deflection out of range
 * Source: EN 16984 (formerly DIN 2092); Almen and Laszlo 1936; `docs/mechanics.md` section 5.
 * @example discSpringForce({ outerDiameter: 112, innerDiameter: 84, thickness: 1.45, coneHeight: 3.3 }, 2.5) // 2356.96
 */
export const discSpringForce = (spring: DiscSpring, deflection: Mm): Newton =>
  discSpringForces(spring)(deflection);

/**
 * The force of one disc spring over its deflection, with checked geometry and precomputed stiffness.
 * @throws {DomainError} for geometry out of range; what it returns, for a deflection out of range
 * Source: as {@link discSpringForce}.
 * @example discSpringForces({ outerDiameter: 112, innerDiameter: 84, thickness: 1.45, coneHeight: 3.3 })(2.5) // 2356.96
 */
export function discSpringForces(spring: DiscSpring): (deflection: Mm) => Newton {
  const c = stiffness(spring);
  const { coneHeight: h, thickness: t } = spring;
  const bounds = { min: 0, max: 2 * h };
  return (deflection) => {
    const s = check('deflection', deflection, bounds);
    return c * s * ((h - s) * (h - s / 2) + t * t);
  };
}

/**
 * Slope of the force, dF/ds. Below 0 more preload means less force.
 * @throws {DomainError} as {@link discSpringForce}
 * Source: derivative of the same formula.
 * @example discSpringRate({ outerDiameter: 112, innerDiameter: 84, thickness: 1.45, coneHeight: 3.3 }, 0) // 3272.98
 */
export function discSpringRate(spring: DiscSpring, deflection: Mm): NewtonPerMm {
  const c = stiffness(spring);
  const { coneHeight: h, thickness: t } = spring;
  const s = check('deflection', deflection, { min: 0, max: 2 * h });
  return c * (h * h - 3 * h * s + 1.5 * s * s + t * t);
}

export interface TurningPoints {
  readonly peak: { readonly deflection: Mm; readonly force: Newton };
  readonly dip: { readonly deflection: Mm; readonly force: Newton };
}

/**
 * Where the force peaks and dips: s = h₀ ∓ √((h₀² − 2t²)/3). Only for h₀/t above √2; otherwise the force rises
 * all the way and there are none.
 * @throws {DomainError} for geometry out of range
 * Source: `docs/mechanics.md` section 5.
 * @example turningPoints({ outerDiameter: 112, innerDiameter: 84, thickness: 1.45, coneHeight: 3.3 }).peak.deflection // 1.8072
 */
export function turningPoints(spring: DiscSpring): TurningPoints | undefined {
  stiffness(spring);
  const { coneHeight: h, thickness: t } = spring;
  const under = (h * h - 2 * t * t) / 3;
  if (under <= 0) return undefined;
  const away = Math.sqrt(under);
  const at = (deflection: Mm) => ({ deflection, force: discSpringForce(spring, deflection) });
  return { peak: at(h - away), dip: at(h + away) };
}

/** Which side of the peak a spring works on. */
export type Side = 'rising' | 'falling' | 'rising again';

/**
 * The part of the curve at a deflection; the peak counts as rising, the dip as falling.
 * @example sideOf(3, { peak: 2, dip: 5 }) // "rising again"
 */
export function sideOf(
  deflection: Mm,
  points: Pick<TurningPoints, 'peak' | 'dip'> | undefined,
): Side {
  if (!points || deflection <= points.peak.deflection) return 'rising';
  return deflection <= points.dip.deflection ? 'falling' : 'rising again';
}

/**
 * Working deflection: s = s_ref + (H − H_ref) + step offset + lift. Wear lowers it, lift raises it.
 * @throws {DomainError} for values that are not finite
 * Source: `docs/mechanics.md` section 5.
 * @example workingDeflection(2.5, 34.1, 34.5) // 2.1
 */
export function workingDeflection(
  reference: Mm,
  stack: Mm,
  referenceStack: Mm,
  stepOffset: Mm = 0,
  lift: Mm = 0,
): Mm {
  check('lift', lift, { min: 0 });
  const grown = check('stack', stack, {}) - check('referenceStack', referenceStack, {});
  return check('reference', reference, {}) + grown + check('stepOffset', stepOffset, {}) + lift;
}
