import { check, DomainError, NOT_NEGATIVE, POSITIVE } from '../errors';
import type { MegaPascal, Mm, Newton, NewtonPerMm } from '../units/quantity';

/** Shear modulus of spring steel, MPa. */
export const SPRING_STEEL_SHEAR_MODULUS: MegaPascal = 79300;

/**
 * Rate of a coil spring from its wire: k = G·d⁴/(8·D³·n_a).
 * @param wireDiameter mm, above 0 and below the mean coil diameter
 * @param meanDiameter mm
 * @param activeCoils above 0
 * @param shearModulus MPa, above 0
 * @throws {DomainError} for a value out of range
 * Source: helical spring theory, EN 13906-1; `docs/mechanics.md` section 4.
 * @example coilRate(2.7, 15.5, 6) // 23.577
 */
export function coilRate(
  wireDiameter: Mm,
  meanDiameter: Mm,
  activeCoils: number,
  shearModulus: MegaPascal = SPRING_STEEL_SHEAR_MODULUS,
): NewtonPerMm {
  checkWire(wireDiameter, meanDiameter);
  check('activeCoils', activeCoils, POSITIVE);
  check('shearModulus', shearModulus, POSITIVE);
  return (shearModulus * wireDiameter ** 4) / (8 * meanDiameter ** 3 * activeCoils);
}

/**
 * Solid length of a spring with ground ends: coils in all × wire diameter. Source: EN 13906-1.
 * @example solidLength(7.5, 3.2) // 24
 */
export function solidLength(totalCoils: number, wireDiameter: Mm): Mm {
  return check('totalCoils', totalCoils, POSITIVE) * check('wireDiameter', wireDiameter, POSITIVE);
}

/** Result of a spring tester's points. */
export interface RateFit {
  readonly rate: NewtonPerMm;
  readonly freeLength: Mm;
  /** Root mean square distance of the points from the line, N. */
  readonly residual: Newton;
}

/**
 * Rate and free length from a spring tester: the least-squares line through (length, force).
 * @param points two or more, at different lengths (mm, above 0) with force (N, 0 or more)
 * @throws {DomainError} for fewer than two lengths, or a force that does not grow as the spring shortens
 * Source: linear regression; `docs/mechanics.md` section 4.
 * @example fitRate([{ length: 40, force: 0 }, { length: 30, force: 200 }]).rate // 20
 */
export function fitRate(
  points: readonly { readonly length: Mm; readonly force: Newton }[],
): RateFit {
  points.forEach((p, i) => {
    check(`points.${i}.length`, p.length, POSITIVE);
    check(`points.${i}.force`, p.force, NOT_NEGATIVE);
  });
  const n = points.length;
  const meanL = points.reduce((s, p) => s + p.length, 0) / n;
  const meanF = points.reduce((s, p) => s + p.force, 0) / n;
  const sxx = points.reduce((s, p) => s + (p.length - meanL) ** 2, 0);
  const sxy = points.reduce((s, p) => s + (p.length - meanL) * (p.force - meanF), 0);
  if (n < 2 || sxx < 1e-9)
    throw new DomainError('points', 'two points or more at different lengths', n);
  const rate = -sxy / sxx;
  if (!(rate > 0)) throw new DomainError('points', 'more force at less length', rate);
  const residual = Math.sqrt(
    points.reduce((s, p) => s + (p.force - (meanF - rate * (p.length - meanL))) ** 2, 0) / n,
  );
  return { rate, freeLength: meanL + meanF / rate, residual };
}

/**
 * Length of a spring in place: L = G₀ − t_pp − s − H. A taller pack presses it more.
 * @param seatDistance mm, hub floor to the spring's fixed seat, above 0
 * @param stack mm, 0 or more
 * @param pressurePlate mm between pack and spring cup; below 0 when the cups reach past the pack
 * @param shim mm under the spring, 0 or more
 * @throws {DomainError} for a value out of range, or when no room is left for a spring
 * Source: geometry; `docs/mechanics.md` section 4.
 * @example installedLength(68.7, 34.4, 2, 1) // 31.3
 */
export function installedLength(
  seatDistance: Mm,
  stack: Mm,
  pressurePlate: Mm = 0,
  shim: Mm = 0,
): Mm {
  check('seatDistance', seatDistance, POSITIVE);
  check('stack', stack, NOT_NEGATIVE);
  check('pressurePlate', pressurePlate, {});
  check('shim', shim, NOT_NEGATIVE);
  const length = seatDistance - pressurePlate - shim - stack;
  if (length <= 0) {
    throw new DomainError(
      'seatDistance',
      'more than stack, pressure plate and shim together',
      seatDistance,
    );
  }
  return length;
}

/**
 * Force of one spring at a length: k(L₀ − L), 0 when it is longer than free.
 * @throws {DomainError} for a rate, free length or length that is not above 0
 * Source: `docs/mechanics.md` section 4.
 * @example springForce(25, 44, 34.3) // 242.5
 */
export function springForce(rate: NewtonPerMm, freeLength: Mm, length: Mm): Newton {
  check('rate', rate, POSITIVE);
  check('freeLength', freeLength, POSITIVE);
  check('length', length, POSITIVE);
  return Math.max(0, rate * (freeLength - length));
}

/**
 * Required travel before coil bind: 0.5 mm or a tenth of the lift, whichever is greater. Assumed value.
 * @example bindMargin(1.8) // 0.5
 */
export function bindMargin(lift: Mm): Mm {
  return Math.max(0.5, 0.1 * check('lift', lift, NOT_NEGATIVE));
}

/**
 * Wahl's factor for the stress of curved wire: (4C−1)/(4C−4) + 0.615/C, C = D/d.
 * @param springIndex C, above 1
 * @throws {DomainError} when C is not above 1
 * Source: Wahl, helical spring theory; EN 13906-1; `docs/mechanics.md` section 4.
 * @example wahlFactor(6) // 1.2525
 */
export function wahlFactor(springIndex: number): number {
  const c = check('springIndex', springIndex, { above: 1 });
  return (4 * c - 1) / (4 * c - 4) + 0.615 / c;
}

/**
 * Corrected shear stress of the wire: K_w·8·F·D/(π·d³).
 * @returns MPa
 * @throws {DomainError} for a force below 0 or a wire that is not thinner than the coil
 * Source: EN 13906-1; `docs/mechanics.md` section 4.
 * @example springStress(259, 2.7, 15.5) // 657.18
 */
export function springStress(force: Newton, wireDiameter: Mm, meanDiameter: Mm): MegaPascal {
  check('force', force, NOT_NEGATIVE);
  checkWire(wireDiameter, meanDiameter);
  return (
    (wahlFactor(meanDiameter / wireDiameter) * 8 * force * meanDiameter) /
    (Math.PI * wireDiameter ** 3)
  );
}

function checkWire(wireDiameter: Mm, meanDiameter: Mm): void {
  check('wireDiameter', wireDiameter, POSITIVE);
  check('meanDiameter', meanDiameter, POSITIVE);
  if (wireDiameter >= meanDiameter) {
    throw new DomainError('wireDiameter', 'less than the mean coil diameter', wireDiameter);
  }
}
