import { check, DomainError, NOT_NEGATIVE, POSITIVE } from '../errors';
import type { Mm, Newton, NewtonMetre } from '../units/quantity';

/* A hub in two halves on ramps: drive torque draws them together, overrun parts them. */

const ANGLE = { above: 0, max: 90 } as const;
const RIGHT = Math.PI / 2;
/** Nearer to a right angle than this the ramp is held by its friction. */
const HELD = 1e-9;

/**
 * Newtons of axial force for each newton metre through the ramps; 0 where lead angle and friction angle reach 90° together.
 * @param radius of the ramps, mm, above 0
 * @param angle lead angle from the plane of rotation, degrees, above 0 to 90
 * @param friction of the ramps, 0 or more
 * @throws {DomainError} for a value out of range
 * Source: wedge with friction; `docs/mechanics.md` section 14.
 * @example axialPerTorque(32, 78, 0.1) // 3.44418
 */
export function axialPerTorque(radius: Mm, angle: number, friction: number): number {
  check('radius', radius, POSITIVE);
  check('angle', angle, ANGLE);
  check('friction', friction, NOT_NEGATIVE);
  const slope = (angle * Math.PI) / 180 + Math.atan(friction);
  return slope >= RIGHT - HELD ? 0 : 1000 / (radius * Math.tan(slope));
}

/**
 * The share q of its clamp that a pack on ramps makes by its own torque. From 1 on it locks by itself.
 * @param perNewton torque that the pack holds for each newton of clamp, N·m/N, above 0
 * @throws {DomainError} for a value out of range
 * Source: `docs/mechanics.md` section 14.
 * @example rampShare(0.1008, 32, 78, 0.1) // 0.34717
 */
export const rampShare = (perNewton: number, radius: Mm, angle: number, friction: number): number =>
  check('perNewton', perNewton, NOT_NEGATIVE) * axialPerTorque(radius, angle, friction);

/**
 * Torque held on drive, where the ramps add clamp.
 * @param share q of the drive ramp, 0 to below 1
 * @throws {DomainError} for a share from 1 on: the pack locks by itself and never slips
 * Source: `docs/mechanics.md` section 14.
 * @example heldOnDrive(0.1008, 900, 0.3471737631) // 138.965
 */
export function heldOnDrive(perNewton: number, springs: Newton, share: number): NewtonMetre {
  return perNewton * check('springs', springs, NOT_NEGATIVE) * driveGain(share);
}

/**
 * What the ramps multiply the held torque by.
 * @throws {DomainError} for a share from 1 on
 * @example driveGain(0.5) // 2
 */
export function driveGain(share: number): number {
  check('share', share, NOT_NEGATIVE);
  if (share >= 1) throw new DomainError('share', 'ramps that do not lock by themselves', share);
  return 1 / (1 - share);
}

/**
 * Torque at which the pack lets go on overrun, where the ramps take clamp away.
 * @param share q of the overrun ramp, 0 or more
 * @throws {DomainError} for a value out of range
 * Source: `docs/mechanics.md` section 14.
 * @example heldOnOverrun(0.1008, 900, 1.4216) // 37.463
 */
export function heldOnOverrun(perNewton: number, springs: Newton, share: number): NewtonMetre {
  check('share', share, NOT_NEGATIVE);
  return (perNewton * check('springs', springs, NOT_NEGATIVE)) / (1 + share);
}

/**
 * The least lead angle of the drive ramp at which the pack does not lock by itself, degrees; 0 where none locks.
 * @throws {DomainError} for a value out of range
 * Source: `docs/mechanics.md` section 14.
 * @example leastDriveAngle(0.1008, 32, 0.1) // 66.6768
 */
export function leastDriveAngle(perNewton: number, radius: Mm, friction: number): number {
  check('perNewton', perNewton, NOT_NEGATIVE);
  check('radius', radius, POSITIVE);
  const slope = Math.atan((perNewton * 1000) / radius) - Math.atan(friction);
  return Math.max(0, (slope * 180) / Math.PI);
}
